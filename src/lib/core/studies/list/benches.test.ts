import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { BAY_2, inputsOf } from '../../../../../tests/support/inputs';
import { DayListSchema, type ListItem } from '../../list/inputs';
import { groupsOf, otherBenches } from './benches';
import { plansOf } from './itemPlans';
import { studyList } from './run';
import type { ListRun, Ways } from './runTypes';

const WAYS: Ways = { order: 'soonest', handlingShare: 1, changeS: 240 };
const listOf = (items: Partial<ListItem>[]) =>
	v.parse(DayListSchema, {
		name: 'x',
		items: items.map((item, k) => ({
			id: `i${k}`,
			name: `Item ${k}`,
			what: 'cut',
			search: '',
			pieces: 5,
			...item
		}))
	});
function asked(items: Partial<ListItem>[], thicknessMm: readonly number[] = []) {
	const base = inputsOf({ bench: BAY_2 });
	const list = listOf(items);
	const all = list.items.map((item, k) => ({
		item,
		cut: { ...base.cut, thicknessMm: thicknessMm[k] ?? 6, lengthMm: 100 }
	}));
	const known = plansOf(base, all);
	const now = studyList(base, list, all, WAYS).run as ListRun;
	const other = { id: 'other', name: 'Bay 1', base, asked: all };
	return {
		...otherBenches({ base, list, asked: all, known }, WAYS, now, [other]),
		now,
		list,
		base,
		all
	};
}

describe('a list on several benches', () => {
	it('keeps together what waits for another, and what lies on one workpiece', () => {
		const { items } = listOf([
			{ on: 'gate' },
			{ after: ['i3'] },
			{ on: 'gate' },
			{},
			{ after: ['i1'] },
			{}
		]);
		expect(groupsOf(items)).toEqual([['i0', 'i2'], ['i1', 'i3', 'i4'], ['i5']]);
	});

	it('on two benches that are alike is done about when half of it is, and not a second sooner', () => {
		const { split, now, alone } = asked([{}, {}, {}, {}]);
		expect(alone).toMatchObject([{ id: 'other', cannot: [], endS: now.endS }]);
		expect([...split!.here, ...split!.there].sort()).toEqual(['i0', 'i1', 'i2', 'i3']);
		expect(split!.here).toHaveLength(2);
		const later = Math.max(split!.hereEndS, split!.thereEndS);
		expect(later).toBeGreaterThanOrEqual(now.endS / 2 - 1);
		expect(later).toBeLessThan(0.55 * now.endS);
	});

	it('is the best of all partings where each is run', () => {
		const items = [{ pieces: 12 }, { pieces: 3 }, { pieces: 7 }, { pieces: 5 }, { pieces: 9 }];
		const { split, list, base, all } = asked(items);
		const endOf = (ids: readonly string[]) => {
			const some = { items: list.items.filter(({ id }) => ids.includes(id)) };
			const { run } = studyList(
				base,
				some,
				all.filter(({ item }) => ids.includes(item.id)),
				WAYS
			);
			return run && !('trouble' in run) ? run.endS : 0;
		};
		const ids = list.items.map(({ id }) => id);
		const best = Math.min(
			...Array.from({ length: 30 }, (_, bits) =>
				Math.max(
					endOf(ids.filter((_, k) => (bits + 1) & (1 << k))),
					endOf(ids.filter((_, k) => !((bits + 1) & (1 << k))))
				)
			)
		);
		expect(Math.max(split!.hereEndS, split!.thereEndS)).toBeCloseTo(best, 6);
	});

	it('leaves out of the split what no bench makes', () => {
		const { split } = asked([{}, { search: 't=60' }, {}, {}], [6, 60, 6, 6]);
		expect([...split!.here, ...split!.there].sort()).toEqual(['i0', 'i2', 'i3']);
	});

	it('is not split where it cannot be, nor for a few minutes', () => {
		expect(asked([{ on: 'gate' }, { on: 'gate' }]).split).toBeNull();
		expect(asked([{ pieces: 1 }, { pieces: 1 }]).split).toBeNull();
		expect(asked([{}]).split).toBeNull();
	});
});
