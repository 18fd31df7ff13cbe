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

/** Measurements and lives that count: the newest. A shop that has changed is not held to its old parts [own]. */
export const PARTS_MOST = 50;
const LifeSchema = v.object({ um: within(0, 1e8, 'µm'), worn: v.boolean('true or false') });
const PartSchema = v.object({
	/** Use of the one in the torch since it was new. */
	total: UseSchema,
	/** Its last measurement and the use since then; null: never measured. */
	last: v.nullable(v.object({ grownUm: within(0, 5000, 'µm'), useSince: UseSchema })),
	/** How far each had grown when it was measured last, and after which use. */
	measured: v.pipe(
		v.array(v.object({ grownUm: within(0, 5000, 'µm'), use: UseSchema })),
		v.maxLength(PARTS_MOST, `at most ${PARTS_MOST}`)
	),
	/** Growth by the starting rates that each came to. */
	lives: v.pipe(v.array(LifeSchema), v.maxLength(PARTS_MOST, `at most ${PARTS_MOST}`))
});
const startsOrNone = v.nullable(within(0, 1e7, ''));

export const WEAR_EVIDENCE = {
	wear: v.object({
		electrode: PartSchema,
		nozzle: PartSchema,
		/** Starts of the parts that are judged by eye; null: nobody noted when they were fitted. */
		starts: v.object({
			ring: startsOrNone,
			cap: startsOrNone,
			shield: startsOrNone,
			// Absent where nobody noted them: inputs from before they were counted stay what they were.
			'o-ring': v.optional(startsOrNone),
			/** Of the gouging nozzle the starts of its grooves alone. */
			'gouge-nozzle': v.optional(startsOrNone)
		})
	})
};
export type WearEvidence = v.InferOutput<v.ObjectSchema<typeof WEAR_EVIDENCE, undefined>>;
