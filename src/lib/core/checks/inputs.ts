/** What was found wrong at the machine and is not mended yet: a tick refused, or a fault found. */
import * as v from 'valibot';

/** Whose figure it holds up. */
export const HELD_STATIONS = ['supply', 'setup', 'cut', 'gouge', 'wear', 'checks'] as const;
export const HELD_VERDICTS = ['tight', 'stops'] as const;

/** Things of one bench that are open at a time; older ones are gone from sight, not from the log. */
export const OPEN_MOST = 40;

/** Told by itself, so that a shop's own check, or one of an older program, still says what it is. */
export const HELD = {
	/** "gel", "own-fan", "fault-clamp-paint". */
	item: v.pipe(v.string('text'), v.regex(/^[a-z0-9-]{1,60}$/, 'small letters, digits and hyphens')),
	/** For the line: "gel wet". */
	word: v.pipe(
		v.string('text'),
		v.trim(),
		v.minLength(1, 'not empty'),
		v.maxLength(60, '60 characters')
	),
	station: v.picklist(HELD_STATIONS, `one of ${HELD_STATIONS.join(', ')}`),
	verdict: v.picklist(HELD_VERDICTS, 'tight or stops')
};
const HeldSchema = v.object(HELD);
export type Held = v.InferOutput<typeof HeldSchema>;

export const CHECKS_EVIDENCE = {
	checks: v.optional(v.pipe(v.array(HeldSchema), v.maxLength(OPEN_MOST)), [])
};
export type ChecksEvidence = v.InferOutput<v.ObjectSchema<typeof CHECKS_EVIDENCE, undefined>>;

export interface ChecksView {
	inputs: { evidence: ChecksEvidence };
}
