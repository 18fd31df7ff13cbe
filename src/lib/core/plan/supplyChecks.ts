import type { Guard } from '../circuit/protection';
import { HOT_SPOT_C } from '../cutter/duty';
import { shortAtS } from '../session/run';
import type { Check, Verdict } from './types';
import { verdictOf } from '../figure/verdict';
import type { Bench } from '../inputs/planInputs';
import { FUSE_BLOWS, type Workings } from './workings';
import { GAUGE_BAR, PLENTY_SHARE } from '../air/workings';

const station = 'supply' as const;

function voltsCheck({ draw, wiring }: Workings): Check {
	const volts = draw.delivered.ok ? draw.delivered.voltageV : 0;
	// Loaded it must not fall below, idle not stand above what the machine takes.
	const below = draw.delivered.ok ? (volts - wiring.leastV) / wiring.spanV : -1;
	const above = (wiring.mostV - wiring.sharedV) / wiring.spanV;
	const margin = Math.min(below, above);
	const high = above < below;
	return {
		id: high ? 'supply.sharedV' : 'supply.voltageV',
		station,
		part: 'Volts',
		verdict: verdictOf(margin),
		margin,
		spare: {
			value: high ? wiring.mostV - wiring.sharedV : volts - wiring.leastV,
			quantity: 'voltage'
		},
		stopsAtS: margin >= 0 ? undefined : 0,
		word: !draw.delivered.ok ? 'cannot be delivered' : high ? 'high volts' : 'low volts'
	};
}

function breakerCheck({ draw, wiring, session, inputs }: Workings): Check {
	const { earliest, latest } = session;
	// Between the earliest and the latest curve lies a band that no margin can settle.
	const margin = 1 - Math.sqrt(earliest.peak / earliest.node.limit);
	const { breaker } = inputs.bench.supply;
	// Under the label's own figures it is tight at best, whatever the work.
	const small =
		breaker.ratingA < wiring.inputEffA - 0.5 || breaker.ratingA < (wiring.plate.fuseA ?? 0);
	const verdict: Verdict = latest.crossing
		? 'stops'
		: earliest.crossing || small
			? 'tight'
			: verdictOf(margin);
	const drawnA = draw.inputA + wiring.steadyA + wiring.compressorA;
	return {
		id: 'supply.breakerPeak',
		station,
		part: 'Breaker',
		verdict,
		margin: verdict === 'tight' ? Math.max(0, margin) : margin,
		spare: { value: wiring.breakerA - drawnA, quantity: 'current' },
		stopsAtS: latest.crossing?.atS,
		word:
			verdict === 'tight' && earliest.crossing
				? 'breaker may trip'
				: small
					? 'breaker under the label'
					: 'breaker'
	};
}

/** A start against the magnetic band: above it the breaker trips at once, inside it may. */
function startCheck({ wiring }: Workings): Check {
	const [least, most] = wiring.magneticA;
	const margin = 1 - wiring.startA / least;
	const verdict: Verdict =
		wiring.startA >= most ? 'stops' : margin < 0 ? 'tight' : verdictOf(margin);
	return {
		id: 'supply.startA',
		station,
		part: 'Switch-on',
		verdict,
		margin: verdict === 'tight' ? Math.max(0, margin) : margin,
		spare: { value: least - wiring.startA, quantity: 'current' },
		stopsAtS: verdict === 'stops' ? 0 : undefined,
		word: margin < 0 ? 'may trip at switch-on' : 'switch-on'
	};
}

/**
 * A conductor that nothing in front of it protects is not to be used: the work stops before it starts.
 * One that runs too warm ages, and that is tight at best; so is a thin one that the rules let pass.
 */
function carries(
	w: Workings,
	{ id, part, carriesA, guard }: { id: Check['id']; part: string; carriesA: number; guard?: Guard }
): Check {
	// The tables give some sizes no use in the wall at all.
	const margin = carriesA > 0 ? 1 - w.draw.effectiveA / carriesA : -1;
	const word = part.toLowerCase();
	const open = guard?.verdict === 'not protected';
	const thin = guard?.verdict === 'thin';
	return {
		id,
		station,
		part,
		verdict: open ? 'stops' : margin < 0 || thin ? 'tight' : verdictOf(margin),
		margin: open ? Math.min(0, margin) : thin ? 0 : Math.max(0, margin),
		spare: { value: carriesA - w.draw.effectiveA, quantity: 'current' },
		stopsAtS: open ? 0 : undefined,
		word: open
			? `${word} not protected`
			: margin < 0
				? `${word} overloaded`
				: thin
					? `thin ${word}`
					: word
	};
}

/** A fuse in the plug carries its rating all day, and somewhat above it blows (BS 1362, from memory). */
function plugFuseCheck({ draw, inputs }: Workings): Check[] {
	const { plugFuseA } = inputs.bench.supply;
	if (plugFuseA === null) return [];
	const margin = 1 - Math.max(draw.effectiveA, draw.inputA / FUSE_BLOWS) / plugFuseA;
	return [
		{
			id: 'supply.nearestA',
			station,
			part: 'Plug fuse',
			verdict: verdictOf(margin),
			margin,
			spare: { value: plugFuseA - draw.effectiveA, quantity: 'current' },
			stopsAtS: margin < 0 ? 0 : undefined,
			word: 'plug fuse'
		}
	];
}

