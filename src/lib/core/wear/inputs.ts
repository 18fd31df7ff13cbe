/** What wear is told: how the parts were used, and what was measured of them. */
import * as v from 'valibot';
import { within } from '../quantity/within';

const UseSchema = v.object({
	starts: within(0, 1e6, ''),
	arcMin: within(0, 1e6, 'min'),
	/** Arc minutes, each times the load on the nozzle. */
	loadMin: within(0, 1e8, 'min'),
	/** Pilot arc that cut nothing, s. */
	pilotS: within(0, 1e8, 's'),
	piercesRolled: within(0, 1e6, ''),
	piercesStraight: within(0, 1e6, '')
});

export const WEAR_EVIDENCE = {
	wear: v.object({
		/** Use of the electrode in the torch since it was new. */
		total: UseSchema,
		/** Deepest measured pit and the use since then; null: never measured. */
		lastPit: v.nullable(v.object({ pitUm: within(0, 5000, 'µm'), useSince: UseSchema })),
		/** Measured and expected growth over all sets, µm, which make the shop's own factor. */
		measuredUm: within(0, 1e7, 'µm'),
		expectedUm: within(0, 1e7, 'µm')
	})
};
export type WearEvidence = v.InferOutput<v.ObjectSchema<typeof WEAR_EVIDENCE, undefined>>;
