/** What a test cut tells of the speed, merged with others like it. */
import * as v from 'valibot';
import { METAL_IDS } from '../metal/metals';
import { within } from '../quantity/within';

/**
 * `lag`: recommended speed by the spark angle. `fine`: a clean edge at the speed held. `slow`, `fast`: the
 * dross told that the speed held was too slow, too fast. `missed`, `parted`: it did not go through, or a
 * fast cut that did: both speak of the fastest speed.
 */
export const READING_KINDS = ['lag', 'fine', 'slow', 'fast', 'missed', 'parted'] as const;

export const SpeedReadingSchema = v.object({
	metal: v.picklist(METAL_IDS),
	nozzleA: within(5, 500, 'A'),
	outputA: within(5, 500, 'A'),
	thicknessMm: within(0.2, 300, 'mm'),
	kind: v.picklist(READING_KINDS),
	/** Logarithm of the speed in mm/min: the one seen, or the one held. */
	lnMmMin: v.pipe(v.number(), v.finite()),
	/** Cuts that were merged; each counts for less as the parts wear on. */
	weight: within(0, 1e6, '')
});
export type SpeedReading = v.InferOutput<typeof SpeedReadingSchema>;
