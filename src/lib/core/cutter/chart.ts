/**
 * The user's cut chart. Rows of one metal, nozzle and amps make a group; inside it speed is
 * interpolated in the logarithms of thickness and speed, monotone. Groups of different nozzles never
 * mix: charts step where the nozzle changes. Between two amps of one nozzle, by output power.
 */
import * as v from 'valibot';
import { METAL_IDS, type MetalId } from '../metal/metals';
import { within } from '../plan/within';
import { curveAt, monotoneCurve, type Curve } from './pchip';

export const ChartRowSchema = v.object({
	metal: v.picklist(METAL_IDS, `one of ${METAL_IDS.join(', ')}`),
	outputA: within(5, 500, 'A'),
	/** Rating of the nozzle; null: the chart does not say. */
	nozzleA: v.nullable(within(5, 500, 'A')),
	thicknessMm: within(0.2, 100, 'mm'),
	speedMmS: within(0.2, 500, 'mm/s'),
	pressureBar: v.nullable(within(0.5, 15, 'bar')),
	standoffMm: v.nullable(within(0, 20, 'mm')),
	kerfMm: v.nullable(within(0.2, 10, 'mm')),
	pierceMm: v.nullable(within(0, 30, 'mm')),
	pierceS: v.nullable(within(0, 30, 's'))
});
export type ChartRow = v.InferOutput<typeof ChartRowSchema>;
export const CHART_ROWS_MOST = 10_000;

export const ChartSchema = v.object({
	/** Tells two states of the chart apart. */
	hash: v.pipe(v.string(), v.maxLength(32)),
	rows: v.pipe(v.array(ChartRowSchema), v.maxLength(CHART_ROWS_MOST, 'at most 10 000 rows'))
});
export type Chart = v.InferOutput<typeof ChartSchema>;

export interface Group {
	outputA: number;
	nozzleA: number | null;
	leastMm: number;
	mostMm: number;
	curve: Curve;
}

/** Groups once made, for as long as their chart lives: a screen plans the same chart over and over. */
const known = new WeakMap<Chart, Map<MetalId, Group[]>>();

/** Groups of one metal; rows of one thickness in one group count by their mean in the logarithm. */
export function chartGroups(chart: Chart, metal: MetalId): readonly Group[] {
	let ofChart = known.get(chart);
	if (!ofChart) known.set(chart, (ofChart = new Map<MetalId, Group[]>()));
	let groups = ofChart.get(metal);
	if (!groups) ofChart.set(metal, (groups = makeGroups(chart, metal)));
	return groups;
}

function collect<K, T>(map: Map<K, T[]>, key: K, value: T): void {
	const list = map.get(key);
	if (list) list.push(value);
	else map.set(key, [value]);
}

function makeGroups(chart: Chart, metal: MetalId): Group[] {
	const byKey = new Map<string, ChartRow[]>();
	for (const row of chart.rows) {
		if (row.metal === metal) collect(byKey, `${row.nozzleA}/${row.outputA}`, row);
	}
	return [...byKey.values()].map((rows) => {
		const byMm = new Map<number, number[]>();
		for (const { thicknessMm, speedMmS } of rows) {
			collect(byMm, thicknessMm, Math.log(speedMmS));
		}
		const points = [...byMm.entries()]
			.sort((a, b) => a[0] - b[0])
			.map(([mm, logs]) => [Math.log(mm), logs.reduce((s, l) => s + l, 0) / logs.length] as const);
		return {
			outputA: rows[0]!.outputA,
			nozzleA: rows[0]!.nozzleA,
			leastMm: Math.exp(points[0]![0]),
			mostMm: Math.exp(points[points.length - 1]![0]),
			curve: monotoneCurve(
				points.map(([x]) => x),
				points.map(([, y]) => y)
			)
		};
	});
}

/** Thickness counts as inside up to this share beyond the last row. */
const EDGE = 1e-6;

export interface ChartSpeed {
	speedMmS: number;
	/** One group at these very amps, or two around them. */
	lower: { outputA: number; speedMmS: number };
	upper: { outputA: number; speedMmS: number };
	/** Weight of the upper group, by power. */
	weight: number;
}

/**
 * Speed from the chart at amps, thickness and nozzle, mm/s; undefined outside of it, in thickness or in
 * amps: it is never stretched. `powerW` gives the output power at amps.
 */
