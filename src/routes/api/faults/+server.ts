import { SHIPPED_FAULTS } from '$lib/core/faults/shipped';
import { SaveFaultsSchema } from '$lib/formats/bodies/house';
import { store } from '$lib/server/current';
import { answer, file, readBody, stale } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** The file of faults that counts here; `?download` gives it to be extended and brought back. */
export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const { revision, value } = store().lists.faults.get();
		const faults = value ?? SHIPPED_FAULTS;
		if (url.searchParams.has('download'))
			return file(`${JSON.stringify(faults, null, '\t')}\n`, 'application/json', 'faults.json');
		return { revision, own: value !== null, faults };
	});

/** A file of the shop's own; null: the shipped one again. */
export const PUT: RequestHandler = ({ request }) =>
	answer(async () => {
		const { opId, revision, faults } = await readBody(request, SaveFaultsSchema);
		const at = new Date().toISOString();
		const result = store().lists.faults.save({ opId, revision, value: faults, at });
		const { revision: now, value } = result.stored;
		const stands = { revision: now, own: value !== null, faults: value ?? SHIPPED_FAULTS };
		if (result.outcome === 'saved') return stands;
		return stale(
			'Somebody changed the file of faults in between. Nothing was overwritten.',
			stands,
			faults
		);
	});
