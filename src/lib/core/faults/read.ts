/**
 * What a cut that was made tells about its causes. Each thing seen, or looked for and not seen, shifts
 * the belief by Bayes' rule; the things count as independent once the cause is given. Which sign goes with
 * which cause is common practice; how often, the numbers below, is our own.
 */
import { speedRatioFromLag } from '../speed/speed';
import type { JUDGED } from '../evidence/measured';
import type { FigureId } from '../plan/names';
import type { Plan } from '../plan/types';

export const CAUSES = [
	'right',
	'slow',
	'fast',
	'few-amps',
	'parts',
	'air',
	'height',
	'clamp',
	'power',
	'lean'
] as const;
export type Cause = (typeof CAUSES)[number];

export const SIGNS = [
	'soft-dross',
	'hard-dross',
	'spatter',
	'not-through',
	'wide-kerf',
	'bevel',
	'rough',
	'sputters'
] as const;
export type Sign = (typeof SIGNS)[number];

/** How often a sign is there under each cause, in the order of CAUSES [own]. */
const SEEN_UNDER: Record<Sign, readonly number[]> = {
	//             right slow  fast  amps  parts air   height clamp power lean
	'soft-dross': [0.06, 0.85, 0.05, 0.15, 0.3, 0.3, 0.25, 0.15, 0.15, 0.1],
	'hard-dross': [0.05, 0.04, 0.8, 0.6, 0.3, 0.2, 0.35, 0.3, 0.6, 0.1],
	spatter: [0.02, 0.05, 0.45, 0.4, 0.25, 0.2, 0.3, 0.2, 0.4, 0.05],
	'not-through': [0.01, 0.01, 0.4, 0.55, 0.2, 0.25, 0.2, 0.4, 0.5, 0.03],
	'wide-kerf': [0.04, 0.6, 0.03, 0.04, 0.6, 0.15, 0.5, 0.05, 0.04, 0.1],
	bevel: [0.06, 0.1, 0.2, 0.12, 0.6, 0.15, 0.45, 0.06, 0.08, 0.85],
	rough: [0.05, 0.35, 0.25, 0.2, 0.55, 0.45, 0.25, 0.3, 0.25, 0.1],
	sputters: [0.01, 0.03, 0.06, 0.08, 0.45, 0.5, 0.2, 0.6, 0.4, 0.02]
};

/** ln(tan θ / tan 22.5°) under each cause: mean and spread [own]. */
const LAG_UNDER: Record<Cause, readonly [number, number]> = {
	right: [0, 0.2],
	slow: [-0.7, 0.35],
	fast: [0.6, 0.3],
	'few-amps': [0.5, 0.35],
	parts: [0.15, 0.4],
	air: [0.1, 0.4],
	height: [0.1, 0.35],
	clamp: [0.2, 0.4],
	power: [0.45, 0.35],
	lean: [0, 0.3]
};

/** Belief before anything was seen [own]. */
const BEFORE: Record<Cause, number> = {
	right: 0.3,
	slow: 0.17,
	fast: 0.17,
	'few-amps': 0.06,
	parts: 0.09,
	air: 0.06,
	height: 0.05,
	clamp: 0.05,
	power: 0.03,
	lean: 0.02
};
/** So much likelier is a cause that the plan itself already finds tight or stopping [own]. */
const SUSPECT = 4;

export interface Seen {
	/** true: seen; false: looked for and not there; left out: not looked for. */
	signs: Partial<Record<Sign, boolean>>;
	/** Angle of sparks or lag lines from straight down; null: not read. */
	lagDeg: number | null;
}

export interface Reading {
	/** Shares of belief, largest first; they add up to 1. */
	beliefs: { cause: Cause; share: number }[];
	/** What to look at next; null: nothing left that would tell much. */
	next: Sign | null;
}

type Shares = Record<Cause, number>;

