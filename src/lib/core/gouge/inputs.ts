/** The groove that is wanted. */
import { DEFAULT_GOUGE, GOUGE_RANGES } from './groove';
import * as v from 'valibot';
import { within } from '../quantity/within';

export const GougeSchema = v.object({
	asked: v.optional(v.boolean('true or false'), DEFAULT_GOUGE.asked),
	depthMm: v.optional(within(...GOUGE_RANGES.depthMm, 'mm'), DEFAULT_GOUGE.depthMm),
	widthMm: v.optional(within(...GOUGE_RANGES.widthMm, 'mm'), DEFAULT_GOUGE.widthMm),
	angleFromPlateDeg: v.optional(
		within(...GOUGE_RANGES.angleFromPlateDeg, '°'),
		DEFAULT_GOUGE.angleFromPlateDeg
	)
});
export type Gouge = v.InferOutput<typeof GougeSchema>;
