import { store } from '$lib/server/current';
import { shoppingList } from '$lib/server/shopping';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => {
	const now = new Date();
	return {
		theme: locals.theme,
		today: now.toISOString().slice(0, 10),
		currency: store().settings.get().settings.currency,
		list: shoppingList(store(), now.getTime())
	};
};
