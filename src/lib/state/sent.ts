/** What the server sends for a screen: a chart goes by its hash and is fetched once a device, a plan goes packed. */
import type { Chart, ChartRow, Plan, Said } from '$lib/core';
import { packed, unpacked, type PackedPlan } from '$lib/core/plan/packed';
import type { WorkbenchData } from './workbenchData';

/** A chart of more rows than this does not travel inside the page. */
const ROWS_INSIDE_MOST = 40;

export class SentChart {
	constructor(
		/** Bench whose chart it is; null: it only stands here, and travels along. */
		readonly benchId: string | null,
		readonly hash: string,
		readonly rows: readonly ChartRow[] | null
	) {}

	/** As it crosses to the browser. */
	packed(): [string | null, string, readonly ChartRow[] | null] {
		const inside = this.benchId === null || (this.rows?.length ?? 0) <= ROWS_INSIDE_MOST;
		return [this.benchId, this.hash, inside ? this.rows : null];
	}

	async open(): Promise<Chart> {
		if (this.rows) return { hash: this.hash, rows: [...this.rows] };
		const known = fetched.get(this.hash) ?? fetchChart(this.benchId!, this.hash);
		fetched.set(this.hash, known);
		known.catch(() => fetched.delete(this.hash));
		return known;
	}
}

const fetched = new Map<string, Promise<Chart>>();
async function fetchChart(benchId: string, hash: string): Promise<Chart> {
	const response = await fetch(`/api/charts/${benchId}/${hash}`);
	if (!response.ok) throw new Error('The cut chart did not come.');
	return (await response.json()) as Chart;
}

export class SentPlan {
	constructor(
		/** As it crosses to the browser. */
		readonly packed: PackedPlan & Said
	) {}

	static of({ findings, cautions, ...plan }: Plan & Said): SentPlan {
		return new SentPlan({ ...packed(plan), findings, cautions });
	}
	/** On the server too: what it draws is what the browser finds. */
	open(): Plan & Said {
		const { findings, cautions, ...plan } = this.packed;
		return { ...unpacked(plan), findings, cautions };
	}
}

export type SentWorkbench = Omit<WorkbenchData, 'chart' | 'cut' | 'work' | 'spoken'> & {
	chart: SentChart | null;
};
