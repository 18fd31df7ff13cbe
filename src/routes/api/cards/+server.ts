import { randomUUID } from 'node:crypto';
import { keptPlan, MODEL_VERSION } from '$lib/core';
import { spokenPlan } from '$lib/core/plan/said';
import { NewCardSchema } from '$lib/formats/bodies/work';
import { cutFromSearch } from '$lib/formats/readSearch';
import { cardRow, cardsCsv } from '$lib/formats/cardCsv';
import { store } from '$lib/server/current';
import { requestedInputs } from '$lib/server/planning';
import { answer, file, readBody, refuse, unknown } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Cards on the shelf of a bench; with ?as=csv their settings as a table. */
export const GET: RequestHandler = ({ url }) =>
	answer(() => {
		const benchId = url.searchParams.get('bench') ?? '';
		if (!store().benches.find(benchId)) unknown('bench', benchId);
		const cards = store().cards.ofBench(benchId);
		if (url.searchParams.get('as') !== 'csv') return { cards };
		const rows = cards.map(({ id }) => cardRow(store().cards.find(id)!));
		return file(cardsCsv(rows), 'text/csv; charset=utf-8', 'setting-cards.csv');
	});

/** Saves the planned cut with everything it rests on now. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const { opId, benchId, name, what, search } = await readBody(request, NewCardSchema);
		const stored = store().benches.find(benchId) ?? unknown('bench', benchId);
		const asked = cutFromSearch(new URLSearchParams(search), stored.bench.usual);
		if (what === 'groove' && !asked.cut.gouge.asked)
			refuse(400, 'bad-input', 'No groove is asked for.', [
				{ field: 'search', message: 'a groove: plan it on Gouge first', received: search }
			]);
		const inputs = requestedInputs(store(), { benchId, ...asked });
		const planned = spokenPlan(inputs);
		return store().cards.add({
			opId,
			id: randomUUID(),
			benchId,
			name,
			what,
			search,
			inputs,
			plan: keptPlan(planned),
			inputsHash: planned.inputsHash,
			modelVersion: MODEL_VERSION,
			savedAt: new Date().toISOString()
		});
	});
