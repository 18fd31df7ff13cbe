import { redirect } from '@sveltejs/kit';
import { store } from '$lib/server/current';
import type { PageServerLoad } from './$types';

const PAGES = new Set(['/supply', '/setup', '/cut', '/gouge', '/wear', '/bench']);

/** Leads to where the person left off. */
export const load: PageServerLoad = ({ cookies }) => {
	if (store().benches.count() === 0) redirect(303, '/start');
	const left = cookies.get('left-off');
	redirect(303, left && PAGES.has(left) ? left : '/supply');
};
