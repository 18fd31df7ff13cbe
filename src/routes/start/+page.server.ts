import { error } from '@sveltejs/kit';
import { store } from '$lib/server/current';
import type { PageServerLoad } from './$types';

/** Countries whose outlets and breakers are North American. */
const NORTH_AMERICAN = /-(US|CA|MX)\b/i;

/** A new bench, or one that stands (`bench`); the region as the browser's language tells it. */
export const load: PageServerLoad = ({ url, request, locals, cookies }) => {
	const language = (request.headers.get('accept-language') ?? '').split(',')[0]!;
	const asked = url.searchParams.get('bench');
	const stored = asked === null ? undefined : store().benches.find(asked);
	if (asked !== null && !stored)
		error(404, `There is no bench "${asked.slice(0, 64)}" in this shop.`);
	const inches = cookies.get('units') === undefined && /-US\b/i.test(language);
	return {
		theme: locals.theme,
		units: inches ? ('imperial' as const) : locals.units,
		region: NORTH_AMERICAN.test(language) ? ('north-america' as const) : ('iec' as const),
		standing: stored && { id: stored.id, revision: stored.revision, bench: stored.bench },
		others: store().benches.count(),
		toured: cookies.get('toured') !== undefined
	};
};
