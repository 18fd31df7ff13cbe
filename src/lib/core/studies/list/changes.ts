/** What one change buys: the list planned again with it. */
import type { PlanInputs } from '../../inputs/planInputs';
import type { DayList } from '../../list/inputs';
import type { AskedItem } from './items';
import { plansOf } from './itemPlans';
import { studyList } from './run';
import { HELPER_SHARE, NOTHING_DONE, type ListRun, type ListStudy, type Ways } from './runTypes';

/** One change, and when the whole list would be done with it. */
export interface Change {
	id: 'helper' | 'torch' | 'entered' | 'fewest' | 'full' | 'matched';
	/** null: the list cannot be made like that. */
	endS: number | null;
	changes: number;
	restS: number;
}

/** More items are not planned again by another school. */
const SCHOOLS_ITEMS_MOST = 40;

/** The whole list planned again with one thing changed. */
export function whatChanges(
	base: PlanInputs,
	list: Pick<DayList, 'items'>,
	asked: readonly AskedItem[],
	ways: Ways,
	now: ListRun,
	known = plansOf(base, asked)
): Change[] {
	const others: [Change['id'], Ways][] = [
		['helper', { ...ways, handlingShare: HELPER_SHARE }],
		...(now.changes > 0
			? ([
					['torch', { ...ways, changeS: 0 }],
					['fewest', { ...ways, order: 'fewest' }]
				] satisfies [Change['id'], Ways][])
			: []),
		...(ways.order === 'own'
			? []
			: ([['entered', { ...ways, order: 'own' }]] satisfies [Change['id'], Ways][]))
	];
	// Both schools on amps, where the list is short enough to be planned again from its items on.
	const schools = asked.length > SCHOOLS_ITEMS_MOST ? [] : (['full', 'matched'] as const);
	const bySchool = schools.flatMap((school) => {
		const by = asked.map(({ item, cut }) => ({ item, cut: { ...cut, school } }));
		const cuts = by.filter(({ item }) => item.what === 'cut');
		const same = asked.every(({ item, cut }) => item.what !== 'cut' || cut.school === school);
		if (same || cuts.length === 0) return [];
		const plans = plansOf(base, by);
		// Whoever cannot make what is made now has no answer to give.
		if (plans.cannot.length > known.cannot.length) return [];
		const amps = (all: Omit<ListStudy, 'run'>) => all.plans.map(({ outputA }) => outputA).join();
		return amps(plans) === amps(known) ? [] : [{ id: school, by, plans }];
	});
	const again = others.map(([id, way]) => ({ id, way, by: asked, plans: known }));
	const anew = bySchool.map((one) => ({ ...one, way: ways }));
	return [...again, ...anew].map(({ id, way, by, plans }): Change => {
		const { run } = studyList(base, list, by, way, NOTHING_DONE, plans);
		if (!run || 'trouble' in run) return { id, endS: null, changes: 0, restS: 0 };
		return { id, endS: run.endS, changes: run.changes, restS: run.restS };
	});
}
