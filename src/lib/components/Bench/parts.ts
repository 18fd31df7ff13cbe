/** The things that stand in the shop and the fields of each; paths lead into the bench. */
import type { Bench, Check, FigureId, Quantity } from '$lib/core';
import { conductorLabel, conductorsFor } from '$lib/core/circuit/conductors';

export type PartId =
	| 'breaker'
	| 'wire'
	| 'receptacle'
	| 'cord'
	| 'compressor'
	| 'tank'
	| 'dryer'
	| 'filter'
	| 'hose'
	| 'cutter'
	| 'torch';

export type Field =
	| {
			kind: 'quantity';
			path: string;
			label: string;
			quantity: Quantity;
			optional?: boolean;
			hint?: string;
	  }
	| { kind: 'text'; path: string; label: string }
	| {
			kind: 'choice';
			path: string;
			label: string;
			options: readonly { value: string | number | boolean; label: string }[];
	  }
	/** A thing that may be missing: null, or `fitted`. */
	| { kind: 'fitted'; path: string; label: string; fitted: unknown };

export interface Part {
	id: PartId;
	rail: 'electricity' | 'air' | 'cutter';
	name: (bench: Bench) => string;
	about: string;
	/** What was entered, for the drawing of the bench. */
	entered: (bench: Bench) => { value: number; quantity: Quantity } | undefined;
	/** Key figure on the rail, and the check that carries its state. */
	figure: FigureId;
	check?: Check['id'];
	/** Figures told in the editor. */
	tells: FigureId[];
	fields: (bench: Bench) => Field[];
}

const q = (
	path: string,
	label: string,
	quantity: Quantity,
	more: { optional?: boolean; hint?: string } = {}
): Field => ({
	kind: 'quantity',
	path,
	label,
	quantity,
	...more
});
const text = (path: string, label: string): Field => ({ kind: 'text', path, label });
const choice = (
	path: string,
	label: string,
	options: readonly (readonly [string | number | boolean, string])[]
): Field => ({
	kind: 'choice',
	path,
	label,
	options: options.map(([value, l]) => ({ value, label: l }))
});
const conductors = (bench: Bench) =>
	conductorsFor(bench.supply.system).map((size) => [size, conductorLabel(size)] as const);

const supplyParts: Part[] = [
	{
		id: 'breaker',
		rail: 'electricity',
		name: (b) =>
			`Breaker ${b.supply.breaker.standard === 'iec60898' ? b.supply.breaker.curve : ''}${b.supply.breaker.ratingA}`,
		about: 'at the panel',
		entered: (b) => ({ value: b.supply.nominalV, quantity: 'voltage' }),
		figure: 'supply.sourceV',
		check: 'supply.breakerPeak',
		tells: ['supply.inputA', 'supply.breakerPeak', 'supply.tripEarliestS', 'supply.tripLatestS'],
		fields: () => [
			q('supply.breaker.ratingA', 'Rating', 'current'),
			choice('supply.breaker.standard', 'Kind', [
				['iec60898', 'IEC'],
				['ul489', 'UL']
			]),
			choice('supply.breaker.curve', 'Curve', [
				['B', 'B'],
				['C', 'C'],
				['D', 'D']
			]),
			choice('supply.system', 'Supply system', [
				['iec', 'IEC'],
				['north-america', 'North America']
			]),
			q('supply.nominalV', 'Voltage', 'voltage'),
			choice('supply.phases', 'Phases', [
				[1, 'one'],
				[3, 'three']
			]),
			q('supply.otherLoadA', 'Other loads on it', 'current'),
			q('supply.serviceOhm', 'Service resistance', 'resistance', { optional: true }),
			q('supply.ambientC', 'Around the breaker', 'temperature')
		]
	},
	{
		id: 'wire',
		rail: 'electricity',
		name: (b) => `Wire, ${conductorLabel(b.supply.wire.size)}`,
		about: 'panel to receptacle',
		entered: (b) => ({ value: b.supply.wire.lengthM, quantity: 'run' }),
		figure: 'supply.effectiveA',
		check: 'supply.wireCarriesA',
		tells: ['supply.inputA', 'supply.effectiveA', 'supply.wireCarriesA', 'supply.neededA'],
		fields: (b) => [
			choice('supply.wire.size', 'Size', conductors(b)),
			q('supply.wire.lengthM', 'Length, one way', 'run'),
			choice('supply.wire.method', 'Run in', [
				['conduit', 'conduit'],
				['clipped', 'clipped']
			])
		]
	},
	{
		id: 'receptacle',
		rail: 'electricity',
		name: (b) => `Receptacle ${b.supply.receptacleA} A`,
		about: 'wall socket and plug',
		entered: (b) => ({ value: b.supply.receptacleA, quantity: 'current' }),
		figure: 'supply.receptacleV',
		check: 'supply.effectiveA',
		tells: ['supply.receptacleV', 'supply.effectiveA'],
		fields: () => [q('supply.receptacleA', 'Rating', 'current')]
	},
	{
		id: 'cord',
		rail: 'electricity',
		name: (b) => (b.supply.cord ? `Cord, ${conductorLabel(b.supply.cord.size)}` : 'No cord'),
		about: 'extension to the cutter',
		entered: (b) => (b.supply.cord ? { value: b.supply.cord.lengthM, quantity: 'run' } : undefined),
		figure: 'supply.voltageV',
		check: 'supply.cordCarriesA',
		tells: ['supply.voltageV', 'supply.dropShare', 'supply.cordOhm', 'supply.resistanceOhm'],
		fields: (b) => [
			{
				kind: 'fitted',
				path: 'supply.cord',
				label: 'Extension cord',
				fitted: { size: b.supply.system === 'iec' ? 'mm2-2.5' : 'awg-12', lengthM: 7.6 }
			},
			...(b.supply.cord
				? [
						choice('supply.cord.size', 'Size', conductors(b)),
						q('supply.cord.lengthM', 'Length, one way', 'run')
					]
				: [])
		]
	}
];

