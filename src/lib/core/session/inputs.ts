/** The work: the pattern of arc and pause, and the shop's weather. */
import * as v from 'valibot';
import { within } from '../quantity/within';

export const WorkSchema = v.object({
	/** The cut planned, over and over with the pause, or a pattern of its own: so who told none meant that. */
	by: v.optional(v.picklist(['cut', 'pattern'], 'cut or pattern'), 'pattern'),
	/** Arc of the pattern, and the pause of both. */
	arcS: within(1, 3600, 's'),
	restS: within(0, 3600, 's'),
	shopC: within(-20, 50, '°C'),
	/** Relative humidity of the shop's air, as a share. */
	humidity: v.optional(within(0.05, 1, '(share)'), 0.6),
	/** Cuts to do. */
	cuts: v.optional(v.pipe(within(1, 5000, ''), v.integer('a whole number')), 20),
	/** A shift with breaks; null: over and over. */
	shift: v.optional(
		v.nullable(
			v.object({
				hours: within(0.5, 12, 'h'),
				spellMin: within(5, 720, 'min'),
				breakMin: within(0, 240, 'min')
			})
		),
		null
	)
});

export type Work = v.InferOutput<typeof WorkSchema>;

export const SESSION_EVIDENCE = {
	/** How this bench has worked: arc of a start, and the pause when the log tells it, s. */
	pattern: v.optional(
		v.nullable(
			v.object({
				starts: v.pipe(v.number(), v.integer(), v.minValue(1)),
				arcS: within(0.1, 36_000, 's'),
				restS: v.nullable(within(0, 36_000, 's'))
			})
		),
		null
	)
};
