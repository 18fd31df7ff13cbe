import type { DayList } from '$lib/core/list/inputs';
import type { StockKind } from '$lib/core/stock/drawer';
import type { InDrawer } from '$lib/core/studies/list/eats';
import type { Ticked } from '$lib/formats/ticked';
import type { Store } from './store';

/** Electrodes and nozzles on the shelf for this bench's torch. */
export function inDrawer(store: Store, benchId: string): InDrawer {
	const rows = store.stock.ofBench(benchId);
	const of = (kind: StockKind) => rows.find((row) => row.kind === kind)?.stock.count ?? 0;
	return { electrode: of('electrode'), nozzle: of('nozzle') };
}

/** What the pages of a list show at first. */
export interface DayListData {
	lists: { id: string; name: string; archived: boolean; items: number }[];
	open: ({ id: string; revision: number; list: DayList } & Ticked) | null;
	drawer: InDrawer;
}

/** The list asked for, else the newest in use. */
export function dayListData(store: Store, benchId: string, asked: string | null): DayListData {
	const lists = store.dayLists.ofBench(benchId);
	const found = lists.find(({ id }) => id === asked) ?? lists.find((one) => !one.archivedAt);
	return {
		lists: lists.map(({ id, list, archivedAt }) => ({
			id,
			name: list.name,
			archived: archivedAt !== null,
			items: list.items.length
		})),
		open: found
			? {
					id: found.id,
					revision: found.revision,
					list: found.list,
					...store.dayLists.ticked(found.id)
				}
			: null,
		drawer: inDrawer(store, benchId)
	};
}
