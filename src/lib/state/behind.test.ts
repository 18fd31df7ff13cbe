import { describe, expect, it, vi } from 'vitest';
import { BAY_2, changed } from '../../../tests/support/inputs';
import { UNTOUCHED } from '../../../tests/support/untouched';
import { DEFAULT_CUT, DEFAULT_SETTINGS, NO_EVIDENCE } from '$lib/core';
import { spokenPlan } from '$lib/core/plan/said';
import { SentPlan } from './sent';
import { Workbench } from './workbench.svelte';
import type { WorkbenchData } from './workbenchData';

vi.mock('./history', () => ({ writeSearch: () => undefined }));

const inputs = {
	bench: BAY_2,
	cut: DEFAULT_CUT,
	evidence: NO_EVIDENCE,
	work: BAY_2.usual,
	settings: DEFAULT_SETTINGS,
	chart: null
};
const spoken = SentPlan.of(spokenPlan(inputs)).open();
const data: WorkbenchData = {
	...UNTOUCHED,
	...inputs,
	spoken
};
const THICKER = { thicknessMm: 10 };

// In this order: what plans comes once and stays.
describe('a page before it can plan', () => {
	it('shows the plan that came with it, says when that is of an earlier cut, and catches up', async () => {
		const bench = new Workbench(data);
		expect(bench.plan).toBe(spoken);
		expect(bench.said.findings).toBe(spoken.findings);
		expect(bench.inputsHash).toBe(spokenPlan(inputs).inputsHash);
		expect(bench.behind).toBe(false);
		expect(() => bench.schools).toThrow('Nothing plans here');

		bench.setCut(THICKER);
		expect(bench.behind).toBe(true);
		expect(bench.plan).toBe(spoken);
		// What warns of every cut goes on warning; nothing else is said of another one.
		expect(bench.said).toEqual({ findings: [], cautions: spoken.cautions });
		expect(spoken.cautions.length).toBeGreaterThan(3);

		await import('./plansHere');
		const then = spokenPlan({ ...inputs, cut: { ...DEFAULT_CUT, ...THICKER } });
		expect(bench.behind).toBe(false);
		expect(bench.plan.figures).toEqual(then.figures);
		expect(bench.inputsHash).toBe(then.inputsHash);
		expect(bench.calmPlan.figures).toEqual(then.figures);
	});
	it('once an edit is kept it is not taken for what came', () => {
		const bench = new Workbench(data);
		bench.speak = spokenPlan;
		const long = changed((b) => (b.supply.cord = { ...b.supply.cord!, lengthM: 60 }));
		bench.stands(long, 2);
		const then = spokenPlan({ ...inputs, bench: long });
		expect(bench.plan.figures['supply.voltageV']).toEqual(then.figures['supply.voltageV']);
		expect(bench.said.findings).toEqual(then.findings);
		expect(then.findings).not.toEqual(spoken.findings);
	});
});