export function chartSpeed(
	groups: readonly Group[],
	at: { outputA: number; thicknessMm: number; nozzleA: number },
	powerW: (outputA: number) => number
): ChartSpeed | undefined {
	const inside = groups
		.filter(
			(g) =>
				(g.nozzleA === null || g.nozzleA === at.nozzleA) &&
				at.thicknessMm >= g.leastMm * (1 - EDGE) &&
				at.thicknessMm <= g.mostMm * (1 + EDGE)
		)
		.map(({ outputA, curve }) => ({
			outputA,
			speedMmS: Math.exp(curveAt(curve, Math.log(at.thicknessMm)))
		}))
		.sort((a, b) => a.outputA - b.outputA);
	const lower = inside.filter((g) => g.outputA <= at.outputA + 1e-9).at(-1);
	const upper = inside.find((g) => g.outputA >= at.outputA - 1e-9);
	if (!lower || !upper) return undefined;
	const span = powerW(upper.outputA) - powerW(lower.outputA);
	const weight = span > 0 ? (powerW(at.outputA) - powerW(lower.outputA)) / span : 0;
	return {
		speedMmS: lower.speedMmS + weight * (upper.speedMmS - lower.speedMmS),
		lower,
		upper,
		weight
	};
}

export interface ChartPoint {
	outputA: number;
	thicknessMm: number;
	speedMmS: number;
	/** How far off, in the logarithms of amps and thickness. */
	far: number;
}

/**
 * The chart's nearest point for this nozzle, when thickness or amps lie outside of it: the group nearest
 * in amps and thickness, at the thickness of its own that is nearest. Undefined: no row for this nozzle.
 */
export function nearestPoint(
	groups: readonly Group[],
	at: { outputA: number; thicknessMm: number; nozzleA: number }
): ChartPoint | undefined {
	const points = groups
		.filter((g) => g.nozzleA === null || g.nozzleA === at.nozzleA)
		.map(({ outputA, leastMm, mostMm, curve }) => {
			const thicknessMm = Math.min(mostMm, Math.max(leastMm, at.thicknessMm));
			return {
				outputA,
				thicknessMm,
				speedMmS: Math.exp(curveAt(curve, Math.log(thicknessMm))),
				far:
					Math.abs(Math.log(outputA / at.outputA)) +
					Math.abs(Math.log(thicknessMm / at.thicknessMm))
			};
		})
		.sort((a, b) => a.far - b.far);
	return points[0];
}

/** Nearest row of the same metal, nozzle and amps, for kerf, pressure, stand-off and pierce. */
export function nearestRow(
	chart: Chart,
	at: { metal: MetalId; outputA: number; thicknessMm: number; nozzleA: number }
): ChartRow | undefined {
	const far = (row: ChartRow) =>
		Math.abs(Math.log(row.thicknessMm / at.thicknessMm)) +
		Math.abs(Math.log(row.outputA / at.outputA));
	const rows = chart.rows.filter(
		(row) => row.metal === at.metal && (row.nozzleA === null || row.nozzleA === at.nozzleA)
	);
	const nearest = rows.reduce<ChartRow | undefined>(
		(best, row) => (!best || far(row) < far(best) ? row : best),
		undefined
	);
	return nearest && far(nearest) < 0.35 ? nearest : undefined;
}

/** Rows whose speed rises with thickness inside their group: asked about, never swallowed. */
export function risingRows(rows: readonly ChartRow[]): number[] {
	const order = rows
		.map((row, i) => ({ row, i }))
		.sort(
			(a, b) =>
				a.row.metal.localeCompare(b.row.metal) ||
				(a.row.nozzleA ?? 0) - (b.row.nozzleA ?? 0) ||
				a.row.outputA - b.row.outputA ||
				a.row.thicknessMm - b.row.thicknessMm
		);
	const rising: number[] = [];
	for (let k = 1; k < order.length; k++) {
		const [a, b] = [order[k - 1]!.row, order[k]!.row];
		const same = a.metal === b.metal && a.nozzleA === b.nozzleA && a.outputA === b.outputA;
		if (same && b.thicknessMm > a.thicknessMm && b.speedMmS > a.speedMmS) rising.push(order[k]!.i);
	}
	return rising.sort((a, b) => a - b);
}

const keyOf = (row: ChartRow) =>
	`${row.metal}/${row.nozzleA}/${row.outputA}/${row.thicknessMm.toFixed(3)}`;

/** New rows go in place of those of the same metal, nozzle, amps and thickness, the others stay. */
export function mergedRows(rows: readonly ChartRow[], fresh: readonly ChartRow[]): ChartRow[] {
	const replaced = new Set(fresh.map(keyOf));
	return [...rows.filter((row) => !replaced.has(keyOf(row))), ...fresh];
}
