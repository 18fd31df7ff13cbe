/** What somebody looked at: parts, care of the shop, checks, lists signed off. */
import * as v from 'valibot';
import { HELD } from '../../checks/inputs';
import { CARE_DAYS, CARE_KINDS } from '../../care/care';
import { within } from '../../quantity/within';

export const PitEntry = v.object({ kind: v.literal('pit'), pitMm: within(0, 5, 'mm') });

/** The bore of the nozzle by drill shank or pin gauge; a second one across it tells of out of round. */
export const BoreEntry = v.object({
	kind: v.literal('bore'),
	boreMm: within(0.3, 8, 'mm'),
	acrossMm: v.optional(within(0.3, 8, 'mm')),
	/** Of that nozzle when it was new; the server fills it in. */
	newMm: v.optional(within(0.3, 6, 'mm'))
});

/** What the parts looked like (common practice). */
export const LOOKS = ['clean', 'smeared', 'cracked', 'blue', 'nicked'] as const;
export const LookEntry = v.object({
	kind: v.literal('look'),
	seen: v.picklist(LOOKS, `one of ${LOOKS.join(', ')}`)
});

/** Something of the shop was looked after; `againDays`: when next, where the shop has its own way. */
export const CareEntry = v.object({
	kind: v.literal('care'),
	did: v.picklist(CARE_KINDS, `one of ${CARE_KINDS.join(', ')}`),
	againDays: v.optional(v.pipe(within(...CARE_DAYS, 'days'), v.integer('a whole number')))
});

/** Somebody looked: it is not so, or it is mended; a fault found is told in the same way. */
export const CheckEntry = v.object({
	kind: v.literal('check'),
	...HELD,
	so: v.boolean('true or false'),
	/** Of a fault: what was seen, and after how many looks it was found. */
	symptom: v.optional(v.pipe(v.string('text'), v.maxLength(60, '60 characters'))),
	looks: v.optional(v.pipe(within(0, 500, ''), v.integer('a whole number')))
});

/** A list that was gone through and signed off, as it stood then. */
export const SIGNED_LISTS = ['day', 'cut', 'groove'] as const;
export const SIGNED_ITEMS_MOST = 40;
const line = v.pipe(
	v.string('text'),
	v.minLength(1, 'not empty'),
	v.maxLength(160, '160 characters')
);
export const SignedEntry = v.object({
	kind: v.literal('signed'),
	list: v.picklist(SIGNED_LISTS, `one of ${SIGNED_LISTS.join(', ')}`),
	/** Tells this list from one whose figures have moved since. */
	key: v.pipe(v.string('text'), v.regex(/^[a-z0-9]{1,20}$/, 'letters and digits')),
	/** The shop's own day. */
	day: v.pipe(v.string('text'), v.isoDate('a day as 2026-11-27')),
	ticked: v.pipe(v.array(line), v.minLength(1, 'at least one'), v.maxLength(SIGNED_ITEMS_MOST)),
	/** Gone on with although it was not so. */
	despite: v.optional(v.pipe(v.array(line), v.maxLength(SIGNED_ITEMS_MOST)), [])
});
