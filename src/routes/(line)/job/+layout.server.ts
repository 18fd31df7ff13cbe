import { store } from '$lib/server/current';
import { dayListData } from '$lib/server/dayListData';
import type { LayoutServerLoad } from './$types';

/** The list asked for, else the newest of this bench. */
export const load: LayoutServerLoad = async ({ url, parent, depends }) => {
	depends('steady:list');
	const { workbench } = await parent();
	return { dayList: dayListData(store(), workbench.benchId, url.searchParams.get('list')) };
};
