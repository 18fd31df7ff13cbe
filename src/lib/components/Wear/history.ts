/** Growth of a part over its starts, as a drawing: 400 × 168. */
import type { WearReading } from '$lib/formats/wearHistory';

export const HISTORY = { width: 400, height: 168, left: 46, right: 12, top: 14, bottom: 28 };

export interface HistoryInput {
	readings: readonly WearReading[];
	now: { starts: number; grownUm: number };
	limitUm: number;
	/** Starts until the limit, and eight times in ten between; null: nobody knows. */
	left: number | null;
	band: readonly [number, number] | undefined;
}
export interface HistoryDrawing {
	/** From new through the readings to now. */
	line: string;
	/** From now to the limit. */
	forecast: string | undefined;
	/** Between the earliest and the latest. */
	fan: string | undefined;
	limitY: number;
	dots: { x: number; y: number }[];
	now: { x: number; y: number };
	/** Starts along the foot, and where. */
	ticks: { x: number; starts: number }[];
}

/** A round step that makes at most five of a length. */
function stepOf(length: number): number {
	const raw = Math.max(1, length / 5);
	const ten = 10 ** Math.floor(Math.log10(raw));
	return [1, 2, 5, 10].map((n) => n * ten).find((step) => step >= raw)!;
}

export function historyDrawing(of: HistoryInput): HistoryDrawing {
	const { width, height, left, right, top, bottom } = HISTORY;
	const { now, readings, limitUm } = of;
	// The latest end is cut off where it would make all else small.
	const lastStarts = now.starts + Math.max(20, Math.min(of.band?.[1] ?? 0, 2 * (of.left ?? 0)));
	const topUm = 1.15 * Math.max(limitUm, now.grownUm);
	const x = (starts: number) =>
		left + (Math.min(starts, lastStarts) / lastStarts) * (width - left - right);
	const y = (um: number) =>
		height - bottom - (Math.min(um, topUm) / topUm) * (height - top - bottom);
	const p = (starts: number, um: number) => `${x(starts).toFixed(1)} ${y(um).toFixed(1)}`;
	const points = [...readings.map((r) => p(r.starts, r.grownUm)), p(now.starts, now.grownUm)];
	const at = (more: number) => p(now.starts + more, limitUm);
	const goesOn = of.left !== null && now.grownUm < limitUm;
	const step = stepOf(lastStarts);
	return {
		line: `M${p(0, 0)}L${points.join('L')}`,
		forecast: goesOn ? `M${p(now.starts, now.grownUm)}L${at(of.left!)}` : undefined,
		fan:
			goesOn && of.band
				? `M${p(now.starts, now.grownUm)}L${at(of.band[0])}L${at(of.band[1])}Z`
				: undefined,
		limitY: y(limitUm),
		dots: readings.map((r) => ({ x: x(r.starts), y: y(r.grownUm) })),
		now: { x: x(now.starts), y: y(now.grownUm) },
		ticks: Array.from({ length: Math.floor(lastStarts / step) + 1 }, (_, i) => ({
			x: x(i * step),
			starts: i * step
		}))
	};
}
