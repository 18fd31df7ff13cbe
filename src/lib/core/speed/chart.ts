/**
 * The user's cut chart. Rows of one metal, nozzle and amps make a group. Groups of different nozzles never
 * mix: charts step where the nozzle changes. The speed law reads the rows near a place.
 */

import { firstTrue } from '../solve/bisect';
import type { ChartRow, Chart } from './chartSchema';
import { type MetalId } from '../metal/metals';

/** Rows of one metal, nozzle and amps, thinnest first. */
interface Group {
	nozzleA: number | null;
	outputA: number;
	rows: ChartRow[];
}

/** Groups once made, for as long as their chart lives: a screen plans the same chart over and over. */
const known = new WeakMap<Chart, Map<MetalId, Group[]>>();

/** Groups of one metal, amps rising. */
function groupsOf(chart: Chart, metal: MetalId): readonly Group[] {
	let ofChart = known.get(chart);
	if (!ofChart) known.set(chart, (ofChart = new Map<MetalId, Group[]>()));
	let groups = ofChart.get(metal);
	if (!groups) ofChart.set(metal, (groups = makeGroups(chart, metal)));
	return groups;
}

function makeGroups(chart: Chart, metal: MetalId): Group[] {
	const byKey = new Map<string, Group>();
	for (const row of chart.rows) {
		if (row.metal !== metal) continue;
		const key = `${row.nozzleA}/${row.outputA}`;
		let group = byKey.get(key);
		if (!group) {
			byKey.set(key, (group = { nozzleA: row.nozzleA, outputA: row.outputA, rows: [] }));
		}
		group.rows.push(row);
	}
	const groups = [...byKey.values()].sort((a, b) => a.outputA - b.outputA);
	for (const group of groups) group.rows.sort((a, b) => a.thicknessMm - b.thicknessMm);
	return groups;
}

interface ChartPlace {
	metal: MetalId;
	nozzleA: number;
	outputA: number;
	thicknessMm: number;
}

const groupsFor = (chart: Chart, at: Pick<ChartPlace, 'metal' | 'nozzleA'>) =>
	groupsOf(chart, at.metal).filter((g) => g.nozzleA === null || g.nozzleA === at.nozzleA);

/** Rows that speak at a place: so many groups and rows on either side; beyond them nothing changes. */
const GROUPS_BESIDE = 2;
const ROWS_BESIDE = 3;
const ROWS_PLENTY = 20;

const around = <T>(list: readonly T[], index: number, beside: number) =>
	list.slice(Math.max(0, index - beside), index + beside);

/**
 * Rows of this metal and nozzle near some amps and thickness: all of a short chart, else the nearest on
 * either side, since what lies behind them is screened off by them.
 */
export function nearRows(chart: Chart, at: ChartPlace): readonly ChartRow[] {
	const groups = groupsFor(chart, at);
	const count = groups.reduce((sum, g) => sum + g.rows.length, 0);
	if (count <= ROWS_PLENTY) return groups.flatMap((g) => g.rows);
	const i = firstTrue(groups.length, (i) => groups[i]!.outputA >= at.outputA);
	return around(groups, i, GROUPS_BESIDE).flatMap((group) => {
		const k = firstTrue(group.rows.length, (i) => group.rows[i]!.thicknessMm >= at.thicknessMm);
		return around(group.rows, k, ROWS_BESIDE);
	});
}

/** Thickness counts as inside up to this share beyond the last row. */
const EDGE = 1e-6;

/** Whether the chart speaks of this metal and nozzle at all, and whether it reaches this place. */
export function chartReach(chart: Chart | null, at: ChartPlace): 'none' | 'inside' | 'outside' {
	if (!chart) return 'none';
	const groups = groupsFor(chart, at);
	if (groups.length === 0) return groupsOf(chart, at.metal).length ? 'outside' : 'none';
	const reaching = groups.filter(
		({ rows }) =>
			at.thicknessMm >= rows[0]!.thicknessMm * (1 - EDGE) &&
			at.thicknessMm <= rows.at(-1)!.thicknessMm * (1 + EDGE)
	);
	const lower = reaching.some((g) => g.outputA <= at.outputA + 1e-9);
	const upper = reaching.some((g) => g.outputA >= at.outputA - 1e-9);
	return lower && upper ? 'inside' : 'outside';
}

/** A row further off than this, in the logarithms, tells nothing of pressure, stand-off and pierce [own]. */
const NEAR_ENOUGH = 0.35;

/** Nearest row of the same metal, nozzle and amps, for kerf, pressure, stand-off and pierce. */
export function nearestRow(chart: Chart, at: ChartPlace): ChartRow | undefined {
	const far = (row: ChartRow) =>
		Math.abs(Math.log(row.thicknessMm / at.thicknessMm)) +
		Math.abs(Math.log(row.outputA / at.outputA));
	const nearest = nearRows(chart, at).reduce<ChartRow | undefined>(
		(best, row) => (!best || far(row) < far(best) ? row : best),
		undefined
	);
	return nearest && far(nearest) < NEAR_ENOUGH ? nearest : undefined;
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
