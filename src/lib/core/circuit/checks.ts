import type { CircuitView } from './workings';
import type { Check, Verdict } from '../figure/types';
import { verdictOf } from '../figure/verdict';
import { type Guard, FUSE_BLOWS } from './protection';
import type { BREAKER_FIGURES } from './figures/breaker';
import type { LOAD_FIGURES } from './figures/loads';
import type { SUPPLY_FIGURES } from './figures/supply';
import type { WIRING_FIGURES } from './figures/wiring';

/** A question asked of a figure of this room. */
type Asked = Check<
	| keyof typeof BREAKER_FIGURES
	| keyof typeof LOAD_FIGURES
	| keyof typeof SUPPLY_FIGURES
	| keyof typeof WIRING_FIGURES
>;

const station = 'supply' as const;

function voltsCheck({ draw, wiring }: CircuitView): Asked {
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

function breakerCheck({ draw, wiring, session, inputs }: CircuitView): Asked {
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
function startCheck({ wiring }: CircuitView): Asked {
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
	w: CircuitView,
	{ id, part, carriesA, guard }: { id: Asked['id']; part: string; carriesA: number; guard?: Guard }
): Asked {
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
function plugFuseCheck({ draw, inputs }: CircuitView): Asked[] {
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

function generatorCheck({ draw }: CircuitView): Asked[] {
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

/** What is asked of the circuit. Margins as shares, see `Check`. */
export function circuitChecks(w: CircuitView): Asked[] {
	const { cord, receptacleA } = w.inputs.bench.supply;
	const { wireCarriesA, cordCarriesA, wireGuard, cordGuard } = w.wiring;
	return [
		voltsCheck(w),
		breakerCheck(w),
		startCheck(w),
		...generatorCheck(w),
		...plugFuseCheck(w),
		carries(w, {
			id: 'supply.wireCarriesA',
			part: 'Wire',
			carriesA: wireCarriesA,
			guard: wireGuard
		}),
		...(cord
			? [
					carries(w, {
						id: 'supply.cordCarriesA',
						part: 'Cord',
						carriesA: cordCarriesA,
						guard: cordGuard
					})
				]
			: []),
		carries(w, { id: 'supply.effectiveA', part: 'Receptacle', carriesA: receptacleA })
	];
}
