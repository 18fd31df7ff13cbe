import { dayOf } from '$lib/formats/days';
import { store } from '$lib/server/current';
import { shoppingList } from '$lib/server/shopping';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => {
	const now = new Date();
	return {
		theme: locals.theme,
		today: dayOf(now),
		currency: store().settings.get().settings.currency,
		list: shoppingList(store(), now.getTime())
	};
};
