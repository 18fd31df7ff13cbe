import type { Store } from './store';
import { streamed } from './streamed';

function* list(name: string, items: Iterable<unknown>): Generator<string> {
	yield `\t"${name}": [`;
	let first = true;
	for (const item of items) {
		yield `${first ? '\n' : ',\n'}\t\t${JSON.stringify(item)}`;
		first = false;
	}
	yield first ? ']' : '\n\t]';
}

function* parts(store: Store): Generator<string> {
	const {
		benches,
		sets,
		parts: inTorch,
		stock,
		log,
		settings,
		charts,
		cards,
		outlines,
		dayLists,
		pictures,
		lists
	} = store;
	const ids = benches.names().map(({ id }) => id);
	yield '{\n\t"format": "steady-arc/shop",\n\t"version": 1,\n';
	yield* list('benches', benches.all());
	yield ',\n';
	yield* list(
		'sets',
		ids.flatMap((id) => sets.ofBench(id))
	);
	yield ',\n';
	yield* list(
		'parts',
		ids.flatMap((id) => inTorch.ofBench(id))
	);
	yield ',\n';
	yield* list(
		'stock',
		ids.flatMap((benchId) =>
			stock
				.ofBench(benchId)
				.filter(({ revision }) => revision > 0)
				.map(({ kind, stock: of }) => ({ benchId, kind, ...of }))
		)
	);
	yield ',\n';
	yield* list('log', log.everything());
	yield `,\n\t"settings": ${JSON.stringify(settings.get().settings)},\n`;
	yield* list(
		'charts',
		ids.flatMap((benchId) => {
			const found = charts.find(benchId);
			return found ? [{ benchId, name: found.name, rows: found.chart.rows }] : [];
		})
	);
	yield ',\n';
	yield* list('cards', cards.everything());
	yield ',\n';
	yield* list(
		'outlines',
		outlines.list().map(({ id }) => outlines.find(id))
	);
	yield ',\n';
	yield* list('dayLists', dayLists.everything());
	yield ',\n';
	yield* list('pictures', pictures.everything());
	yield `,\n\t"checks": ${JSON.stringify(lists.checks.get().value)}`;
	// null: the file of faults that is shipped.
	yield `,\n\t"faults": ${JSON.stringify(lists.faults.get().value)}`;
	yield '\n}\n';
}

/** The whole shop as one JSON file, piece by piece: neither memory nor other requests wait for it. */
export const shopFile = (store: Store): ReadableStream<Uint8Array> => streamed(parts(store));
