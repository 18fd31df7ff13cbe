/** The planned groove into the log, all of its pieces, as strings that were pushed. */
import type { Entry } from '$lib/core';
import { logEntry } from './logbook';
import type { Workbench } from './workbench.svelte';

/** One entry holds no more. */
const [STARTS_MOST, LENGTH_MOST_MM, ARC_MOST_S] = [1000, 100_000, 36_000] as const;

export async function logGroove(bench: Workbench): Promise<void> {
	const { gouge } = bench.cut;
	const { figures } = bench.plan;
	const strings = figures['gouge.strings'].value;
	const pieceS = figures['gouge.pieceS'].value;
	if (strings === null || pieceS === null) return;
	const spot = bench.plan.groove === null;
	const pieceMm = spot ? gouge.widthMm : strings * (gouge.lengthMm ?? bench.cut.lengthMm);
	const entry: Extract<Entry, { kind: 'groove' }> = {
		kind: 'groove',
		metal: gouge.metal ?? bench.cut.metal,
		outputA: figures['gouge.currentA'].value!,
		lengthMm: gouge.pieces * pieceMm,
		arcS: gouge.pieces * pieceS,
		starts: gouge.pieces * strings
	};
	if (
		entry.starts > STARTS_MOST ||
		entry.lengthMm > LENGTH_MOST_MM ||
		entry.arcS > ARC_MOST_S ||
		entry.lengthMm < 1
	) {
		bench.notice = {
			kind: 'problem',
			text: 'That is more than one line of the log holds: log fewer pieces at a time.'
		};
		return;
	}
	const told =
		gouge.pieces === 1
			? `Groove of ${bench.say(pieceS, 'time')} logged.`
			: `${gouge.pieces} grooves, ${bench.say(entry.arcS, 'time')} of arc, logged.`;
	await logEntry(bench, entry, told);
}
