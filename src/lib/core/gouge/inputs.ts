/** The groove that is wanted. */
import { DEFAULT_GOUGE } from './groove';
import * as v from 'valibot';
import { within } from '../quantity/within';

export const GougeSchema = v.object({
	asked: v.optional(v.boolean('true or false'), DEFAULT_GOUGE.asked),
	depthMm: v.optional(within(0.3, 40, 'mm'), DEFAULT_GOUGE.depthMm),
	widthMm: v.optional(within(1, 40, 'mm'), DEFAULT_GOUGE.widthMm),
	angleFromPlateDeg: v.optional(within(20, 60, '°'), DEFAULT_GOUGE.angleFromPlateDeg)
});
export type Gouge = v.InferOutput<typeof GougeSchema>;