const loss = (b: Bench, part: 'dryer' | 'filter', label: string): Field[] => [
	{ kind: 'fitted', path: `air.${part}`, label, fitted: { lossBar: 0.1, atLpm: 200 } },
	...(b.air[part]
		? [
				q(`air.${part}.lossBar`, 'Loses', 'pressure'),
				q(`air.${part}.atLpm`, 'at a flow of', 'flow')
			]
		: [])
];

const airParts: Part[] = [
	{
		id: 'compressor',
		rail: 'air',
		name: () => 'Compressor',
		about: 'free air, not displacement',
		entered: (b) => ({ value: b.air.compressor.q2Lpm, quantity: 'flow' }),
		figure: 'air.deliveryLpm',
		tells: ['air.deliveryLpm', 'air.useLpm', 'air.runShare'],
		fields: () => [
			q('air.compressor.q1Lpm', 'Delivers', 'flow'),
			q('air.compressor.p1Bar', 'at', 'pressure'),
			q('air.compressor.q2Lpm', 'Delivers', 'flow'),
			q('air.compressor.p2Bar', 'at', 'pressure'),
			q('air.compressor.cutInBar', 'Cut-in', 'pressure'),
			q('air.compressor.cutOutBar', 'Cut-out', 'pressure'),
			q('air.altitudeM', 'Altitude', 'altitude')
		]
	},
	{
		id: 'tank',
		rail: 'air',
		name: () => 'Tank',
		about: 'decides how many CFM do',
		entered: (b) => ({ value: b.air.tankL, quantity: 'volume' }),
		figure: 'air.tankLowBar',
		check: 'air.inletLowBar',
		tells: ['air.tankNeededBar', 'air.tankLowBar', 'air.longestCutS'],
		fields: () => [q('air.tankL', 'Volume', 'volume')]
	},
	{
		id: 'dryer',
		rail: 'air',
		name: (b) => (b.air.dryer ? 'Dryer' : 'No dryer'),
		about: 'desiccant',
		entered: (b) =>
			b.air.dryer ? { value: b.air.dryer.lossBar, quantity: 'pressure' } : undefined,
		figure: 'air.afterDryerBar',
		tells: ['air.dryerLossBar', 'air.afterDryerBar'],
		fields: (b) => loss(b, 'dryer', 'Dryer')
	},
	{
		id: 'filter',
		rail: 'air',
		name: (b) => (b.air.filter ? 'Trap and filter' : 'No filter'),
		about: 'slugs of water; no dryer',
		entered: (b) =>
			b.air.filter ? { value: b.air.filter.lossBar, quantity: 'pressure' } : undefined,
		figure: 'air.afterFilterBar',
		tells: ['air.filterLossBar', 'air.afterFilterBar'],
		fields: (b) => loss(b, 'filter', 'Trap and filter')
	},
	{
		id: 'hose',
		rail: 'air',
		name: () => 'Hose to the inlet',
		about: 'bore, couplings, set-point',
		entered: (b) => ({ value: b.air.hose.lengthM, quantity: 'run' }),
		figure: 'air.inletLowBar',
		check: 'air.inletLowBar',
		tells: ['air.hoseLossBar', 'air.inletLowBar', 'air.flowLpm'],
		fields: () => [
			q('air.hose.boreMm', 'Bore', 'small'),
			q('air.hose.lengthM', 'Length', 'run'),
			q('air.hose.couplings', 'Quick couplings', 'count'),
			q('air.setPointBar', 'Set-point, air flowing', 'pressure')
		]
	}
];

