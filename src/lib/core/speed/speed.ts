/** Travel as the hand and the eye know it: where an aim sits, how sparks lag, what a hand holds. */

/**
 * Where each aim sits between the recommended travel (0) and the fastest that parts (1), in the logarithm
 * [own]. The window closes at the sever rating, and the aims with it.
 */
export const AIM_SHARES = {
	clean: 0,
	easiest: 0,
	cheapest: 0.4,
	sever: 0.8,
	fastest: 0.9
} as const;
/** Aims that want a clean edge, and so stay inside the clean rating. */
export const CLEAN_AIMS: readonly string[] = ['clean', 'easiest'];

/** Lag of sparks and lag lines at the recommended speed: the middle of 15–30° (common practice). */
export const LAG_AT_REFERENCE_DEG = 22.5;
const TAN_REFERENCE = Math.tan((LAG_AT_REFERENCE_DEG * Math.PI) / 180);

/**
 * Two schools of sparks (common practice): trailing 15 to 30°, or as near to straight down as they go.
 * Where the second stands still moving is our own: 5 to 15°, where the two meet.
 */
export const SPARK_SCHOOLS = ['trailing', 'straight'] as const;
export type SparkSchool = (typeof SPARK_SCHOOLS)[number];
export const LAG_WINDOW_DEG: Record<SparkSchool, readonly [number, number]> = {
	trailing: [15, 30],
	straight: [5, 15]
};
export const LAG_AIM_DEG: Record<SparkSchool, number> = {
	trailing: LAG_AT_REFERENCE_DEG,
	straight: 12
};
/** In sheet the sparks tell nothing: the second school slows the hand only from here to there, mm [own]. */
const SPARKS_TELL_MM = [2, 4] as const;

/** In sheet thinner than this nobody reads an angle off them, mm (common practice). */
export const SPARKS_READ_FROM_MM = 3;

/** Speed over the recommended speed at a lag angle: tan θ / tan 22.5° [own]. */
export function speedRatioFromLag(lagDeg: number): number {
	return Math.tan((lagDeg * Math.PI) / 180) / TAN_REFERENCE;
}

/** Lag angle in degrees at a speed over the recommended speed [own]. */
export function lagDegFromRatio(ratio: number): number {
	return (Math.atan(TAN_REFERENCE * ratio) * 180) / Math.PI;
}

/**
 * Travel for an aim over the recommended one: up the window towards the fastest that parts; an aim for the
 * edge goes by the school of sparks instead.
 */
export function aimFactor(
	aim: keyof typeof AIM_SHARES,
	{
		sparks,
		thicknessMm,
		fastestOverReference
	}: { sparks: SparkSchool; thicknessMm: number; fastestOverReference: number }
): number {
	if (CLEAN_AIMS.includes(aim)) {
		const [from, to] = SPARKS_TELL_MM;
		const tell = Math.min(1, Math.max(0, (thicknessMm - from) / (to - from)));
		return speedRatioFromLag(LAG_AIM_DEG[sparks]) ** tell;
	}
	return fastestOverReference ** AIM_SHARES[aim];
}

/** What a hand holds steadily without and with a guide, mm/s [own]. */
export const HAND_BAND_MM_S = [5, 30] as const;
export const GUIDED_MOST_MM_S = 50;

export const AIMS = ['clean', 'sever', 'fastest', 'cheapest', 'easiest'] as const;

export type Aim = (typeof AIMS)[number];

/** More are not kept: the newest speak. */
export const SPEED_READINGS_MOST = 32;
