import type { Bench } from '$lib/core';
import { conductorLabel } from '$lib/core/circuit/conductors';
import { tradeCord } from '$lib/core/circuit/protection';
import { EARTH_FAULT_DEVICES } from '$lib/core/circuit/earthFault';
import { choice, conductors, q, text, type Field, type Part } from './fields';

const PHASES = [
	[1, 'one', 'One live wire with neutral, or two live ones.'],
	[3, 'three', 'Three live wires.']
] as const;

/** Fields of a circuit at a path: the cutter's own, or one of the others. */
function breakerFields(path: string, { standard }: Bench['supply']['breaker']): Field[] {
	return [
		q(`${path}.breaker.ratingA`, 'Rating', 'current'),
		q(`${path}.nominalV`, 'Voltage', 'voltage'),
		choice(`${path}.breaker.standard`, 'Kind', [
			['iec60898', 'IEC', 'Marked B, C or D before the amps.'],
			['ul489', 'UL', 'Marked with amps alone, as in North American panels.']
		]),
		choice(`${path}.phases`, 'Phases', PHASES),
		...(standard === 'iec60898'
			? [
					choice(`${path}.breaker.curve`, 'Curve', [
						['B', 'B', 'Lets go at 3 to 5 times its amps at once: sockets.'],
						['C', 'C', 'Lets go at 5 to 10 times its amps at once: motors, cutters.'],
						['D', 'D', 'Lets go at 10 to 20 times its amps at once: heavy inrush.']
					])
				]
			: []),
		choice(
			`${path}.earthFault`,
			'Earth-fault device',
			EARTH_FAULT_DEVICES.map(
				(device) =>
					[
						device,
						device,
						device === 'none'
							? 'No device with a test button feeds it.'
							: 'Lets go when this much leaks to earth.'
					] as const
			)
		)
	];
}

function wireFields(path: string, bench: Bench): Field[] {
	return [
		choice(`${path}.wire.size`, 'Size', conductors(bench)),
		q(`${path}.wire.lengthM`, 'Length, one way', 'run'),
		choice(`${path}.wire.method`, 'Run in', [
			['conduit', 'conduit', 'In a pipe or wall: it cools less.'],
			['clipped', 'clipped', 'On the wall in free air: it cools better.']
		])
	];
}

const circuitNames = ({ supply }: Bench) => [
	supply.circuit,
	...supply.elsewhere.map((circuit) => circuit.name)
];

/** A name that no circuit has yet. */
function freshName(bench: Bench): string {
	const names = circuitNames(bench);
	let n = names.length + 1;
	while (names.includes(`Circuit ${n}`)) n++;
	return `Circuit ${n}`;
}

function panelFields(bench: Bench): Field[] {
	const { supply } = bench;
	const { nominalV, phases, breaker, wire, receptacleA, earthFault } = supply;
	return [
		choice('supply.system', 'Rules of', [
			['iec', 'IEC', 'mm² wires, IEC breakers.'],
			['north-america', 'North America', 'AWG wires, UL breakers, NEC tables.']
		]),
		q('supply.serviceOhm', 'Service resistance', 'resistance', { optional: true }),
		q('supply.ambientC', 'Around the panel', 'temperature'),
		{
			kind: 'list',
			path: 'supply.loads',
			label: 'What else runs in the shop',
			items: supply.loads.map((load, i) => ({
				index: i,
				name: load.name,
				fields: [
					text(`supply.loads.${i}.name`, 'Called'),
					choice(
						`supply.loads.${i}.on`,
						'On circuit',
						circuitNames(bench).map((name) => [name, name] as const)
					),
					q(`supply.loads.${i}.currentA`, 'Takes', 'current'),
					q(`supply.loads.${i}.startMultiple`, 'Starts at, times', 'factor', {
						hint: 'motors about 6'
					}),
					choice(`supply.loads.${i}.when`, 'Runs', [
						['always', 'always', 'All the time, like lamps.'],
						['compressor', 'with compressor', 'Whenever the compressor runs.']
					])
				]
			})),
			fresh: {
				name: 'fume fan',
				on: supply.circuit,
				currentA: 1.5,
				startMultiple: 6,
				when: 'always'
			},
			least: 0,
			most: 16,
			add: 'Add a load'
		},
		{
			kind: 'list',
			path: 'supply.elsewhere',
			label: 'Other circuits of the shop',
			items: supply.elsewhere.map((circuit, i) => ({
				index: i,
				name: circuit.name,
				fields: [
					text(`supply.elsewhere.${i}.name`, 'Called'),
					...breakerFields(`supply.elsewhere.${i}`, circuit.breaker),
					...wireFields(`supply.elsewhere.${i}`, bench),
					q(`supply.elsewhere.${i}.receptacleA`, 'Receptacle', 'current')
				]
			})),
			fresh: {
				name: freshName(bench),
				nominalV,
				phases,
				breaker,
				wire,
				receptacleA,
				earthFault
			},
			least: 0,
			most: 8,
			add: 'Add a circuit'
		},
		{
			kind: 'fitted',
			path: 'supply.generator',
			label: 'Generator in place of the mains',
			fitted: { ratedVA: 8000, ratedW: 6400, regulation: 0.08 }
		},
		...(supply.generator
			? [
					q('supply.generator.ratedVA', 'Continuous', 'apparentPower'),
					q('supply.generator.ratedW', 'Continuous', 'power'),
					q('supply.generator.regulation', 'Volts lost at full load', 'share')
				]
			: [])
	];
}

