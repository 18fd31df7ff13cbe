import { describe, expect, it } from 'vitest';
import type { ChartRow } from '$lib/core';
import { ChartDraft } from './chartDraft.svelte';

const row = (thicknessMm: number, speedMmS: number): ChartRow => ({
	metal: 'mild-steel',
	outputA: 45,
	nozzleA: 45,
	thicknessMm,
	speedMmS,
	pressureBar: null,
	standoffMm: null,
	kerfMm: null,
	pierceMm: null,
	pierceS: null
});

describe('a chart being typed', () => {
	it('takes what is accepted, refuses the rest with the reason, and changes nothing then', () => {
		const draft = new ChartDraft([row(3, 50), row(6, 22)]);
		expect(draft.edited).toBe(false);
		expect(draft.set(1, 'speedMmS', 25)).toBeUndefined();
		expect(draft.rows[1]!.speedMmS).toBe(25);
		expect(draft.edited).toBe(true);
		expect(draft.set(1, 'speedMmS', 9000)).toBe('0.2 to 500 mm/s is accepted');
		expect(draft.set(1, 'thicknessMm', null)).toMatch(/accepted/);
		expect(draft.rows[1]).toEqual(row(6, 25));
		expect(draft.set(1, 'kerfMm', null)).toBeUndefined();
	});

	it('tells rows that rise, and follows them as they change', () => {
		const draft = new ChartDraft([row(3, 50), row(6, 22)]);
		draft.set(1, 'speedMmS', 60);
		expect(draft.rising).toEqual([1]);
		draft.remove(0);
		expect(draft.rising).toEqual([]);
	});

	it('adds a row like the last one, starts from one given, and goes back as it was', () => {
		const draft = new ChartDraft([]);
		draft.add(row(6, 22));
		draft.add(row(9, 9));
		expect(draft.rows).toEqual([row(6, 22), row(6, 22)]);
		draft.take([row(3, 50)]);
		expect(draft.rows).toEqual([row(3, 50)]);
		expect(draft.edited).toBe(false);
	});
});
