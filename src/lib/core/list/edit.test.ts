import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { inOwnOrder, twice, withItem, without } from './edit';
import { DayListSchema } from './inputs';

const item = (id: string, after: string[] = []) => ({
	...{ id, name: `Flange ${id}`, what: 'cut', search: 'metal=mild-steel', pieces: 2 },
	after
});
const LIST = v.parse(DayListSchema, {
	name: 'Today',
	items: [item('a'), item('b', ['a']), item('c', ['a', 'b'])]
});
const ids = (list: typeof LIST) => list.items.map(({ id }) => id);

describe('an edit of the day’s list', () => {
	it('changes one item and no other, and leaves the list that it came from', () => {
		const { items } = withItem(LIST, 'b', { pieces: 7 });
		expect(items.map(({ pieces }) => pieces)).toEqual([2, 7, 2]);
		expect(items[1]).toMatchObject({ name: 'Flange b', after: ['a'] });
		expect(LIST.items[1]!.pieces).toBe(2);
		expect(withItem(LIST, 'gone', { pieces: 7 })).toEqual(LIST);
	});
	it('lets nothing wait for what was taken off', () => {
		const { items } = without(LIST, ['a']);
		expect(items.map(({ id, after }) => [id, after])).toEqual([
			['b', []],
			['c', ['b']]
		]);
		expect(without(LIST, ['a', 'b']).items).toEqual([{ ...LIST.items[2], after: [] }]);
	});
	it('puts a second one right behind the first, alike but for its id', () => {
		const list = twice(LIST, 'b', 'new');
		expect(ids(list)).toEqual(['a', 'b', 'new', 'c']);
		expect(list.items[2]).toEqual({ ...LIST.items[1], id: 'new' });
	});
	it('keeps a person’s order, as their own from then on', () => {
		expect(LIST.order).not.toBe('own');
		const list = inOwnOrder(LIST, ['c', 'a', 'gone', 'b']);
		expect(ids(list)).toEqual(['c', 'a', 'b']);
		expect(list.order).toBe('own');
	});
});
