/** How far the server's clock is ahead of this device's, ms: as of its last answer, over reloads too. */
import * as v from 'valibot';
import { recall, remember } from './remembered';

const KEY = 'clock-ahead-ms';
let aheadMs: number | undefined;

function known(): number {
	if (aheadMs !== undefined) return aheadMs;
	return (aheadMs = recall(KEY, v.pipe(v.number(), v.finite())) ?? 0);
}

/** The server told its time between these two moments of this device, ms. */
export function learnServerTime(serverIso: string, askedMs: number, gotMs: number): void {
	const ahead = Date.parse(serverIso) - (askedMs + gotMs) / 2;
	if (!Number.isFinite(ahead)) return;
	aheadMs = ahead;
	remember(KEY, Math.round(ahead));
}

/** Seconds after midnight by this device's own clock. */
export function secondOfDay(ms: number): number {
	const at = new Date(ms);
	return at.getHours() * 3600 + at.getMinutes() * 60 + at.getSeconds();
}

/** The moment of a gesture by the server's clock, as it is written in the log. */
export function nowIso(): string {
	return new Date(Date.now() + known()).toISOString();
}
