/** The work: the pattern of arc and pause, and the shop's weather. */
import * as v from 'valibot';
import { within } from '../quantity/within';
import { SHIFT_RANGES, WORK_RANGES } from './work';

export const WorkSchema = v.object({
	/** The cut planned, over and over with the pause, or a pattern of its own: so who told none meant that. */
	by: v.optional(v.picklist(['cut', 'pattern'], 'cut or pattern'), 'pattern'),
	/** Arc of the pattern, and the pause of both. */
	arcS: within(...WORK_RANGES.arcS, 's'),
	restS: within(...WORK_RANGES.restS, 's'),
	shopC: within(...WORK_RANGES.shopC, '°C'),
	/** Relative humidity of the shop's air, as a share. */
	humidity: v.optional(within(...WORK_RANGES.humidity, '(share)'), 0.6),
	/** Cuts to do. */
	cuts: v.optional(v.pipe(within(...WORK_RANGES.cuts, ''), v.integer('a whole number')), 20),
	/** A shift with breaks; null: over and over. */
	shift: v.optional(
		v.nullable(
			v.object({
				hours: within(...SHIFT_RANGES.hours, 'h'),
				spellMin: within(...SHIFT_RANGES.spellMin, 'min'),
				breakMin: within(...SHIFT_RANGES.breakMin, 'min')
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
