import { redirect } from '@sveltejs/kit';
import { savedCardData } from '$lib/server/cardData';
import { store } from '$lib/server/current';
import { benchOf } from '$lib/server/pageData';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url, cookies, locals }) => {
	const stored = benchOf(store(), url, cookies);
	if (!stored) redirect(303, '/start');
	const cards = store()
		.cards.ofBench(stored.id)
		.map(({ id }) => savedCardData(store(), store().cards.find(id)!, locals.units));
	return { benchId: stored.id, name: stored.bench.name, cards };
};
