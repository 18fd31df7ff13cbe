/**
 * A plan as it travels inside a page: its figures in the order of the work rather than by name, and no more
 * digits than anybody shows. What can be told from the rest is told again on arrival.
 */
import { judge } from '../figure/verdict';
import type { Basis, Figure, Station, Verdict } from '../figure/types';
import type { Quantity } from '../quantity/units';
import { FIGURE_IDS, type FigureId } from './names';
import type { Check } from './rooms';
import type { Plan } from './types';

/** No figure is shown with more than five. */
const DIGITS = 6;

/** The same with every number in it rounded; what is undefined does not travel. */
const rounded = <T>(value: T): T => round(value) as T;
function round(value: unknown): unknown {
	if (typeof value === 'number') return Number(value.toPrecision(DIGITS));
	if (Array.isArray(value)) return value.map(round);
	if (typeof value !== 'object' || value === null) return value;
	const told = Object.entries(value).filter(([, part]) => part !== undefined);
	return Object.fromEntries(told.map(([key, part]) => [key, round(part)]));
}

type PackedCheck = [
	/** Of its figure. */
	index: number,
	station: Station,
	part: string,
	verdict: Verdict,
	margin: number,
	spare: number,
	quantity: Quantity,
	word: string,
	stopsAtS?: number
];

export interface PackedPlan {
	model: string;
	hash: string;
	values: (number | null)[];
	/** One letter a figure. */
	bases: string;
	/** One word a figure. */
	ways: string;
	bands: [index: number, low: number, high: number][];
	checks: PackedCheck[];
	choices: Plan['choices'];
	groove: Plan['groove'];
}

export function packed(plan: Plan): PackedPlan {
	const figures = FIGURE_IDS.map((id) => plan.figures[id]);
	return {
		model: plan.modelVersion,
		hash: plan.inputsHash,
		values: rounded(figures.map(({ value }) => value)),
		bases: figures.map(({ basis }) => basis).join(''),
		ways: figures.map(({ way }) => way).join(' '),
		bands: figures.flatMap(({ band }, i): PackedPlan['bands'] =>
			band ? [[i, ...rounded(band)]] : []
		),
		checks: plan.checks.map(packedCheck),
		choices: rounded(plan.choices),
		groove: rounded(plan.groove)
	};
}

function packedCheck({ id, station, part, verdict, margin, spare, word, stopsAtS }: Check) {
	const index = FIGURE_IDS.indexOf(id);
	const { value, quantity } = spare;
	const check: PackedCheck = [index, station, part, verdict, margin, value, quantity, word];
	if (stopsAtS !== undefined) check.push(stopsAtS);
	return rounded(check);
}

export function unpacked(sent: PackedPlan): Plan {
	const ways = sent.ways.split(' ');
	const figures = Object.fromEntries(
		FIGURE_IDS.map((id, i): [FigureId, Figure] => [
			id,
			{ value: sent.values[i]!, basis: sent.bases[i] as Basis, way: ways[i]! }
		])
	) as Record<FigureId, Figure>;
	for (const [i, ...band] of sent.bands) figures[FIGURE_IDS[i]!].band = band;
	const checks = sent.checks.map(
		([i, station, part, verdict, margin, value, quantity, word, stopsAtS]): Check => ({
			id: FIGURE_IDS[i]!,
			station,
			part,
			verdict,
			margin,
			spare: { value, quantity },
			stopsAtS,
			word
		})
	);
	for (const { id, margin, verdict } of checks) Object.assign(figures[id], { margin, verdict });
	return {
		modelVersion: sent.model,
		inputsHash: sent.hash,
		figures,
		checks,
		...judge(checks),
		choices: sent.choices,
		groove: sent.groove
	};
}
