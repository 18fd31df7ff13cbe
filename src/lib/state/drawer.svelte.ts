/** The drawer of a bench: asked of the server when it is looked at, counted over a known revision. */
import type { Drawer, Stock, StockKind } from '$lib/core/stock/drawer';
import { answerTo } from './answerTo';
import type { Workbench } from './workbench.svelte';
import { write } from './write';

export interface DrawerRow {
	kind: StockKind;
	stock: Stock;
	revision: number;
	drawer: Drawer;
}

export class DrawerView {
	/** undefined: not there yet. */
	rows = $state.raw<DrawerRow[] | undefined>();
	problem = $state<string | undefined>();
	#asked = 0;

	constructor(readonly bench: Workbench) {}

	async ask(): Promise<void> {
		const asked = ++this.#asked;
		const answer = await answerTo<{ stock: DrawerRow[] }>(`/api/stock?bench=${this.bench.benchId}`);
		if (asked !== this.#asked) return;
		if (answer) this.rows = answer.stock;
		this.problem = answer
			? undefined
			: 'The server does not answer: what lies in the drawer is not known here.';
	}

	/** One kind is counted, or something of it said. */
	async count(row: DrawerRow, change: Partial<Stock>): Promise<void> {
		const stock = { ...row.stock, ...change };
		const result = await write<DrawerRow>(
			this.bench,
			{
				method: 'PUT',
				path: '/api/stock',
				body: { benchId: this.bench.benchId, kind: row.kind, revision: row.revision, stock },
				words: 'A count of the drawer'
			},
			'The count is kept on this device and sent when the server answers.'
		);
		// What was told in between is shown; what waits is shown as it was counted.
		if (result.outcome === 'refused') return this.ask();
		const made = result.outcome === 'done' ? result.data : { ...row, stock };
		this.rows = this.rows?.map((one) => (one.kind === row.kind ? made : one));
	}
}