function normal(shares: Shares): Shares {
	const sum = CAUSES.reduce((total, cause) => total + shares[cause], 0);
	return Object.fromEntries(CAUSES.map((cause) => [cause, shares[cause] / sum])) as Shares;
}
function after(shares: Shares, sign: Sign, isSeen: boolean): Shares {
	return normal(
		Object.fromEntries(
			CAUSES.map((cause, i) => {
				const p = SEEN_UNDER[sign][i]!;
				return [cause, shares[cause] * (isSeen ? p : 1 - p)];
			})
		) as Shares
	);
}
function likelihoodOfLag(cause: Cause, lagDeg: number): number {
	const [mean, spread] = LAG_UNDER[cause];
	const z = (Math.log(speedRatioFromLag(lagDeg)) - mean) / spread;
	return Math.exp(-0.5 * z * z) / spread;
}
/** Uncertainty that is left, nats. */
function entropy(shares: Shares): number {
	return -CAUSES.reduce((sum, c) => sum + (shares[c] > 0 ? shares[c] * Math.log(shares[c]) : 0), 0);
}
/** Uncertainty that looking for a sign takes away on average, nats. */
function gain(shares: Shares, sign: Sign): number {
	const p = CAUSES.reduce((sum, cause, i) => sum + shares[cause] * SEEN_UNDER[sign][i]!, 0);
	const left =
		p * entropy(after(shares, sign, true)) + (1 - p) * entropy(after(shares, sign, false));
	return entropy(shares) - left;
}

/** Looking for something that tells less than this is not worth it, nats [own]. */
const WORTH_LOOKING = 0.03;

/**
 * Beliefs after what was seen. `suspects` are causes that the plan finds tight or stopping. The spark
 * angle must lie above 0 and below 90°; it tells nothing in sheet under about 3 mm, leave it out there.
 */
export function readResult(seen: Seen, suspects: readonly Cause[] = []): Reading {
	let shares = normal(
		Object.fromEntries(
			CAUSES.map((cause) => [cause, BEFORE[cause] * (suspects.includes(cause) ? SUSPECT : 1)])
		) as Shares
	);
	const { lagDeg } = seen;
	if (lagDeg !== null) {
		shares = normal(
			Object.fromEntries(
				CAUSES.map((cause) => [cause, shares[cause] * likelihoodOfLag(cause, lagDeg)])
			) as Shares
		);
	}
	for (const sign of SIGNS) {
		const is = seen.signs[sign];
		if (is !== undefined) shares = after(shares, sign, is);
	}
	const open = SIGNS.filter((sign) => seen.signs[sign] === undefined)
		.map((sign) => ({ sign, gain: gain(shares, sign) }))
		.sort((a, b) => b.gain - a.gain);
	const [best] = open;
	return {
		beliefs: CAUSES.map((cause) => ({ cause, share: shares[cause] })).sort(
			(a, b) => b.share - a.share
		),
		next: best && best.gain > WORTH_LOOKING ? best.sign : null
	};
}

/** What a cause says of the speed that was held. */
export const judgedBy = (cause: Cause): (typeof JUDGED)[number] =>
	cause === 'right' || cause === 'slow' || cause === 'fast' ? cause : 'other';

/** Checks of the plan that make a cause likelier when they are tight or stop. */
const SUSPECT_BY: Partial<Record<FigureId, Cause>> = {
	'supply.voltageV': 'power',
	'supply.generatorShare': 'power',
	'air.inletLowBar': 'air',
	'water.dewC': 'air',
	'setup.cleanMm': 'few-amps',
	'setup.severMm': 'few-amps',
	'setup.nozzleA': 'parts',
	'wear.cutsLeft': 'parts'
};

/** Causes that the plan itself finds tight or stopping. */
export function suspectsOf({ checks }: Pick<Plan, 'checks'>): Cause[] {
	const weak = checks.filter(({ verdict }) => verdict === 'tight' || verdict === 'stops');
	return [...new Set(weak.flatMap(({ id }) => SUSPECT_BY[id] ?? []))];
}
