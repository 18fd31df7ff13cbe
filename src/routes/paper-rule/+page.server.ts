import { cardData } from '$lib/server/cardData';
import { store } from '$lib/server/current';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url, cookies, locals }) =>
	cardData(store(), { url, cookies, units: locals.units });
