import { error } from '@sveltejs/kit';
import { store } from '$lib/server/current';
import { benchOf } from '$lib/server/pageData';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url, cookies }) => {
	const stored = benchOf(store(), url, cookies) ?? error(404, 'There is no bench yet.');
	return { name: store().charts.find(stored.id)?.name ?? 'Cut chart' };
};
