/** A list with one thing changed. */
import type { DayList, ListItem } from './inputs';

const withItems = (list: DayList, items: ListItem[]): DayList => ({ ...list, items });

export const withItem = (list: DayList, id: string, change: Partial<ListItem>): DayList =>
	withItems(
		list,
		list.items.map((item) => (item.id === id ? { ...item, ...change } : item))
	);

/** Nothing waits any more for what is gone. */
export function without(list: DayList, gone: readonly string[]): DayList {
	const left = list.items.filter(({ id }) => !gone.includes(id));
	return withItems(
		list,
		left.map((item) => ({ ...item, after: item.after.filter((id) => !gone.includes(id)) }))
	);
}

/** The same item once more, right behind it. */
export const twice = (list: DayList, id: string, newId: string): DayList =>
	withItems(
		list,
		list.items.flatMap((item) => (item.id === id ? [item, { ...item, id: newId }] : [item]))
	);

/** From now on in this order; whoever is not named goes. */
export function inOwnOrder(list: DayList, ids: readonly string[]): DayList {
	const items = ids.flatMap((id) => list.items.find((item) => item.id === id) ?? []);
	return { ...withItems(list, items), order: 'own' };
}
