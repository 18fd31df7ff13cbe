import { SaveOwnChecksSchema } from '$lib/formats/bodies/house';
import { store } from '$lib/server/current';
import { answer, readBody, stale } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Newest sign-offs of a bench: a day has few of them. */
const SIGNED_MOST = 12;

/** Checks that the shop asks besides ours; with `?bench=`, what was signed off there last, on any device. */
export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const { revision, value } = store().lists.checks.get();
		const bench = url.searchParams.get('bench');
		const signed = (
			bench === null ? [] : store().log.newestOf(bench, 'signed', SIGNED_MOST)
		).flatMap(({ at, entry }) =>
			entry.kind === 'signed' ? [{ list: entry.list, key: entry.key, day: entry.day, at }] : []
		);
		return { revision, own: value, signed };
	});

export const PUT: RequestHandler = ({ request }) =>
	answer(async () => {
		const { opId, revision, own } = await readBody(request, SaveOwnChecksSchema);
		const at = new Date().toISOString();
		const result = store().lists.checks.save({ opId, revision, value: own, at });
		const stands = { revision: result.stored.revision, own: result.stored.value };
		if (result.outcome === 'saved') return stands;
		return stale(
			'Somebody changed the shop’s checks in between. Nothing was overwritten.',
			stands,
			own
		);
	});
