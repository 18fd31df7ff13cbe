import { opened } from '$lib/state/opened';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ data }) => ({
	...data,
	workbench: await opened(data.workbench)
});
