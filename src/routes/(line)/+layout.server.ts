import { redirect } from '@sveltejs/kit';
import { store } from '$lib/server/current';
import { benchOf, workbenchData } from '$lib/server/pageData';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ url, cookies, locals }) => {
	const stored = benchOf(store(), url, cookies);
	if (!stored) redirect(303, '/start');
	cookies.set('bench', stored.id, {
		path: '/',
		maxAge: 31_536_000,
		sameSite: 'lax',
		secure: false
	});
	cookies.set('left-off', url.pathname, {
		path: '/',
		maxAge: 31_536_000,
		sameSite: 'lax',
		secure: false
	});
	return {
		theme: locals.theme,
		workbench: workbenchData(store(), stored, url.searchParams, locals.units)
	};
};
