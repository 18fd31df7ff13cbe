/**
 * What the program answers today, kept: none of it is right because it stands here (that is checked
 * elsewhere), but whoever changes an answer sees which, and has to mean it.
 */
import { describe, it } from 'vitest';
import { FIGURE_IDS, filled, type PlanInputs } from '../../src/lib/core';
import { explain } from '../../src/lib/core/plan/explain';
import { spokenPlan } from '../../src/lib/core/plan/said';
import { preflight } from '../../src/lib/core/preflight/list';
import { BENCHES, chartOf, inputs, JOBS, logOf, measured, slug } from './cases';
import { asKept, table } from './told';

/** Figures, choices, verdicts and sentences of a plan. */
function answersOf(asked: PlanInputs): unknown {
	const { figures, checks, firstLimit, weakestLink, ...p } = spokenPlan(asked);
	return {
		figures: Object.fromEntries(
			FIGURE_IDS.map((id) => [id, `${figures[id].value?.toPrecision(5) ?? 'none'}`])
		),
		basis: FIGURE_IDS.map((id) => figures[id].basis).join(' '),
		checks: Object.fromEntries(
			checks.map(({ part, ...check }) => [part, Object.values(check).map(spoken).join(' ')])
		),
		limit: firstLimit?.part ?? weakestLink?.part,
		verdict: p.verdict,
		stations: p.stations,
		choices: p.choices,
		groove: p.groove,
		said: Object.fromEntries(
			[...p.findings, ...p.cautions].map((said) => [filled(said, { units: 'metric' }), 'said'])
		)
	};
}
const spoken = (value: unknown): string =>
	typeof value === 'number' ? value.toPrecision(5) : JSON.stringify(value);

const cases = (asked: (job: string) => PlanInputs) =>
	Object.fromEntries(Object.keys(JOBS).map((job) => [job, answersOf(asked(job))]));

describe('plans', () => {
	it.each(BENCHES.map((bench) => [bench.name, bench] as const))('%s', async (name, bench) => {
		await asKept(`plan ${slug(name)}`, table(cases((job) => inputs(bench, ...JOBS[job]!))));
	});
	it('with a log and a chart', async () => {
		const [bay2] = BENCHES;
		const chart = chartOf('bay-2-chart.csv');
		await asKept(
			'plan measured',
			table(cases((job) => ({ ...measured(bay2!, inputs(bay2!, ...JOBS[job]!)), chart })))
		);
	});
});

describe('workings', () => {
	it.each(['steel 6', 'a long pattern in the heat', 'fillet 6'])('%s', async (job) => {
		const asked = measured(BENCHES[0]!, inputs(BENCHES[0]!, ...JOBS[job]!));
		const told = FIGURE_IDS.map((id) => {
			const { value, basis, inputs, plain } = explain(asked, id);
			const from = inputs.map(
				({ symbol, value, basis }) => `${symbol} ${value.toPrecision(5)} ${basis}`
			);
			return { id, value, basis, from, plain: filled(plain, { units: 'imperial' }) };
		});
		await asKept(`workings ${slug(job)}`, table({ [job]: told }));
	});
});

describe('lists to go through before a cut', () => {
	it('for each bench', async () => {
		const told = BENCHES.map((bench) => {
			const asked = measured(bench, inputs(bench, ...JOBS['fillet 6']!));
			const plan = spokenPlan(asked);
			return [
				bench.name,
				(['day', 'cut', 'groove'] as const).map((list) => preflight(list, asked, plan))
			];
		});
		await asKept('preflight', table(Object.fromEntries(told) as Record<string, unknown>));
	});
});

describe('evidence', () => {
	it('of a log, on three benches', async () => {
		const told = BENCHES.slice(0, 3).map((bench) => [bench.name, measured(bench).evidence]);
		await asKept('evidence', table(Object.fromEntries(told) as Record<string, unknown>));
		await asKept('log', table({ log: logOf(BENCHES[0]!) }));
	});
});
