/** Checks that a shop adds to the lists: they are asked after ours, in the order written. */
import * as v from 'valibot';
import { HELD_VERDICTS } from '../checks/inputs';
import { item, LISTS, type Item, type ListId } from './item';

/** Of one list. */
export const OWN_MOST = 6;

const words = (least: number, most: number) =>
	v.pipe(
		v.string('text'),
		v.trim(),
		v.minLength(least, 'not empty'),
		v.maxLength(most, `${most} characters at most`)
	);
const OwnCheckSchema = v.object({
	id: v.pipe(
		v.string('text'),
		v.regex(/^own-[a-z0-9]{1,30}$/, 'own- with small letters and digits')
	),
	list: v.picklist(LISTS, `one of ${LISTS.join(', ')}`),
	ask: words(1, 60),
	why: words(0, 160),
	verdict: v.picklist(HELD_VERDICTS, 'tight or stops')
});
export type OwnCheck = v.InferOutput<typeof OwnCheckSchema>;

export const OwnChecksSchema = v.pipe(
	v.array(OwnCheckSchema, 'a list'),
	v.check(
		(own) => LISTS.every((list) => own.filter((o) => o.list === list).length <= OWN_MOST),
		`at most ${OWN_MOST} in one list`
	),
	v.check((own) => new Set(own.map(({ id }) => id)).size === own.length, 'every id once')
);

export const ownItems = (list: ListId, own: readonly OwnCheck[]): Item[] =>
	own
		.filter((o) => o.list === list)
		.map(({ id, ask, why, verdict }) =>
			item(id, ask, {
				why: why || 'A check of this shop.',
				remedy: 'As your shop does it.',
				not: [ask.slice(0, 60), 'checks', verdict]
			})
		);
