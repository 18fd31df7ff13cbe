/**
 * The questions of the first hour, in the order in which they are asked. Each knows how its answer is
 * read from a bench, written into it, and which fields it then has checked; and what is typical as long as
 * nobody knows. A bench may be new or have stood for years: its answers are read from it again.
 */
import { plateInput } from '../cutter/plate';
import { inputMaxA } from '../cutter/power';
import type { Bench } from '../inputs/bench';
import { isTypical } from '../inputs/typical';
import {
	DELIVERY_AT_BAR,
	TYPICAL_COMPRESSOR,
	TYPICAL_DUTY,
	TYPICAL_WINDOW_BAR,
	typicalBoreMm,
	typicalBreakerA,
	typicalFlowLpm,
	typicalLeastA,
	typicalRatingMm,
	typicalSetPointBar,
	typicalSeverMm,
	typicalWire
} from './typical';
import { DRAW_MOST_A, type Answer, type QuestionId } from './shapes';

export interface Question<A> {
	/** Fields that an answer checks; the first tells whether it was answered. */
	fields: (bench: Bench, answer: A) => string[];
	read: (bench: Bench) => A;
	write: (bench: Bench, answer: A) => Bench;
	/** As long as nobody knows, from what is known. */
	typical: (bench: Bench) => A;
	/** Two answers between which it most often lies, to see what it moves. */
	plausible: (bench: Bench) => [A, A];
}

const inputAt = (bench: Bench): number => bench.cutter.inputs.indexOf(plateInput(bench)!);
const inputOf = (bench: Bench) => plateInput(bench)!;
export const mostA = (bench: Bench): number => inputOf(bench).outputMaxA;

function withCutter(bench: Bench, change: Partial<Bench['cutter']>): Bench {
	return { ...bench, cutter: { ...bench.cutter, ...change } };
}
function withSupply(bench: Bench, change: Partial<Bench['supply']>): Bench {
	return { ...bench, supply: { ...bench.supply, ...change } };
}
function withInput(bench: Bench, change: Partial<Bench['cutter']['inputs'][number]>): Bench {
	const at = inputAt(bench);
	const inputs = bench.cutter.inputs.map((input, i) =>
		i === at ? { ...input, ...change } : input
	);
	return withCutter(bench, { inputs });
}

/** Of the duty pairs, the one at the most amps. */
const fullPair = (bench: Bench) =>
	inputOf(bench).duty.reduce((full, pair) => (pair.outputA > full.outputA ? pair : full));
const fullDuty = (bench: Bench): number => fullPair(bench).dutyShare;

/** The duty at full amps anew, and the other pairs below it as they were, in whatever order. */
function withFullDuty(bench: Bench, outputA: number, dutyShare: number): Bench {
	const full = fullPair(bench);
	const lower = inputOf(bench).duty.filter((pair) => pair !== full && pair.outputA < outputA);
	return withInput(bench, { duty: [{ outputA, dutyShare }, ...lower] });
}

/** Scaled, to a step that a label would show. */
const times = (x: number, factor: number, step: number) => Math.round((x * factor) / step) * step;

