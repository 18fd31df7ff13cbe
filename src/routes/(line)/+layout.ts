import { opened } from '$lib/state/opened';
import type { LayoutLoad } from './$types';

export const load: LayoutLoad = async ({ data }) => ({
	...data,
	spoken: data.spoken.open(),
	sent: data.workbench,
	workbench: await opened(data.workbench)
});
