import { openedCard } from '$lib/state/opened';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ data }) => ({
	...data,
	workbench: await openedCard(data.workbench)
});
