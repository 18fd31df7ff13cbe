import { asked, opened } from '$lib/state/opened';
import type { LayoutLoad } from './$types';

/** The cut comes from the address, here too: another station is reached without the server. */
export const load: LayoutLoad = async ({ data, url }) => ({
	...data,
	sent: data.workbench,
	...asked(url, data.workbench),
	workbench: await opened(data.workbench)
});
