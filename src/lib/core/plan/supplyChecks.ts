import { HOT_SPOT_C } from '../cutter/duty';
import { shortAtS } from '../session/run';
import type { Check, Verdict } from './types';
import { verdictOf } from './verdict';
import type { Workings } from './workings';

const station = 'supply' as const;

function voltsCheck({ draw, wiring }: Workings): Check {
	const volts = draw.delivered.ok ? draw.delivered.voltageV : 0;
	const margin = draw.delivered.ok ? (volts - wiring.leastV) / wiring.spanV : -1;
	return {
		id: 'supply.voltageV',
		station,
		part: 'Volts',
		verdict: verdictOf(margin),
		margin,
		spare: { value: volts - wiring.leastV, quantity: 'voltage' },
		stopsAtS: margin >= 0 ? undefined : 0,
		word: draw.delivered.ok ? 'low volts' : 'cannot be delivered'
	};
}

function breakerCheck({ draw, wiring, session }: Workings): Check {
	const { earliest, latest } = session;
	// Between the touchiest and the laziest breaker lies a band that no margin can settle.
	const margin = 1 - Math.sqrt(earliest.peak / earliest.node.limit);
	const verdict: Verdict = latest.crossing
		? 'stops'
		: earliest.crossing
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
		word: verdict === 'tight' && earliest.crossing ? 'breaker may trip' : 'breaker'
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

/** An overloaded conductor does not stop the work; it ages, and that is tight at best. */
function carries(w: Workings, id: Check['id'], part: string, carriesA: number): Check {
	const margin = 1 - w.draw.effectiveA / carriesA;
	const word = part.toLowerCase();
	return {
		id,
		station,
		part,
		verdict: margin < 0 ? 'tight' : verdictOf(margin),
		margin: Math.max(0, margin),
		spare: { value: carriesA - w.draw.effectiveA, quantity: 'current' },
		word: margin < 0 ? `${word} overloaded` : word
	};
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

function heatCheck({ heat, session, wiring, inputs }: Workings): Check {
	const { cutter } = session;
	const margin = (HOT_SPOT_C - cutter.peak) / (HOT_SPOT_C - inputs.work.shopC);
	return {
		id: 'cutter.peakC',
		station,
		part: 'Cutter',
		verdict: cutter.crossing ? 'stops' : verdictOf(margin),
		margin,
		spare: { value: heat.dutyShare - wiring.onShare, quantity: 'share' },
		stopsAtS: cutter.crossing?.atS,
		word: 'cutter heat'
	};
}

function airCheck({ air, inputs }: Workings): Check {
	const { cutter } = inputs.bench;
	const inletBar = air.inletLowBar ?? 0;
	const margin = (inletBar - cutter.airMinBar) / (cutter.airMaxBar - cutter.airMinBar);
	const runsOut = shortAtS(air.run);
	// Outside the window the machine does not run, however much air there is.
	const short = air.setPointInWindow ? (runsOut ?? (margin < -1e-9 ? 0 : undefined)) : 0;
	const bottle = inputs.bench.air.source === 'bottle' && short !== undefined && short > 0;
	return {
		id: 'air.inletLowBar',
		station,
		part: 'Air',
		verdict: short !== undefined ? 'stops' : verdictOf(Math.max(0, margin)),
		margin,
		spare: { value: inletBar - cutter.airMinBar, quantity: 'pressure' },
		stopsAtS: short,
		word: !air.setPointInWindow ? 'set-point outside the window' : bottle ? 'bottles empty' : 'air'
	};
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
		carries(w, 'supply.wireCarriesA', 'Wire', w.wiring.wireCarriesA),
		...(supply.cord ? [carries(w, 'supply.cordCarriesA', 'Cord', w.wiring.cordCarriesA)] : []),
		carries(w, 'supply.effectiveA', 'Receptacle', supply.receptacleA),
		heatCheck(w),
		airCheck(w),
		...waterCheck(w)
	];
}
