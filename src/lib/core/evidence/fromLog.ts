import { useOfStart } from '../cut/start';
import type { Chart } from '../cutter/chart';
import { speedRatioFromLag } from '../cutter/speed';
import { NO_EVIDENCE, type Bench, type Evidence } from '../plan/inputs';
import { baseSpeed } from '../plan/workings/cutting';
import { addUse, growthUm, NO_USE, type Use } from '../wear/electrode';
import type { Entry, LoggedEntry } from './entries';
import { FADE_UM, speedKey } from './speedCorrection';
import { scrapEvidence } from './scrap';
import { supplyEvidence, type Of } from './supply';

/** Speed held over the recommended one when only dross tells [own]. */
const RATIO_FROM_DROSS = { none: 1, soft: 0.8, hard: 1.25 } as const;

/**
 * Recommended speed seen in a test cut, mm/s: the one held, corrected by the spark angle where it was
 * read, else by the dross. One that did not go through shows the speed that was held.
 */
export function seenSpeedMmS(e: Of<'test-cut'>): number {
	if (!e.through) return e.speedMmS;
	const ratio =
		e.lagDeg === null ? RATIO_FROM_DROSS[e.dross ?? 'none'] : speedRatioFromLag(e.lagDeg);
	return e.speedMmS / ratio;
}

/** What a test cut tells, over chart or model: the speed held, and the recommended one seen in it. */
export function speedRatioFromTest(
	bench: Bench,
	chart: Chart | null,
	e: Of<'test-cut'>
): { held: number; seen: number } | undefined {
	const { baseMmS } = baseSpeed(bench, chart, {
		metal: e.metal,
		outputA: e.outputA,
		arcMm: e.thicknessMm,
		nozzleA: e.nozzleA ?? bench.torch.fittedA
	});
	if (!(baseMmS > 0)) return undefined;
	return { held: e.speedMmS / baseMmS, seen: seenSpeedMmS(e) / baseMmS };
}

/** Use of the parts that an entry stands for. */
export function useOf(entry: Entry): Use {
	if (entry.kind === 'test-cut' && entry.took) {
		const { lengthMm, start } = entry.took;
		return { ...useOfStart(start), arcMin: lengthMm / entry.speedMmS / 60 };
	}
	if (entry.kind !== 'cut' && entry.kind !== 'start') return NO_USE;
	const starts = entry.kind === 'cut' ? entry.starts : 1;
	const one = useOfStart(entry.start);
	return {
		starts,
		arcMin: entry.arcS / 60,
		piercesRolled: starts * one.piercesRolled,
		piercesStraight: starts * one.piercesStraight
	};
}

/** At most so many censored cuts are kept, the newest. */
const CENSORED_MOST = 20;
/** A cut this much faster than recommended tells about the fastest speed by having parted [own]. */
const FAST_FROM = 1.1;

/** Test cuts by metal and nozzle; each counts for less the more the parts have worn since. */
function speedEvidence(
	bench: Bench,
	chart: Chart | null,
	active: readonly LoggedEntry[]
): Evidence['speed'] {
	const speed: Evidence['speed'] = {};
	let sinceUm = 0;
	for (const { entry } of [...active].reverse()) {
		sinceUm += growthUm(useOf(entry));
		if (entry.kind !== 'test-cut') continue;
		const ratio = speedRatioFromTest(bench, chart, entry);
		if (ratio === undefined) continue;
		const key = speedKey(entry.metal, entry.nozzleA ?? bench.torch.fittedA);
		const before = speed[key] ?? { n: 0, sumLog: 0, missed: [], parted: [] };
		const fast = Math.log(ratio.held);
		if (!entry.through) {
			speed[key] = { ...before, missed: [...before.missed, fast].slice(0, CENSORED_MOST) };
			continue;
		}
		// Slower cuts part anyway and tell nothing about the fastest speed.
		const tells = ratio.held > FAST_FROM * ratio.seen;
		const weight = Math.exp(-sinceUm / FADE_UM);
		speed[key] = {
			...before,
			parted: tells ? [...before.parted, fast].slice(0, CENSORED_MOST) : before.parted,
			n: before.n + weight,
			sumLog: before.sumLog + weight * Math.log(ratio.seen)
		};
	}
	return speed;
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
	currentSetId: string | null,
	chart: Chart | null = null
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
		speed: speedEvidence(bench, chart, active),
		scrap: scrapEvidence(bench, all('scrap')),
		wear: {
			total: current.total,
			lastPit: current.lastPit,
			measuredUm: wears.reduce((sum, w) => sum + w.measuredUm, 0),
			expectedUm: wears.reduce((sum, w) => sum + w.expectedUm, 0)
		}
	};
}
