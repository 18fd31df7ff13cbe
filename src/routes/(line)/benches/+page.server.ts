import { cutFromSearch } from '$lib/formats/readSearch';
import { answersOf } from '$lib/server/canCut';
import { store } from '$lib/server/current';
import { benchOf } from '$lib/server/pageData';
import type { PageServerLoad } from './$types';

/** The first answer, for the cut of the address. */
export const load: PageServerLoad = ({ url, cookies, untrack, depends }) => {
	depends('steady:benches');
	return untrack(() => {
		const usual = benchOf(store(), url, cookies)!.bench.usual;
		const { cut } = cutFromSearch(url.searchParams, usual);
		return { asked: cut, answers: answersOf(store(), { cut, once: true }) };
	});
};
