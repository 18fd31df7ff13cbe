import * as v from 'valibot';

export const StatSchema = v.object({
	n: v.pipe(v.number(), v.integer(), v.minValue(1)),
	mean: v.pipe(v.number(), v.finite()),
	/** One standard deviation of the mean, same unit. */
	spread: v.pipe(v.number(), v.minValue(0))
});
/** Count, mean and its standard deviation of what was measured. */
export type Stat = v.InferOutput<typeof StatSchema>;
