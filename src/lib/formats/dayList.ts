/** A list keeps each cut as the address that opens it; here it is opened. */
import type { Work } from '$lib/core';
import type { DayList } from '$lib/core/list/inputs';
import type { AskedItem } from '$lib/core/studies/list/items';
import { cutFromSearch } from './readSearch';

export const askedItems = ({ items }: Pick<DayList, 'items'>, usual: Work): AskedItem[] =>
	items.map((item) => ({ item, cut: cutFromSearch(new URLSearchParams(item.search), usual).cut }));