function generatorCheck({ draw }: Workings): Check[] {
	if (draw.generatorShare === undefined) return [];
	const margin = 1 - draw.generatorShare;
	return [
		{
			id: 'supply.generatorShare',
			station,
			part: 'Generator',
			verdict: verdictOf(margin),
			margin,
			spare: { value: margin, quantity: 'share' },
			stopsAtS: margin >= 0 ? undefined : 0,
			word: margin < 0 ? 'generator overloaded' : 'generator'
		}
	];
}

function heatCheck({ heat, session, draw, inputs }: Workings): Check {
	const { cutter } = session;
	const margin = (HOT_SPOT_C - cutter.peak) / (HOT_SPOT_C - inputs.work.shopC);
	return {
		id: 'cutter.peakC',
		station,
		part: 'Cutter',
		verdict: cutter.crossing ? 'stops' : verdictOf(margin),
		margin,
		spare: { value: heat.dutyShare - draw.onShare, quantity: 'share' },
		stopsAtS: cutter.crossing?.atS,
		word: 'cutter heat'
	};
}

/** What makes a pressure in the window plenty, sure, tight or out of it. */
function inWindow(bar: number, { airMinBar, airMaxBar }: Bench['cutter']) {
	const plenty = PLENTY_SHARE * (airMaxBar - airMinBar);
	const low = bar - airMinBar;
	const high = airMaxBar - bar;
	const out = Math.min(low, high) < -GAUGE_BAR - 1e-9;
	// At the top only the gauge's own error counts: more is not better, nor is it worse before the end.
	const tight = low < GAUGE_BAR - 1e-9 || high < GAUGE_BAR - 1e-9;
	const margin = Math.min(1, low / plenty, Math.max(high, 0) / GAUGE_BAR);
	return { out, tight, margin: out ? Math.min(margin, -1e-6) : Math.max(0, margin), high };
}

function airCheck({ air, inputs }: Workings): Check[] {
	const { air: bench, cutter } = inputs.bench;
	// The cutter's own compressor makes what it needs; of the shop's air nothing is asked.
	if (bench.source === 'built-in') return [];
	const set = inWindow(bench.setPointBar, cutter);
	const inletBar = air.inletLowBar ?? 0;
	const inlet = inWindow(inletBar, cutter);
	const runsOut = shortAtS(air.run);
	// Outside the window the machine does not run, however much air there is.
	const stopsAtS = set.out ? 0 : (runsOut ?? (inlet.out ? 0 : undefined));
	const emptied = bench.source === 'bottle' && stopsAtS !== undefined && stopsAtS > 0;
	const verdict: Verdict =
		stopsAtS !== undefined
			? 'stops'
			: air.flowWay === 'bound'
				? 'not set'
				: inlet.tight
					? 'tight'
					: 'holds';
	const word = set.out
		? set.high < 0
			? 'set too high'
			: 'set too low'
		: emptied
			? 'bottles empty'
			: verdict === 'not set'
				? 'measure the flow'
				: inlet.tight && inlet.high < GAUGE_BAR
					? 'at the top of the window'
					: 'air';
	return [
		{
			id: 'air.inletLowBar',
			station,
			part: 'Air',
			verdict,
			margin: inlet.tight && verdict === 'tight' ? Math.min(inlet.margin, 0.09) : inlet.margin,
			spare: { value: Math.min(inletBar - cutter.airMinBar, inlet.high), quantity: 'pressure' },
			stopsAtS,
			word
		}
	];
}

/** Spare over the dew point that counts as plenty, K [own]. */
const DEW_SPAN_K = 20;

/** Water spoils parts and edges; it does not stop the work. */
function waterCheck({ air, inputs }: Workings): Check[] {
	if (!air.water) return [];
	const { dewC, mistGH } = air.water;
	const spareK = inputs.work.shopC - dewC;
	const separates = inputs.bench.air.stages.length > 0;
	const margin = spareK / DEW_SPAN_K;
	const wet = margin < 0 || (!separates && mistGH > 0);
	return [
		{
			id: 'water.dewC',
			station,
			part: 'Water',
			verdict: wet ? 'tight' : verdictOf(margin),
			margin: wet ? 0 : margin,
			spare: { value: spareK, quantity: 'kelvin' },
			word: wet ? 'wet air' : 'water'
		}
	];
}

/** What is asked of the electric side, the cutter and the air. Margins as shares, see `Check`. */
export function supplyChecks(w: Workings): Check[] {
	const { supply } = w.inputs.bench;
	return [
		voltsCheck(w),
		breakerCheck(w),
		startCheck(w),
		...generatorCheck(w),
		...plugFuseCheck(w),
		carries(w, {
			id: 'supply.wireCarriesA',
			part: 'Wire',
			carriesA: w.wiring.wireCarriesA,
			guard: w.wiring.wireGuard
		}),
		...(supply.cord
			? [
					carries(w, {
						id: 'supply.cordCarriesA',
						part: 'Cord',
						carriesA: w.wiring.cordCarriesA,
						guard: w.wiring.cordGuard
					})
				]
			: []),
		carries(w, { id: 'supply.effectiveA', part: 'Receptacle', carriesA: supply.receptacleA }),
		heatCheck(w),
		...airCheck(w),
		...waterCheck(w)
	];
}
