import type { Bench } from '$lib/core';
import { STAGE_KINDS } from '$lib/core/air/stages';
import { choice, q, type Field, type Part } from './fields';

const dries = (stage: Bench['air']['stages'][number]) => stage.kind === 'desiccant';
const STAGE_NAMES: Record<(typeof STAGE_KINDS)[number], string> = {
	trap: 'water trap',
	particulate: 'particulate filter',
	coalescing: 'coalescing filter',
	cartridge: 'cartridge-roll filter',
	desiccant: 'desiccant dryer'
};

/** The list of what dries, or of what filters; both lie in one line, in the order of the flow. */
function stageFields(bench: Bench, dryer: boolean): Field[] {
	const { stages } = bench.air;
	return [
		{
			kind: 'list',
			path: 'air.stages',
			label: dryer ? 'Dryers' : 'Traps and filters',
			items: stages.flatMap((stage, i) =>
				dries(stage) === dryer
					? [
							{
								index: i,
								name: STAGE_NAMES[stage.kind],
								fields: [
									...(dryer
										? [q(`air.stages.${i}.gelG`, 'Silica gel', 'mass', { optional: true })]
										: [
												choice(
													`air.stages.${i}.kind`,
													'Kind',
													STAGE_KINDS.filter((kind) => kind !== 'desiccant').map(
														(kind) => [kind, STAGE_NAMES[kind]] as const
													)
												)
											]),
									choice(`air.stages.${i}.where`, 'At the', [
										[
											'compressor',
											'compressor',
											'Behind the tank: it cools what the compressor makes.'
										],
										['cutter', 'cutter', 'At the cutter: it catches what the hose lets fall out.']
									]),
									q(`air.stages.${i}.lossBar`, 'Clean it loses', 'pressure'),
									q(`air.stages.${i}.atLpm`, 'at a flow of', 'flow'),
									q(`air.stages.${i}.loaded`, 'Clogged', 'share')
								]
							}
						]
					: []
			),
			fresh: {
				kind: dryer ? 'desiccant' : 'trap',
				where: 'cutter',
				lossBar: 0.1,
				atLpm: 200,
				loaded: 0,
				gelG: dryer ? 900 : null
			},
			least: 0,
			most: 8,
			add: dryer ? 'Add a dryer' : 'Add a trap or filter'
		}
	];
}

function sourceFields(bench: Bench): Field[] {
	const { air } = bench;
	const source = choice('air.source', 'Air comes from', [
		['compressor', 'compressor', 'A compressor with a tank, and a hose from it.'],
		['bottle', 'bottles', 'From bottles through a regulator; never oxygen.'],
		['built-in', 'built in', 'The cutter has a compressor inside.']
	]);
	if (air.source === 'built-in') return [source];
	if (air.source === 'bottle') {
		return [
			source,
			choice('air.bottle.gas', 'Gas', [
				['air', 'air', 'Dry and clean: no water, no oil.'],
				['nitrogen', 'nitrogen', 'Cleaner edge on stainless and aluminium; air the room.']
			]),
			q('air.bottle.count', 'Bottles', 'count'),
			q('air.bottle.waterL', 'Water volume of one', 'volume'),
			q('air.bottle.fillBar', 'Pressure in them', 'pressure'),
			q('air.bottle.reserveBar', 'Leave in them', 'pressure'),
			q('air.bottle.outletBar', 'Regulator on the bottle', 'pressure')
		];
	}
	const points = air.compressor.points;
	const last = points.at(-1)!;
	return [
		source,
		choice('air.compressor.rating', 'Plate tells', [
			['delivered', 'free air delivered', 'What really comes out: FAD, or CFM at a pressure.'],
			['displaced', 'displacement only', 'What the pistons sweep: a good third never comes out.']
		]),
		{
			kind: 'list',
			path: 'air.compressor.points',
			label: 'Delivery against pressure',
			items: points.map((_, i) => ({
				index: i,
				name: `Point ${i + 1}`,
				fields: [
					q(`air.compressor.points.${i}.flowLpm`, 'Delivers', 'flow'),
					q(`air.compressor.points.${i}.atBar`, 'at', 'pressure')
				]
			})),
			fresh: { flowLpm: last.flowLpm * 0.95, atBar: Math.min(20, last.atBar + 1) },
			least: 1,
			most: 6,
			add: 'Add a point'
		},
		q('air.compressor.cutInBar', 'Cut-in', 'pressure'),
		q('air.compressor.cutOutBar', 'Cut-out', 'pressure'),
		choice('air.compressor.oil', 'Lubrication', [
			['oiled', 'oiled', 'Lives longer; oil mist wants a coalescing filter.'],
			['oil-free', 'oil-free', 'No oil in the air; wears out sooner when it runs without rest.']
		]),
		q('air.altitudeM', 'Altitude', 'altitude')
	];
}