export const ELECTRIC_PARTS: Part[] = [
	{
		id: 'panel',
		rail: 'electricity',
		name: (b) => (b.supply.generator ? 'Generator' : 'Panel'),
		about: 'service, other loads and circuits',
		entered: (b) => ({ value: b.supply.nominalV, quantity: 'voltage' }),
		figure: () => 'supply.sourceV',
		check: 'supply.generatorShare',
		tells: ['supply.serviceOhm', 'supply.sharedA', 'supply.sharedV', 'supply.generatorShare'],
		fields: panelFields
	},
	{
		id: 'breaker',
		rail: 'electricity',
		name: (b) =>
			`Breaker ${b.supply.breaker.standard === 'iec60898' ? b.supply.breaker.curve : ''}${b.supply.breaker.ratingA}`,
		bareName: ({ supply: { breaker } }) =>
			breaker.standard === 'iec60898' ? `Breaker, curve ${breaker.curve}` : 'Breaker',
		about: 'of the cutter’s circuit',
		entered: (b) => ({ value: b.supply.breaker.ratingA, quantity: 'current' }),
		figure: () => 'supply.inputA',
		check: 'supply.breakerPeak',
		also: ['supply.startA'],
		tells: [
			'supply.breakerPeak',
			'supply.tripEarliestS',
			'supply.tripLatestS',
			'supply.startA',
			'supply.magneticA',
			'supply.inputEffA',
			'supply.mayRunOnA',
			'supply.apparentVA',
			'supply.powerFactor'
		],
		fields: ({ supply }) => [
			text('supply.circuit', 'This circuit is called'),
			...breakerFields('supply', supply.breaker)
		]
	},
	{
		id: 'wire',
		rail: 'electricity',
		name: (b) => `Wire, ${conductorLabel(b.supply.wire.size)}`,
		about: 'panel to receptacle',
		entered: (b) => ({ value: b.supply.wire.lengthM, quantity: 'run' }),
		figure: () => 'supply.effectiveA',
		check: 'supply.wireCarriesA',
		tells: ['supply.inputA', 'supply.wireCarriesA', 'supply.neededA', 'supply.wireOhm'],
		fields: (b) => wireFields('supply', b)
	},
	{
		id: 'receptacle',
		rail: 'electricity',
		name: (b) => `Receptacle ${b.supply.receptacleA} A`,
		bareName: () => 'Receptacle',
		about: 'wall socket and plug',
		also: ['supply.nearestA'],
		entered: (b) => ({ value: b.supply.receptacleA, quantity: 'current' }),
		figure: () => 'supply.receptacleV',
		check: 'supply.effectiveA',
		tells: ['supply.effectiveA'],
		fields: () => [
			q('supply.receptacleA', 'Rating', 'current'),
			q('supply.plugFuseA', 'Fuse in the plug', 'current', { optional: true })
		]
	},
	{
		id: 'cord',
		rail: 'electricity',
		name: (b) => (b.supply.cord ? `Cord, ${conductorLabel(b.supply.cord.size)}` : 'No cord'),
		about: 'extension to the cutter',
		entered: (b) => (b.supply.cord ? { value: b.supply.cord.lengthM, quantity: 'run' } : undefined),
		figure: () => 'supply.voltageV',
		check: 'supply.cordCarriesA',
		loses: 'supply.dropShare',
		tells: [
			'supply.dropShare',
			'supply.cordOhm',
			'supply.resistanceOhm',
			'supply.cordCarriesA',
			'supply.nearestA'
		],
		fields: (b) => [
			{
				kind: 'fitted',
				path: 'supply.cord',
				label: 'Extension cord',
				fitted: {
					size: tradeCord(b.supply.system, b.supply.breaker.ratingA) ?? conductors(b)[0]![0],
					// 25 ft, as cords are sold.
					lengthM: 7.62,
					kind: 'made-up',
					labelA: null
				}
			},
			...(b.supply.cord
				? [
						choice('supply.cord.size', 'Size', conductors(b)),
						q('supply.cord.lengthM', 'Length, one way', 'run'),
						choice('supply.cord.kind', 'It is', [
							['made-up', 'made up', 'Plug and socket put on by hand: judged as a wire.'],
							['listed', 'a listed set', 'Bought whole, with amps on its label.']
						]),
						...(b.supply.cord.kind === 'listed'
							? [q('supply.cord.labelA', 'Amps on its label', 'current', { optional: true })]
							: [])
					]
				: [])
		]
	}
];
