import { error, type Cookies } from '@sveltejs/kit';
import { READINGS, type UnitSystem } from '$lib/core';
import { SentChart, type SentWorkbench } from '$lib/state/sent';
import type { Revisions } from '$lib/formats/bodies/house';
import type { StoredBench } from './benches';
import { keptByBench } from './keptByBench';
import type { LogRow } from './log';
import { evidenceOf } from './planning';
import type { Store } from './store';

const LOG_LINES = 12;
/** Of each kind of measurement the newest are shown; the others count, and stand in the log. */
const MEASURED_LINES = 8;
const TEST_CUT_LINES = 30;

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
	const found = last && store.benches.find(last);
	if (found) return found;
	const [first] = store.benches.names();
	return first && store.benches.find(first.id);
}

/** What two people can change, each with its revision; equal ones mean nothing has changed. */
export function revisionsOf(store: Store, benchId: string): Revisions {
	return {
		bench: store.benches.revisionOf(benchId),
		parts: store.sets.fitted(benchId).revision,
		log: store.ledger.revisionOf(benchId),
		chart: store.charts.revisionOf(benchId),
		cards: store.cards.revisionOf(benchId),
		settings: store.settings.revision(),
		benches: store.benches.count()
	};
}

const kept = keptByBench<Pick<SentWorkbench, 'log' | 'measured'>>();
/** The end of the log of a bench, and its measurements. Also one that is taken back adds a row to the log. */
const linesOf = (store: Store, benchId: string) =>
	kept(store, benchId, `${store.ledger.revisionOf(benchId)}`, () => {
		const { log } = store;
		const line = ({ id, at, entry, undone }: LogRow) => ({ id, at, entry, undone });
		const measured = [
			...log.newestOf(benchId, 'test-cut', TEST_CUT_LINES),
			...READINGS.flatMap((kind) => log.newestOf(benchId, kind, MEASURED_LINES))
		].sort((x, y) => y.id - x.id);
		return { log: log.newest(benchId, LOG_LINES).map(line), measured: measured.map(line) };
	});

/** Everything a screen needs to plan on its own from then on. */
export function workbenchData(store: Store, stored: StoredBench, units: UnitSystem): SentWorkbench {
	const { settings, revision } = store.settings.get();
	const fitted = store.sets.fitted(stored.id);
	const found = store.charts.find(stored.id);
	return {
		benchId: stored.id,
		revision: stored.revision,
		bench: stored.bench,
		benches: store.benches.names(),
		evidence: evidenceOf(store, stored),
		revisions: revisionsOf(store, stored.id),
		settings,
		settingsRevision: revision,
		partSet: fitted.set && {
			id: fitted.set.id,
			name: fitted.set.name,
			fittedAt: fitted.set.fittedAt
		},
		...linesOf(store, stored.id),
		chart: found ? new SentChart(stored.id, found.chart.hash, found.chart.rows) : null,
		chartName: found?.name ?? 'Cut chart',
		cards: store.cards.ofBench(stored.id).map(({ id, name, what, search, revision: of }) => ({
			id,
			name,
			what,
			search,
			revision: of
		})),
		units
	};
}