export const QUESTIONS: { [Id in QuestionId]: Question<Answer<Id>> } = {
	amps: {
		fields: (b, a) => [
			`cutter.inputs.${inputAt(b)}.outputMaxA`,
			...(a.leastA === null ? [] : ['cutter.outputMinA'])
		],
		read: (b) => ({ mostA: mostA(b), leastA: b.cutter.outputMinA }),
		write: (b, a) => {
			const share = fullDuty(b);
			const rated = withFullDuty(withInput(b, { outputMaxA: a.mostA }), a.mostA, share);
			const least = a.leastA ?? Math.min(typicalLeastA(a.mostA), a.mostA);
			const named = b.cutter.name === 'My cutter' || /^\d+ A cutter$/.test(b.cutter.name);
			return withCutter(rated, {
				outputMinA: least,
				...(named ? { name: `${a.mostA} A cutter` } : {})
			});
		},
		typical: () => ({ mostA: 45, leastA: null }),
		plausible: () => [
			{ mostA: 40, leastA: null },
			{ mostA: 50, leastA: null }
		]
	},
	volts: {
		fields: (b) => {
			const at = inputAt(b);
			return [
				'supply.nominalV',
				'supply.phases',
				`cutter.inputs.${at}.voltageV`,
				`cutter.inputs.${at}.phases`
			];
		},
		read: (b) => ({ voltageV: b.supply.nominalV, phases: b.supply.phases }),
		write: (b, a) => {
			// A machine for several voltages may list this one already.
			const listed = plateInput({ ...b, supply: { nominalV: a.voltageV, phases: a.phases } });
			const moved = listed ? b : withInput(b, { voltageV: a.voltageV, phases: a.phases });
			return withSupply(moved, { nominalV: a.voltageV, phases: a.phases });
		},
		typical: (b) => ({ voltageV: b.supply.nominalV, phases: b.supply.phases }),
		plausible: (b) => [QUESTIONS.volts.read(b), QUESTIONS.volts.read(b)]
	},
	draws: {
		fields: (b) => [`cutter.inputs.${inputAt(b)}.inputMaxA`],
		read: (b) => ({ inputMaxA: inputOf(b).inputMaxA ?? estimatedDrawA(b) }),
		write: (b, a) => withInput(b, { inputMaxA: a.inputMaxA }),
		typical: (b) => ({ inputMaxA: estimatedDrawA(b) }),
		plausible: (b) => [
			{ inputMaxA: times(estimatedDrawA(b), 0.9, 0.5) },
			{ inputMaxA: times(estimatedDrawA(b), 1.25, 0.5) }
		]
	},
	clean: {
		fields: () => ['cutter.cleanMm'],
		read: (b) => ({ cleanMm: b.cutter.cleanMm }),
		write: (b, a) => withCutter(b, a),
		typical: (b) => ({ cleanMm: typicalRatingMm(mostA(b), b.supply.system).cleanMm }),
		plausible: (b) => {
			const { cleanMm } = typicalRatingMm(mostA(b), b.supply.system);
			return [{ cleanMm: times(cleanMm, 0.8, 0.5) }, { cleanMm: times(cleanMm, 1.25, 0.5) }];
		}
	},
	severs: {
		fields: () => ['cutter.severMm'],
		read: (b) => ({ severMm: b.cutter.severMm }),
		write: (b, a) => withCutter(b, a),
		// The two go together: a machine that cuts more clean severs more.
		typical: (b) => ({ severMm: typicalSeverMm(b.cutter.cleanMm, b.supply.system) }),
		plausible: (b) => [
			{ severMm: times(b.cutter.cleanMm, 1.4, 0.5) },
			{ severMm: times(b.cutter.cleanMm, 2.1, 0.5) }
		]
	},
	duty: {
		fields: (b) => [`cutter.inputs.${inputAt(b)}.duty`],
		read: (b) => ({ dutyShare: fullDuty(b) }),
		write: (b, a) => withFullDuty(b, mostA(b), a.dutyShare),
		typical: () => ({ dutyShare: TYPICAL_DUTY }),
		plausible: () => [{ dutyShare: 0.2 }, { dutyShare: 0.6 }]
	},
	air: {
		fields: (_, a) => [
			'cutter.airMinBar',
			...(a.toBar === null ? [] : ['cutter.airMaxBar']),
			...(a.flowLpm === null ? [] : ['cutter.airFlowLpm'])
		],
		read: (b) => ({
			fromBar: b.cutter.airMinBar,
			toBar: b.cutter.airMaxBar,
			flowLpm: b.cutter.airFlowLpm
		}),
		write: (b, a) => {
			const spanBar = TYPICAL_WINDOW_BAR.to - TYPICAL_WINDOW_BAR.from;
			const toBar = a.toBar ?? Math.round(10 * (a.fromBar + spanBar)) / 10;
			const flowLpm = a.flowLpm ?? typicalFlowLpm(mostA(b));
			const moved = withCutter(b, { airMinBar: a.fromBar, airMaxBar: toBar, airFlowLpm: flowLpm });
			// A regulator that somebody set stays where it is.
			if (!isTypical(b.typical, 'air.setPointBar')) return moved;
			const setPointBar = typicalSetPointBar(a.fromBar, toBar);
			return { ...moved, air: { ...moved.air, setPointBar } };
		},
		typical: (b) => ({
			fromBar: TYPICAL_WINDOW_BAR.from,
			toBar: TYPICAL_WINDOW_BAR.to,
			flowLpm: typicalFlowLpm(mostA(b))
		}),
		plausible: (b) => {
			const flowLpm = typicalFlowLpm(mostA(b));
			return [
				{ fromBar: 4.1, toBar: 5.5, flowLpm: times(flowLpm, 0.75, 5) },
				{ fromBar: 5, toBar: 7, flowLpm: times(flowLpm, 1.25, 5) }
			];
		}
	},
	breaker: {
		fields: (_, a) => [
			'supply.breaker.ratingA',
			...(a.curve === null ? [] : ['supply.breaker.curve'])
		],
		read: (b) => ({ ratingA: b.supply.breaker.ratingA, curve: b.supply.breaker.curve }),
		write: (b, a) => {
			const { breaker, receptacleA } = b.supply;
			const untold = isTypical(b.typical, 'supply.receptacleA');
			return withSupply(b, {
				breaker: { ...breaker, ratingA: a.ratingA, curve: a.curve ?? breaker.curve },
				receptacleA: untold ? a.ratingA : receptacleA
			});
		},
		typical: (b) => ({
			ratingA: typicalBreakerA(b.supply.system, b.supply.nominalV),
			curve: b.supply.system === 'iec' ? 'B' : 'C'
		}),
		plausible: (b) =>
			b.supply.system === 'iec'
				? [
						{ ratingA: 16, curve: 'B' },
						{ ratingA: 32, curve: 'C' }
					]
				: [
						{ ratingA: b.supply.nominalV < 150 ? 15 : 20, curve: 'C' },
						{ ratingA: b.supply.nominalV < 150 ? 30 : 50, curve: 'C' }
					]
	},
	wire: {
		fields: (_, a) => ['supply.wire.size', ...(a.lengthM === null ? [] : ['supply.wire.lengthM'])],
		read: (b) => ({ size: b.supply.wire.size, lengthM: b.supply.wire.lengthM }),
		write: (b, a) =>
			withSupply(b, {
				wire: { ...b.supply.wire, size: a.size, lengthM: a.lengthM ?? b.supply.wire.lengthM }
			}),
		typical: (b) => typicalWire(b.supply.system, b.supply.breaker.ratingA),
		plausible: (b) => {
			const { size } = typicalWire(b.supply.system, b.supply.breaker.ratingA);
			return [
				{ size, lengthM: 8 },
				{ size, lengthM: 35 }
			];
		}
	},
	compressor: {
		fields: (_, a) =>
			a.source === 'built-in'
				? ['air']
				: [
						'air.compressor.points',
						'air.compressor.rating',
						'air.source',
						...(a.tankL === null ? [] : ['air.tankL'])
					],
		read: (b) => ({
			source: b.air.source === 'built-in' ? 'built-in' : 'compressor',
			deliveryLpm: b.air.compressor.points.at(-1)!.flowLpm,
			rating: b.air.compressor.rating,
			tankL: b.air.tankL
		}),
		write: (b, a) => {
			const compressor = {
				...b.air.compressor,
				points: [{ flowLpm: a.deliveryLpm, atBar: DELIVERY_AT_BAR }],
				rating: a.rating
			};
			const tankL = a.tankL ?? TYPICAL_COMPRESSOR.tankL;
			return { ...b, air: { ...b.air, source: a.source, compressor, tankL } };
		},
		typical: () => ({ source: 'compressor', ...TYPICAL_COMPRESSOR }),
		plausible: () => [
			{ source: 'compressor', deliveryLpm: 100, rating: 'delivered', tankL: 24 },
			{ source: 'compressor', deliveryLpm: 240, rating: 'delivered', tankL: 100 }
		]
	},
	nozzle: {
		fields: () => ['torch.nozzles', 'torch.fittedA'],
		read: (b) => ({ ratingA: b.torch.fittedA }),
		write: (b, a) => {
			const { nozzles } = b.torch;
			const listed = nozzles.some((n) => n.kind === 'cut' && n.ratingA === a.ratingA);
			const nozzle = {
				ratingA: a.ratingA,
				boreMm: typicalBoreMm(a.ratingA),
				kind: 'cut' as const,
				cleanMm: null,
				severMm: null
			};
			// Typical ones stand for what is now known; others are in the drawer.
			const others = isTypical(b.typical, 'torch.nozzles') ? [] : nozzles;
			const torch = {
				...b.torch,
				fittedA: a.ratingA,
				nozzles: listed ? nozzles : [...others, nozzle]
			};
			return { ...b, torch };
		},
		typical: (b) => ({ ratingA: mostA(b) }),
		plausible: (b) => [{ ratingA: Math.max(20, times(mostA(b), 0.65, 5)) }, { ratingA: mostA(b) }]
	}
};

export const QUESTION_IDS = Object.keys(QUESTIONS) as QuestionId[];

/** One question, whatever its answer: what it gives comes back to it alone. */
export const questionOf = (id: QuestionId) => QUESTIONS[id] as Question<unknown>;

/** Supply amps that a machine without them on its label would draw, to half an amp (rule of thumb). */
function estimatedDrawA(bench: Bench): number {
	const drawA = inputMaxA(bench, { ...inputOf(bench), inputMaxA: null });
	return Math.min(DRAW_MOST_A, Math.round(2 * drawA) / 2);
}
