/** What the law of speed is told: the aim, and what test cuts said. */
import * as v from 'valibot';
import { SPEED_READINGS_MOST } from './speed';
import { SpeedReadingSchema } from './reading';

export const SPEED_EVIDENCE = {
	/** What test cuts told of the speed, those at one place merged. */
	speed: v.pipe(v.array(SpeedReadingSchema), v.maxLength(SPEED_READINGS_MOST))
};
export type SpeedEvidence = v.InferOutput<v.ObjectSchema<typeof SPEED_EVIDENCE, undefined>>;
