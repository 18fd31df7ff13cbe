import type { PageLoad } from './$types';

/** Without the server the page opens all the same, with nothing on the shelf of outlines. */
export const load: PageLoad = async ({ fetch }) => {
	try {
		const response = await fetch('/api/outlines');
		return response.ok
			? ((await response.json()) as { outlines: { id: string; name: string; revision: number }[] })
			: { outlines: [] };
	} catch {
		return { outlines: [] };
	}
};
