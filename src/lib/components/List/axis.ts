/** Where the time of a list's run lies on its axis, px. Nights take no room. */
import { CUTTER_LIMIT_C } from '$lib/core/studies/list/runTold';
import type { ListRun, RunTrace } from '$lib/core/studies/list/runTypes';

/** Names of the rows stand left of this. */
export const AXIS_LEFT_PX = 112;
/** Two times of the clock stand no closer, px. */
const TICK_LEAST_PX = 72;
const TICKS_S = [300, 600, 900, 1800, 3600, 7200, 14_400, 28_800, 86_400];
const TICKS_MOST = 500;

export interface Axis {
	/** Wide as time is drawn, px. */
	plot: number;
	/** All of the run without its nights, s. */
	openS: number;
	/** Where a moment of the run stands, px. */
	x: (s: number) => number;
	nights: ListRun['breaks'];
	pauses: ListRun['breaks'];
}
/** Time of a run over a drawing `widthPx` wide. */
export function axisOf(run: ListRun, widthPx: number): Axis {
	const plot = Math.max(200, widthPx - AXIS_LEFT_PX - 8);
	const nights = run.breaks.filter(({ night }) => night);
	const pauses = run.breaks.filter(({ night }) => !night);
	const open = (s: number) =>
		s - nights.reduce((sum, n) => sum + Math.min(Math.max(0, s - n.onAtS + n.breakS), n.breakS), 0);
	const openS = Math.max(1, open(run.endS));
	return { plot, openS, x: (s) => AXIS_LEFT_PX + (open(s) / openS) * plot, nights, pauses };
}

/** Times of the clock, as far apart as there is room; none in a night. */
export function clockTicks(run: ListRun, { plot, openS, nights }: Axis): number[] {
	const stepS = TICKS_S.find((s) => (s / openS) * plot >= TICK_LEAST_PX) ?? 172_800;
	const count = Math.min(TICKS_MOST, Math.floor(run.endS / stepS) + 1);
	return Array.from({ length: count }, (_, k) => k * stepS).filter((s) =>
		nights.every((n) => s <= n.onAtS - n.breakS || s >= n.onAtS)
	);
}

export interface TraceRow {
	of: 'tank' | 'breaker' | 'heat';
	/** Lowest of the tank, bar; highest share of a trip; hottest, °C. */
	worst: number;
	/** From 0 to 1 of the height. */
	values: number[];
	/** Where it stops, likewise. */
	stops: number;
}
/** The value that comes nearest to what stops. */
const worstOf = (of: TraceRow['of'], values: readonly number[]): number =>
	values.reduce((a, b) => (of === 'tank' ? Math.min(a, b) : Math.max(a, b)));
/** Heat is drawn from here, °C. */
const WARM_C = 20;
/** Tank, breaker and heat; no tank: no row for it. */
export function traceRows({ tankBar, neededBar, breaker, cutterC }: RunTrace): TraceRow[] {
	const heat = (c: number) => (c - WARM_C) / (CUTTER_LIMIT_C + 10 - WARM_C);
	const rows: TraceRow[] = [
		{
			of: 'breaker',
			worst: worstOf('breaker', breaker),
			values: breaker.map((share) => share / 1.15),
			stops: 1 / 1.15
		},
		{
			of: 'heat',
			worst: worstOf('heat', cutterC),
			values: cutterC.map(heat),
			stops: heat(CUTTER_LIMIT_C)
		}
	];
	if (!tankBar) return rows;
	const top = tankBar.reduce((a, b) => Math.max(a, b), neededBar + 0.5);
	const from = neededBar - 0.25 * (top - neededBar);
	const share = (bar: number) => (bar - from) / (top - from);
	const tank: TraceRow = {
		of: 'tank',
		worst: worstOf('tank', tankBar),
		values: tankBar.map(share),
		stops: share(neededBar)
	};
	return [tank, ...rows];
}

/** A row as a path; of those that share a pixel the worst is drawn, so that no dip is lost. */
export function tracePath(
	{ of, values }: Pick<TraceRow, 'of' | 'values'>,
	timeS: readonly number[],
	{ plot, x }: Pick<Axis, 'plot' | 'x'>,
	{ topPx, heightPx }: { topPx: number; heightPx: number }
): string {
	const every = Math.max(1, Math.ceil(values.length / plot));
	const points: string[] = [];
	for (let k = 0; k < values.length; k += every) {
		const share = Math.min(1, Math.max(0, worstOf(of, values.slice(k, k + every))));
		points.push(`${x(timeS[k]!).toFixed(1)} ${(topPx + heightPx * (1 - share)).toFixed(1)}`);
	}
	return `M${points.join('L')}`;
}

/** Arcs from and to, px; those closer than a pixel are one bar. */
export function arcBars(run: ListRun, x: Axis['x']): { from: number; to: number }[] {
	const bars: { from: number; to: number }[] = [];
	for (const { arcs } of run.items) {
		for (const arc of arcs) {
			const [from, to] = [x(arc.startS), x(arc.endS)];
			const last = bars.at(-1);
			if (last && from - last.to < 1) last.to = Math.max(last.to, to);
			else bars.push({ from, to: Math.max(to, from + 1) });
		}
	}
	return bars;
}