const fromCompressor = (b: Bench) => b.air.source === 'compressor';
const throughLine = (b: Bench) => b.air.source !== 'built-in';

export const AIR_PARTS: Part[] = [
	{
		id: 'compressor',
		rail: 'air',
		name: (b) =>
			b.air.source === 'bottle'
				? b.air.bottle?.gas === 'nitrogen'
					? 'Nitrogen bottles'
					: 'Air bottles'
				: b.air.source === 'built-in'
					? 'Built-in compressor'
					: 'Compressor',
		about: 'free air, not displacement',
		entered: (b) =>
			b.air.source === 'bottle'
				? { value: b.air.bottle!.fillBar, quantity: 'pressure' }
				: b.air.source === 'built-in'
					? undefined
					: { value: b.air.compressor.points.at(-1)!.flowLpm, quantity: 'flow' },
		figure: (b) =>
			b.air.source === 'bottle'
				? 'air.bottleS'
				: b.air.source === 'built-in'
					? undefined
					: 'air.deliveryLpm',
		tells: ['air.useLpm', 'air.runShare', 'air.startsPerH'],
		fields: sourceFields
	},
	{
		id: 'tank',
		rail: 'air',
		shown: fromCompressor,
		name: () => 'Tank',
		about: 'decides how small a compressor may be',
		entered: (b) => ({ value: b.air.tankL, quantity: 'volume' }),
		figure: () => 'air.tankLowBar',
		check: 'air.inletLowBar',
		tells: ['air.tankNeededBar', 'air.longestCutS', 'water.tankGH', 'water.drainH'],
		fields: () => [
			q('air.tankL', 'Volume, all tanks', 'volume'),
			q('air.tankRiseK', 'Tank above the shop', 'kelvin'),
			q('air.coolingM', 'Cooling pipe after it', 'run')
		]
	},
	{
		id: 'dryer',
		rail: 'air',
		shown: throughLine,
		name: (b) => (b.air.stages.some(dries) ? 'Dryer' : 'No dryer'),
		about: 'desiccant; a trap is no dryer',
		entered: (b) => {
			const dryer = b.air.stages.find(dries);
			return dryer && { value: dryer.lossBar, quantity: 'pressure' };
		},
		figure: () => 'air.afterDryerBar',
		check: 'water.dewC',
		loses: 'air.dryerLossBar',
		tells: ['water.dewC', 'water.onwardGH', 'water.gelH', 'air.dryerLossBar'],
		fields: (b) => stageFields(b, true)
	},
	{
		id: 'filter',
		rail: 'air',
		shown: throughLine,
		name: (b) => (b.air.stages.some((s) => !dries(s)) ? 'Trap and filter' : 'No filter'),
		about: 'slugs of water; no dryer',
		entered: (b) => {
			const filter = b.air.stages.find((s) => !dries(s));
			return filter && { value: filter.lossBar, quantity: 'pressure' };
		},
		figure: () => 'air.afterFilterBar',
		loses: 'air.filterLossBar',
		tells: ['air.filterLossBar', 'water.trapGH'],
		fields: (b) => stageFields(b, false)
	},
	{
		id: 'hose',
		rail: 'air',
		shown: throughLine,
		name: () => 'Hose to the inlet',
		about: 'bore, couplings, set-point',
		entered: (b) => ({ value: b.air.hose.lengthM, quantity: 'run' }),
		figure: () => 'air.inletLowBar',
		check: 'air.inletLowBar',
		loses: 'air.hoseLossBar',
		tells: [
			'air.hoseLossBar',
			'air.torchBar',
			'setup.workingBar',
			'gouge.airBar',
			'air.flowLpm',
			'air.boreFlowLpm'
		],
		fields: () => [
			q('air.hose.boreMm', 'Bore', 'small'),
			q('air.hose.lengthM', 'Length', 'run'),
			q('air.hose.couplings', 'Quick couplings', 'count'),
			q('air.setPointBar', 'Shop’s regulator, air flowing', 'pressure')
		]
	}
];
