import { useOfStart } from '../cut/start';
import { NO_EVIDENCE, type Bench, type Evidence } from '../plan/inputs';
import type { SpeedReading } from '../cutter/reading';
import {
	addUse,
	growthUm,
	MESH_PILOT_SHARE,
	nozzleLoad,
	NO_USE,
	type Use
} from '../wear/electrode';
import type { Entry, LoggedEntry } from './entries';
import { FADE_UM, merged, readingsOf } from './speedReadings';
import { scrapEvidence } from './scrap';
import { supplyEvidence, type Of } from './supply';

/** Load on the nozzle; entries from before it was told count as at its rating. */
const loadOf = ({ outputA, nozzleA }: { outputA: number; nozzleA?: number }) =>
	nozzleA === undefined ? 1 : nozzleLoad(outputA, nozzleA);

/** Use of the parts that an entry stands for. */
export function useOf(entry: Entry): Use {
	if (entry.kind === 'test-cut' && entry.took) {
		const { lengthMm, start } = entry.took;
		const arcMin = lengthMm / entry.speedMmS / 60;
		return { ...useOfStart(start), arcMin, loadMin: arcMin * loadOf(entry) };
	}
	// A start that came to nothing: its arc was the pilot's.
	if (entry.kind === 'start') return { ...useOfStart(entry.start), pilotS: entry.arcS };
	if (entry.kind !== 'cut') return NO_USE;
	const { starts } = entry;
	const one = useOfStart(entry.start);
	const arcMin = entry.arcS / 60;
	return {
		starts,
		arcMin,
		loadMin: arcMin * loadOf(entry),
		pilotS: entry.mesh ? MESH_PILOT_SHARE * entry.arcS : 0,
		piercesRolled: starts * one.piercesRolled,
		piercesStraight: starts * one.piercesStraight
	};
}

/** What test cuts tell of the speed; each counts for less the more the parts have worn since. */
function speedEvidence(bench: Bench, active: readonly LoggedEntry[]): Evidence['speed'] {
	const newestFirst: SpeedReading[] = [];
	let sinceUm = 0;
	for (const { entry } of [...active].reverse()) {
		sinceUm += growthUm(useOf(entry));
		if (entry.kind !== 'test-cut') continue;
		const weight = Math.exp(-sinceUm / FADE_UM);
		newestFirst.push(...readingsOf(entry, entry.nozzleA ?? bench.torch.fittedA, weight));
	}
	return merged(newestFirst);
}

/** Use since new, last pit and growth measured and expected, of one set of parts. */
function wearOfSet(entries: readonly LoggedEntry[]) {
	let total = NO_USE;
	let since = NO_USE;
	let lastPit: Evidence['wear']['lastPit'] = null;
	let measuredUm = 0;
	let expectedUm = 0;
	for (const { entry } of entries) {
		if (entry.kind === 'pit') {
			lastPit = { pitUm: entry.pitMm * 1000, useSince: NO_USE };
			measuredUm = lastPit.pitUm;
			expectedUm = growthUm(total);
			since = NO_USE;
			continue;
		}
		const use = useOf(entry);
		total = addUse(total, use);
		since = addUse(since, use);
		if (lastPit) lastPit = { ...lastPit, useSince: since };
	}
	return { total, lastPit, measuredUm, expectedUm };
}

/** A pause longer than this is something else, s [own]. */
const PAUSE_MOST_S = 15 * 60;

/**
 * How this bench works: arc of one start over all cuts logged; the pause as the median gap between cuts
 * logged one after the other within a quarter of an hour, and only then.
 */
function patternEvidence(active: readonly LoggedEntry[]): Evidence['pattern'] {
	const cuts = active.filter(
		(e): e is LoggedEntry & { entry: Of<'cut'> } => e.entry.kind === 'cut'
	);
	const starts = cuts.reduce((sum, c) => sum + c.entry.starts, 0);
	if (starts === 0) return null;
	const arcS = cuts.reduce((sum, c) => sum + c.entry.arcS, 0) / starts;
	const gaps: number[] = [];
	for (let i = 1; i < cuts.length; i++) {
		const { entry, at } = cuts[i]!;
		if (entry.starts !== 1) continue;
		const gapS = (Date.parse(at) - Date.parse(cuts[i - 1]!.at)) / 1000 - entry.arcS;
		if (gapS >= 0 && gapS <= PAUSE_MOST_S) gaps.push(gapS);
	}
	gaps.sort((x, y) => x - y);
	const restS = gaps.length ? gaps[Math.floor(gaps.length / 2)]! : null;
	return { starts, arcS: Math.max(0.1, arcS), restS };
}

/**
 * Compact evidence from the log of one bench: the same log and bench always give the same evidence.
 * Entries come in the order they were written; undone ones count for nothing.
 */
export function evidenceFromLog(
	bench: Bench,
	entries: readonly LoggedEntry[],
	currentSetId: string | null
): Evidence {
	const active = entries.filter((e) => !e.undone);
	const all = <K extends Entry['kind']>(kind: K): Of<K>[] =>
		active.map((e) => e.entry).filter((e): e is Of<K> => e.kind === kind);
	const sets = new Map<string | null, LoggedEntry[]>();
	for (const e of active) sets.set(e.setId, [...(sets.get(e.setId) ?? []), e]);
	const wears = [...sets.entries()].map(([setId, list]) => ({ setId, ...wearOfSet(list) }));
	const current = wears.find((w) => w.setId === currentSetId) ?? wearOfSet([]);

	// In the order of NO_EVIDENCE, so that equal evidence hashes alike.
	return {
		...NO_EVIDENCE,
		revision: entries.reduce((most, e) => Math.max(most, e.id), 0),
		...supplyEvidence(bench, all),
		pattern: patternEvidence(active),
		speed: speedEvidence(bench, active),
		scrap: scrapEvidence(bench, all('scrap')),
		wear: {
			total: current.total,
			lastPit: current.lastPit,
			measuredUm: wears.reduce((sum, w) => sum + w.measuredUm, 0),
			expectedUm: wears.reduce((sum, w) => sum + w.expectedUm, 0)
		}
	};
}
