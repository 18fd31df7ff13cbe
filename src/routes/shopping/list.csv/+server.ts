import Papa from 'papaparse';
import { guarded } from '$lib/formats/logCsv';
import { store } from '$lib/server/current';
import { shoppingList } from '$lib/server/shopping';
import { answer, file } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** The shopping list of the whole shop, for a spreadsheet or a mail. */
export const GET: RequestHandler = () =>
	answer(() => {
		const rows = shoppingList(store(), Date.now()).map(({ bench, kind, stock, drawer }) => [
			guarded(bench),
			kind,
			drawer.order,
			stock.count,
			stock.price ?? '',
			guarded(stock.supplier)
		]);
		const header = ['bench', 'part', 'order', 'in the drawer', 'price of one', 'from'];
		return file(Papa.unparse([header, ...rows]), 'text/csv; charset=utf-8', 'shopping-list.csv');
	});
