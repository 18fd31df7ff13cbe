import * as v from 'valibot';
import { ChartRowSchema, risingRows, type ChartRow } from '$lib/core';
import type { ChartField } from '$lib/formats/chartFields';
import { fieldProblems } from '$lib/formats/problem';

/** The chart as it is being typed, until it is saved. */
export class ChartDraft {
	rows = $state.raw<ChartRow[]>([]);
	edited = $state(false);
	/** Places of rows that are faster than the thinner plate before them. */
	readonly rising: readonly number[] = $derived(risingRows(this.rows));

	constructor(rows: readonly ChartRow[]) {
		this.rows = [...rows];
	}

	take(rows: readonly ChartRow[]): void {
		this.rows = [...rows];
		this.edited = false;
	}

	/** Changes one cell; gives the reason when it is refused, and then changes nothing. */
	set(index: number, field: ChartField, value: unknown): string | undefined {
		const parsed = v.safeParse(ChartRowSchema, { ...this.rows[index]!, [field]: value });
		if (!parsed.success) return `${fieldProblems(parsed.issues)[0]!.message} is accepted`;
		this.#put(this.rows.map((row, i) => (i === index ? parsed.output : row)));
		return undefined;
	}
	/** One more row, like the last one. */
	add(like: ChartRow): void {
		this.#put([...this.rows, { ...(this.rows.at(-1) ?? like) }]);
	}
	remove(index: number): void {
		this.#put(this.rows.filter((_, i) => i !== index));
	}
	#put(rows: ChartRow[]): void {
		this.rows = rows;
		this.edited = true;
	}
}
