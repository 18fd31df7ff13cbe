/** The ledger by reading a whole log, with which the one that is kept is compared. */
import type { Evidence } from '../inputs/evidence';
import type { Bench } from '../inputs/bench';
import { PARTS_MOST } from '../wear/inputs';
import type { PartKind } from '../wear/parts';
import { startsByEye, type LookedAt } from '../wear/workings';
import type { Entry, LoggedEntry } from './entries';
import type { Of } from './supply';
import {
	addTally,
	boreGrowthNm,
	growthNm,
	isGouging,
	NO_TALLY,
	pitNm,
	tallyOf,
	type Tally
} from './tally';
import {
	evidenceFromLedger,
	GROOVES_MOST,
	PATTERN_CUTS_MOST,
	READINGS_MOST,
	type AgedTestCut,
	type Ledger,
	type LoggedCut,
	type Measured,
	type PartLedger
} from './ledger';

/** Earlier first: by the time it was done, then as it was written. */
export const inTime = (
	x: Pick<LoggedEntry, 'at' | 'id'>,
	y: Pick<LoggedEntry, 'at' | 'id'>
): number => (x.at < y.at ? -1 : x.at > y.at ? 1 : x.id - y.id);

/** A part as the store keeps it: in from then on, until the next of its kind. */
export interface FittedPart {
	kind: PartKind;
	fittedAt: string;
	why: string | null;
}
/** An electrode as the store keeps it. */
export interface FittedSet {
	id: string;
	fittedAt: string;
	removedAt: string | null;
	why: string | null;
}
const WORN = 'worn';
const newestFirst = (x: { fittedAt: string }, y: { fittedAt: string }) =>
	x.fittedAt < y.fittedAt ? 1 : x.fittedAt > y.fittedAt ? -1 : 0;
const totalOf = (entries: readonly LoggedEntry[]) =>
	entries.reduce((sum, { entry }) => addTally(sum, tallyOf(entry)), NO_TALLY);

/** Use, and last reading of its kind, of what was done with one part, in time. */
function measuredOf(entries: readonly LoggedEntry[], grownNm: (entry: Entry) => number | null) {
	const at = entries.findLastIndex(({ entry }) => grownNm(entry) !== null);
	const total = totalOf(entries);
	return {
		total,
		last:
			at < 0 ? null : { grownNm: grownNm(entries[at]!.entry)!, use: totalOf(entries.slice(0, at)) }
	};
}

/** The newest reading of each part, newest first. */
function lastReadings(
	active: readonly LoggedEntry[],
	grownNm: (entry: Entry) => number | null,
	partOf: (entry: LoggedEntry) => string
): Measured[] {
	const newest = new Map<string, { at: LoggedEntry; reading: Measured }>();
	const used = new Map<string, Tally>();
	for (const one of active) {
		const part = partOf(one);
		const use = used.get(part) ?? NO_TALLY;
		const grown = grownNm(one.entry);
		if (grown !== null) newest.set(part, { at: one, reading: { grownNm: grown, use } });
		used.set(part, addTally(use, tallyOf(one.entry)));
	}
	return [...newest.values()]
		.sort((x, y) => inTime(y.at, x.at))
		.map(({ reading }) => reading)
		.slice(0, PARTS_MOST);
}

/** Cuts and test cuts, the newest first, test cuts with what was worn since. */
function cutsOf(active: readonly LoggedEntry[]): Pick<Ledger, 'testCuts' | 'cuts'> {
	const testCuts: AgedTestCut[] = [];
	const cuts: LoggedCut[] = [];
	let sinceNm = 0;
	for (const { entry, at } of [...active].reverse()) {
		sinceNm += growthNm(tallyOf(entry));
		if (entry.kind === 'test-cut' && testCuts.length < READINGS_MOST)
			testCuts.push({ entry, sinceNm });
		if (entry.kind === 'cut' && cuts.length < PATTERN_CUTS_MOST)
			cuts.push({ at, arcMs: tallyOf(entry).arcMs, starts: entry.starts });
	}
	return { testCuts, cuts };
}

