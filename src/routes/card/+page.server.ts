import { redirect } from '@sveltejs/kit';
import { store } from '$lib/server/current';
import { benchOf, workbenchData } from '$lib/server/pageData';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url, cookies, locals }) => {
	const stored = benchOf(store(), url, cookies);
	if (!stored) redirect(303, '/start');
	return { workbench: workbenchData(store(), stored, url.searchParams, locals.units) };
};
