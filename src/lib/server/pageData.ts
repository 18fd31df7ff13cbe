import { error, type Cookies } from '@sveltejs/kit';
import { isMeasurement, type UnitSystem } from '$lib/core';
import { cutFromSearch } from '$lib/formats/cutUrl';
import type { WorkbenchData } from '$lib/state/workbench.svelte';
import type { StoredBench } from './benches';
import { evidenceOf } from './planning';
import type { Store } from './store';

const LOG_LINES = 12;

/**
 * The bench asked for by the address, else the one used last on this device, else the first.
 * A link to a bench that is not there is told: another bench's figures would be taken for its own.
 */
export function benchOf(store: Store, url: URL, cookies: Cookies): StoredBench | undefined {
	const asked = url.searchParams.get('bench');
	if (asked !== null) {
		const found = store.benches.find(asked);
		if (!found) error(404, `There is no bench "${asked.slice(0, 64)}" in this shop.`);
		return found;
	}
	const last = cookies.get('bench');
	return (last && store.benches.find(last)) || store.benches.all()[0];
}

/** Everything a screen needs to plan on its own from then on. */
export function workbenchData(
	store: Store,
	stored: StoredBench,
	search: URLSearchParams,
	units: UnitSystem
): WorkbenchData {
	const { settings, revision } = store.settings.get();
	const partSet = store.sets.current(stored.id);
	const lines = store.log
		.ofBench(stored.id)
		.reverse()
		.map(({ id, at, entry, undone }) => ({ id, at, entry, undone }));
	return {
		benchId: stored.id,
		revision: stored.revision,
		bench: stored.bench,
		benches: store.benches.all().map(({ id, bench }) => ({ id, name: bench.name })),
		evidence: evidenceOf(store, stored.id, stored.bench),
		settings,
		settingsRevision: revision,
		partSet: partSet ? { id: partSet.id, name: partSet.name, fittedAt: partSet.fittedAt } : null,
		log: lines.slice(0, LOG_LINES),
		measured: lines.filter(({ entry, undone }) => !undone && isMeasurement(entry)),
		chart: store.charts.forPlan(stored.id),
		cards: store.cards
			.ofBench(stored.id)
			.map(({ id, name, search: query }) => ({ id, name, search: query })),
		units,
		...cutFromSearch(search, stored.bench.usual)
	};
}
