/** What test grooves make of the model's removal and shape: one belief, moved by what was measured. */
import type { Stat } from '../quantity/stat';
import { DEPTH_PER_WIDTH } from './removal';
import { stringAreaMm2 } from './shape';

/** How far the model may be off before anybody has measured, as one standard deviation of the logarithm [own]. */
export const REMOVAL_PRIOR = 0.25;
export const SHAPE_PRIOR = 0.2;
/** One groove, with a rule, a depth gauge and a watch, is good to about this share [own]. */
export const GROOVE_READING = 0.12;

export interface TestGroove {
	widthMm: number;
	depthMm: number;
	lengthMm: number;
	seconds: number;
	angleFromPlateDeg: number;
}
/** ln of what went over what the model says would go, mm³/s. */
export const removalRead = (
	{ widthMm, depthMm, lengthMm, seconds }: TestGroove,
	modelMm3S: number
): number => Math.log((stringAreaMm2(widthMm, depthMm) * lengthMm) / seconds / modelMm3S);
/** ln of depth over width against the model's at that angle. */
export const shapeRead = ({ widthMm, depthMm, angleFromPlateDeg }: TestGroove): number =>
	Math.log(depthMm / widthMm / (DEPTH_PER_WIDTH * Math.tan((angleFromPlateDeg * Math.PI) / 180)));

/** A factor on the model, with the spread of its logarithm; 1 before anything was measured. */
export interface Factor {
	factor: number;
	spread: number;
	from: number;
}
/** Belief and readings by their precisions, in logarithms. */
export function factorOf(stat: Stat | undefined, prior: number): Factor {
	if (!stat) return { factor: 1, spread: prior, from: 0 };
	const precision = 1 / prior ** 2;
	const read = 1 / Math.max(stat.spread, 1e-6) ** 2;
	return {
		factor: Math.exp((read * stat.mean) / (read + precision)),
		spread: 1 / Math.sqrt(read + precision),
		from: stat.n
	};
}

/** What was read over what the model says, as a share. */
export const shareOf = ({ mean }: Stat): number => Math.exp(mean);