const dutyFields = (b: Bench, input: number): Field[] =>
	b.cutter.inputs[input]!.duty.flatMap((_, i) => [
		q(`cutter.inputs.${input}.duty.${i}.dutyShare`, 'Duty', 'share'),
		q(`cutter.inputs.${input}.duty.${i}.outputA`, 'at', 'current')
	]);

const cutterParts: Part[] = [
	{
		id: 'cutter',
		rail: 'cutter',
		name: () => 'Cutter',
		about: 'from its data plate',
		entered: (b) => ({ value: b.cutter.cleanMm, quantity: 'thickness' }),
		figure: 'supply.voltageV',
		check: 'supply.voltageV',
		tells: ['supply.apparentVA', 'cutter.dutyShare', 'cutter.peakC', 'cutter.lampContinuousS'],
		fields: (b) => [
			text('cutter.name', 'Called'),
			q('cutter.outputMinA', 'Smallest setting', 'current'),
			q('cutter.cleanMm', 'Clean to, mild steel', 'thickness'),
			q('cutter.severMm', 'Severs to', 'thickness'),
			q('cutter.airFlowLpm', 'Air flow', 'flow', { optional: true }),
			q('cutter.airMinBar', 'Inlet from', 'pressure'),
			q('cutter.airMaxBar', 'to', 'pressure'),
			q('cutter.arcVoltageV', 'Arc voltage, U2', 'voltage', { optional: true }),
			q('cutter.powerFactor', 'Power factor', 'factor'),
			q('cutter.efficiency', 'Efficiency', 'factor'),
			...b.cutter.inputs.flatMap((input, i) => [
				q(`cutter.inputs.${i}.voltageV`, `Input ${i + 1}, ${input.phases} ph`, 'voltage'),
				q(`cutter.inputs.${i}.inputMaxA`, 'draws at most', 'current', { optional: true }),
				q(`cutter.inputs.${i}.outputMaxA`, 'gives at most', 'current'),
				...dutyFields(b, i)
			])
		]
	},
	{
		id: 'torch',
		rail: 'cutter',
		name: () => 'Torch',
		about: 'and what is in it',
		entered: (b) => ({ value: b.torch.shieldRadiusMm, quantity: 'small' }),
		figure: 'setup.nozzleA',
		check: 'setup.nozzleA',
		tells: ['setup.nozzleA', 'setup.kerfMm', 'setup.standoffMm'],
		fields: (b) => [
			text('torch.name', 'Called'),
			choice(
				'torch.fittedA',
				'Cutting nozzle (tip) in it',
				b.torch.nozzles
					.filter((n) => n.kind === 'cut')
					.map((n) => [n.ratingA, `${n.ratingA} A`] as const)
			),
			...b.torch.nozzles.flatMap((n, i) => [
				q(
					`torch.nozzles.${i}.ratingA`,
					n.kind === 'gouge' ? 'Gouging nozzle' : 'Cutting nozzle',
					'current'
				),
				q(`torch.nozzles.${i}.boreMm`, 'bore', 'small')
			]),
			q('torch.shieldRadiusMm', 'Shield radius', 'small', {
				hint: 'half of what you measure across it'
			}),
			choice('torch.squareSide', 'Squarer edge on the', [
				['right', 'right'],
				['left', 'left']
			]),
			choice('torch.dragShield', 'Shield rests on the plate', [
				[true, 'yes'],
				[false, 'no']
			]),
			q('torch.bareTouchA', 'Bare nozzle may touch up to', 'current'),
			q('torch.standoffMm', 'Stand-off otherwise', 'small'),
			q('torch.postFlowS', 'Post-flow', 'time')
		]
	}
];

export const PARTS: readonly Part[] = [...supplyParts, ...airParts, ...cutterParts];
export const partOf = (id: PartId): Part => PARTS.find((part) => part.id === id)!;