/** Electrode, nozzle and what is judged by eye, each by what was logged while it was in the torch. */
function partsOf(
	active: readonly LoggedEntry[],
	currentSetId: string | null,
	sets: readonly FittedSet[],
	parts: readonly FittedPart[]
): Pick<Ledger, 'electrode' | 'nozzle' | 'starts'> {
	const pit = (entry: Entry) => (entry.kind === 'pit' ? pitNm(entry) : null);
	const bore = (entry: Entry) => (entry.kind === 'bore' ? boreGrowthNm(entry) : null);
	const ofSet = new Map<string | null, LoggedEntry[]>();
	for (const e of active) {
		const list = ofSet.get(e.setId);
		if (list) list.push(e);
		else ofSet.set(e.setId, [e]);
	}
	const inTorch = measuredOf(ofSet.get(currentSetId) ?? [], pit);
	const electrode: PartLedger = {
		...inTorch,
		measured: lastReadings(active, pit, ({ setId }) => setId ?? ''),
		lives: [...sets]
			.filter(({ removedAt }) => removedAt !== null)
			.sort(newestFirst)
			.map(({ id, why }) => ({ use: totalOf(ofSet.get(id) ?? []), worn: why === WORN }))
			.slice(0, PARTS_MOST)
	};
	const between = (kind: FittedPart['kind']) => {
		const all = parts.filter((part) => part.kind === kind).sort(newestFirst);
		return all.map((part, i) => ({
			...part,
			entries: active.filter(
				({ at }) => at >= part.fittedAt && (i === 0 || at < all[i - 1]!.fittedAt)
			)
		}));
	};
	const nozzles = between('nozzle').map(({ why, entries: of }) => ({
		why,
		...measuredOf(of, bore)
	}));
	const { total, last } = nozzles[0] ?? { ...inTorch, last: null };
	const nozzle: PartLedger = {
		total,
		last,
		measured: nozzles.flatMap(({ last }) => last ?? []).slice(0, PARTS_MOST),
		lives: nozzles
			.slice(1)
			.map(({ total, why }) => ({ use: total, worn: why === WORN }))
			.slice(0, PARTS_MOST)
	};
	const startsOf = (kind: LookedAt) => {
		const [newest] = between(kind);
		if (!newest) return null;
		if (kind !== 'gouge-nozzle') return totalOf(newest.entries).starts;
		const grooves = newest.entries.filter(({ entry }) => isGouging(entry));
		return Math.min(GROOVES_MOST, totalOf(grooves).starts);
	};
	return { electrode, nozzle, starts: startsByEye(startsOf) };
}

/** The ledger by reading a whole log: what is kept beside it must come to the same. */
export function ledgerFromLog(
	entries: readonly LoggedEntry[],
	currentSetId: string | null,
	sets: readonly FittedSet[] = [],
	parts: readonly FittedPart[] = []
): Ledger {
	const active = entries.filter((e) => !e.undone).sort(inTime);
	const newest = <K extends Entry['kind']>(kind: K): Of<K>[] =>
		active
			.map((e) => e.entry)
			.filter((e): e is Of<K> => e.kind === kind)
			.slice(-READINGS_MOST);
	return {
		revision: entries.reduce((most, e) => Math.max(most, e.id), 0),
		readings: {
			volts: newest('volts'),
			drain: newest('drain'),
			fill: newest('fill'),
			leak: newest('leak'),
			gauge: newest('gauge'),
			lamp: newest('lamp'),
			trip: newest('trip'),
			scrap: newest('scrap'),
			kerf: newest('kerf'),
			'test-groove': newest('test-groove')
		},
		checks: newest('check'),
		...cutsOf(active),
		...partsOf(active, currentSetId, sets, parts)
	};
}

/** Evidence from a whole log. */
export function evidenceFromLog(
	bench: Bench,
	entries: readonly LoggedEntry[],
	currentSetId: string | null,
	sets: readonly FittedSet[] = [],
	parts: readonly FittedPart[] = []
): Evidence {
	return evidenceFromLedger(bench, ledgerFromLog(entries, currentSetId, sets, parts));
}
