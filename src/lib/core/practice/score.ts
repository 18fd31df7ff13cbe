/** How evenly a hand went along a line: from where a pointer was, and when. */

export interface Sample {
	/** Along the line and beside it, mm; when, s. */
	alongMm: number;
	besideMm: number;
	atS: number;
}

export interface Window {
	lowMmS: number;
	highMmS: number;
}

/** The worst stretch of a run. */
export interface Stretch {
	fromMm: number;
	toMm: number;
	what: 'slow' | 'fast' | 'off';
}

export interface Score {
	lengthMm: number;
	timeS: number;
	/** Mean over the line: length over time. */
	meanMmS: number;
	/** One standard deviation of the speed along the line. */
	spreadMmS: number;
	/** Share of the line that was travelled inside the window. */
	insideShare: number;
	/** Largest distance beside the line, mm. */
	offMm: number;
	/** Speed for each step of the line, mm/s. */
	steps: { atMm: number; speedMmS: number; besideMm: number }[];
	/** Longest stretch outside the window or off the line; null: there was none. */
	worst: Stretch | null;
}

/** Steps the line is read in, mm: shorter ones read the pointer's grain, not the hand [own]. */
export const STEP_MM = 5;
/** The hand sets off and stops within this at both ends; it is not counted, mm [own]. */
export const ENDS_MM = 5;
/** A hand that is this far beside the line is off it, mm [own]. */
export const OFF_MM = 1.5;
/** Shorter runs tell nothing, mm. */
export const LENGTH_LEAST_MM = 30;

/** When the pointer first got that far, by straight lines between its samples; undefined: never. */
function firstAt(samples: readonly Sample[], alongMm: number): Sample | undefined {
	for (let i = 1; i < samples.length; i++) {
		const [a, b] = [samples[i - 1]!, samples[i]!];
		if (b.alongMm < alongMm || a.alongMm > alongMm) continue;
		const t = b.alongMm === a.alongMm ? 0 : (alongMm - a.alongMm) / (b.alongMm - a.alongMm);
		const mix = (k: keyof Sample) => a[k] + t * (b[k] - a[k]);
		return { alongMm, besideMm: mix('besideMm'), atS: mix('atS') };
	}
	return undefined;
}

/**
 * Scores one run along a line; undefined: too short to tell, or it never moved on. Going back counts as
 * standing: a torch that goes back cuts nothing new.
 */
export function score(samples: readonly Sample[], window: Window): Score | undefined {
	const onward: Sample[] = [];
	for (const s of samples) {
		if (onward.length === 0 || s.alongMm > onward.at(-1)!.alongMm) onward.push(s);
	}
	const [first, last] = [onward[0], onward.at(-1)];
	if (!first || !last) return undefined;
	const fromMm = first.alongMm + ENDS_MM;
	const count = Math.floor((last.alongMm - ENDS_MM - fromMm) / STEP_MM + 1e-9);
	if (count * STEP_MM < LENGTH_LEAST_MM) return undefined;
	const marks = Array.from({ length: count + 1 }, (_, i) => firstAt(onward, fromMm + i * STEP_MM)!);
	const steps = marks.slice(1).map((to, i) => {
		const from = marks[i]!;
		return {
			atMm: from.alongMm - first.alongMm,
			speedMmS: STEP_MM / Math.max(1e-6, to.atS - from.atS),
			besideMm: (from.besideMm + to.besideMm) / 2
		};
	});
	const lengthMm = count * STEP_MM;
	const timeS = marks.at(-1)!.atS - marks[0]!.atS;
	const mean = steps.reduce((sum, s) => sum + s.speedMmS, 0) / count;
	const variance =
		steps.reduce((sum, s) => sum + (s.speedMmS - mean) ** 2, 0) / Math.max(1, count - 1);
	const verdict = (s: (typeof steps)[number]): Stretch['what'] | undefined =>
		Math.abs(s.besideMm) > OFF_MM
			? 'off'
			: s.speedMmS < window.lowMmS
				? 'slow'
				: s.speedMmS > window.highMmS
					? 'fast'
					: undefined;
	let worst = null as Stretch | null;
	let run = null as Stretch | null;
	for (const step of steps) {
		const what = verdict(step);
		run =
			what === undefined
				? null
				: run?.what === what
					? { ...run, toMm: step.atMm + STEP_MM }
					: { fromMm: step.atMm, toMm: step.atMm + STEP_MM, what };
		if (run && (!worst || run.toMm - run.fromMm > worst.toMm - worst.fromMm)) worst = run;
	}
	const inside = steps.filter((s) => s.speedMmS >= window.lowMmS && s.speedMmS <= window.highMmS);
	return {
		lengthMm,
		timeS,
		meanMmS: lengthMm / timeS,
		spreadMmS: Math.sqrt(variance),
		insideShare: inside.length / count,
		offMm: Math.max(...steps.map((s) => Math.abs(s.besideMm))),
		steps,
		worst
	};
}

/** Time the speed under the hand is smoothed over, s: sparks do not answer faster [own]. */
const SMOOTH_S = 0.15;

/** Speed under the hand now, mm/s: exponentially smoothed over the newest samples. */
export function liveSpeedMmS(beforeMmS: number, from: Sample, to: Sample): number {
	const dt = to.atS - from.atS;
	if (!(dt > 0)) return beforeMmS;
	const now = Math.max(0, (to.alongMm - from.alongMm) / dt);
	return beforeMmS + (now - beforeMmS) * (1 - Math.exp(-dt / SMOOTH_S));
}

/** Better is the larger share inside; the smaller spread between equals. */
export function isBetter(
	a: Pick<Score, 'insideShare' | 'spreadMmS'>,
	b: Pick<Score, 'insideShare' | 'spreadMmS'>
): boolean {
	return a.insideShare === b.insideShare
		? a.spreadMmS < b.spreadMmS
		: a.insideShare > b.insideShare;
}
