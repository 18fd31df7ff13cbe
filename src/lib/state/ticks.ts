/** What was ticked on this device: kept here, so that a thumb needs no server; read, never cast. */
import * as v from 'valibot';
import { LISTS } from '$lib/core/preflight/item';
import { recall, remember } from './remembered';

const short = v.pipe(v.string(), v.maxLength(80));
const TickSchema = v.object({
	/** What the item said when it was answered. */
	key: short,
	said: v.picklist(['yes', 'no', 'despite'])
});
const TicksSchema = v.object({
	day: short,
	/** By item; those of a job by list and item. */
	ticks: v.record(short, TickSchema),
	/** By list: its key when it was signed, and the time of day. */
	signed: v.record(v.picklist(LISTS), v.object({ key: short, at: short })),
	/** For the line on other pages: of the cut it stood for. */
	shown: v.nullable(
		v.object({
			search: v.pipe(v.string(), v.maxLength(4000)),
			ticked: v.number(),
			of: v.number(),
			signedAt: v.nullable(short)
		})
	)
});
export type Ticks = v.InferOutput<typeof TicksSchema>;
export type Tick = v.InferOutput<typeof TickSchema>;

export const noTicks = (day: string): Ticks => ({ day, ticks: {}, signed: {}, shown: null });
const keyOf = (benchId: string) => `steady-arc-ticks ${benchId}`;

/** The day as the shop's clock has it. */
export function today(now = new Date()): string {
	const two = (n: number) => String(n).padStart(2, '0');
	return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** "07:48" */
export const timeOfDay = (now = new Date()): string => now.toTimeString().slice(0, 5);

/** The same of a moment that was written down, "2026-11-27T07:48:00Z". */
export const timeOfIso = (iso: string): string => timeOfDay(new Date(iso));

/** What was ticked today; yesterday's counts for nothing. */
export function keptTicks(benchId: string, day = today()): Ticks {
	const kept = recall(keyOf(benchId), TicksSchema);
	return kept?.day === day ? kept : noTicks(day);
}
export const keepTicks = (benchId: string, ticks: Ticks): void => remember(keyOf(benchId), ticks);
