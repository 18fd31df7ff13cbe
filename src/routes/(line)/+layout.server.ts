import { redirect } from '@sveltejs/kit';
import { spokenPlan } from '$lib/core/plan/said';
import { cutFromSearch } from '$lib/formats/readSearch';
import { SentPlan } from '$lib/state/sent';
import { store } from '$lib/server/current';
import { benchOf, workbenchData } from '$lib/server/pageData';
import { requestedInputs } from '$lib/server/planning';
import type { LayoutServerLoad } from './$types';

/** Depends on the bench alone: from station to station nothing is asked of the server. */
export const load: LayoutServerLoad = ({ url, cookies, locals, depends, untrack }) => {
	depends('steady:workbench');
	const stored = benchOf(store(), url, cookies);
	if (!stored) redirect(303, '/start');
	cookies.set('bench', stored.id, {
		path: '/',
		maxAge: 31_536_000,
		sameSite: 'lax',
		secure: false
	});
	const workbench = workbenchData(store(), stored, locals.units);
	// The first cut; from then on the browser reads the address, without the server.
	const first = untrack(() => cutFromSearch(url.searchParams, stored.bench.usual));
	return {
		theme: locals.theme,
		workbench,
		...first,
		spoken: SentPlan.of(spokenPlan(requestedInputs(store(), { benchId: stored.id, ...first })))
	};
};
