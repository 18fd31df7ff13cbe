/** What a screen writes into the log, and takes back. */
import { isMeasurement, whatChanged, type Entry, type Evidence, type TestCut } from '$lib/core';
import type { Job } from '$lib/core/studies/job';
import { madeCuts, madeJob } from '$lib/core/studies/madeCuts';
import { nowIso } from './clock';
import { newOpId } from './ids';
import { ONCE, type Workbench } from './workbench.svelte';
import './plansHere';
import { stepGone, stepMade } from './steps';
import { lookAgain, write } from './write';

const START_WORDS = {
	edge: 'from an edge',
	pierce: 'pierced',
	rolled: 'pierced',
	hover: 'hovered',
	drilled: 'from a hole'
} as const;

/** What was seen of a test cut. */
export type SeenCut = Pick<
	TestCut,
	'speedMmS' | 'lagDeg' | 'lagSpreadDeg' | 'dross' | 'judged' | 'through'
>;

/** Writes one entry; the new evidence re-plans everything. `told` says what was done. */
export function logEntry(
	bench: Workbench,
	entry: Entry,
	told: string,
	/** By which something else can be laid beside it. */
	opId = newOpId()
): Promise<boolean> {
	return logTogether(bench, [{ entry, told }], told, opId);
}

/** One entry of those that a gesture makes, and how it is told by itself. */
interface Part {
	entry: Entry;
	told: string;
}
/** What it is, without that it was done: it may only wait. */
const inShort = (told: string) => told.replace(/,? (logged|taken)(?=[,.])/, '').replace(/\.$/, '');

/**
 * What one gesture logs goes out by one write: all of it is in the log, or waits, or was refused. It is told
 * once, and taken back at once; each entry is a step by itself. False: refused.
 */
async function logTogether(
	bench: Workbench,
	parts: readonly Part[],
	told: string,
	opId = newOpId()
): Promise<boolean> {
	const at = nowIso();
	const { benchId } = bench;
	const [first] = parts;
	const one = parts.length === 1;
	const result = await write<{ id?: number; ids?: number[]; evidence: Evidence }>(
		bench,
		{
			method: 'POST',
			path: one ? '/api/log' : '/api/log/several',
			body: {
				opId,
				benchId,
				at,
				...(one ? { entry: first!.entry } : { entries: parts.map(({ entry }) => entry) }),
				inputsHash: bench.inputsHash,
				...(bench.who && { who: bench.who }),
				...(bench.whatFor.trim() && { whatFor: bench.whatFor.trim() })
			},
			words: inShort(told)
		},
		'Not logged yet: kept on this device and sent when the server answers.'
	);
	if (result.outcome !== 'done') return result.outcome !== 'refused';
	// The answer may come when another bench is on the screen.
	if (bench.benchId !== benchId) return true;
	const { id, ids = [id!], evidence } = result.data;
	newEvidence(bench, evidence, first!.entry, told);
	for (const [i, { entry, told: by }] of parts.entries()) {
		const line = { id: ids[i]!, at, entry, undone: false };
		stepMade(bench, { id: line.id, benchId, at, text: inShort(by) });
		bench.log = [line, ...bench.log];
		if (isMeasurement(entry)) bench.measured = [line, ...bench.measured];
	}
	bench.notice = { kind: 'done', text: told, undo: () => void undoEntries(bench, ids) };
	return true;
}

function newEvidence(bench: Workbench, evidence: Evidence, entry: Entry, title: string): void {
	const before = bench.plan;
	// A slow answer does not put older evidence over newer.
	if (evidence.revision < bench.evidence.revision) return;
	bench.evidence = evidence;
	bench.revised({ log: evidence.revision });
	if (isMeasurement(entry)) bench.moved = { title, changes: whatChanged(before, bench.plan) };
}

export const undoEntry = (bench: Workbench, id: number): Promise<void> => undoEntries(bench, [id]);

/** What is on its way back: pressed again meanwhile, by hand or by key, it is the same. */
const going = new Map<string, Promise<void>>();
function undoEntries(bench: Workbench, ids: readonly number[]): Promise<void> {
	const key = ids.join();
	const gone = going.get(key) ?? takeBack(bench, ids).finally(() => going.delete(key));
	going.set(key, gone);
	return gone;
}

/** What one gesture wrote goes back by one write: all of it, or it waits whole. */
async function takeBack(bench: Workbench, ids: readonly number[]): Promise<void> {
	const lines = [...bench.log, ...bench.measured].filter(({ id }) => ids.includes(id));
	const result = await write<{
		results: { id: number; outcome: 'undone' | 'already' | 'corrected' }[];
		evidence: Evidence;
	}>(
		bench,
		{
			method: 'POST',
			path: '/api/log/undo',
			body: { at: nowIso(), ids },
			words: ids.length === 1 ? 'Taking an entry back' : `Taking ${ids.length} entries back`
		},
		'Not taken back yet: kept on this device and sent when the server answers.'
	);
	if (result.outcome !== 'done') return;
	const { results, evidence } = result.data;
	for (const id of ids) stepGone(bench, id);
	const [line] = lines;
	if (line) newEvidence(bench, evidence, line.entry, 'Taken back.');
	else {
		bench.evidence = evidence;
		bench.revised({ log: evidence.revision });
	}
	const gone = new Set(results.filter((one) => one.outcome !== 'corrected').map(({ id }) => id));
	bench.measured = bench.measured.filter(({ id }) => !gone.has(id));
	bench.log = bench.log.map((l) => (gone.has(l.id) ? { ...l, undone: true } : l));
	if (gone.size < results.length) {
		bench.notice = {
			kind: 'problem',
			text: `${ids.length === 1 ? 'It' : 'One of them'} was corrected since and stays; what stands in for it can be taken back in the log.`
		};
	} else if (results.every(({ outcome }) => outcome === 'already')) {
		bench.notice = { kind: 'done', text: 'Somebody had taken it back already.' };
	} else {
		bench.notice = {
			kind: 'done',
			text: 'Taken back.',
			redo:
				ids.length === 1 && line
					? () => void logEntry(bench, line.entry, 'Logged again.')
					: undefined
		};
	}
}

/** Another entry in the place of one that was wrong; the old one stays in the record. */
export async function correctEntry(
	bench: Workbench,
	old: { id: number; at: string },
	entry: Entry,
	whatFor: string
): Promise<boolean> {
	const { benchId } = bench;
	const result = await write<{ id: number; evidence: Evidence }>(
		bench,
		{
			method: 'POST',
			path: `/api/log/${old.id}/correct`,
			body: { entry, whatFor: whatFor.trim() },
			words: 'A correction'
		},
		'Not corrected yet: kept on this device and sent when the server answers.'
	);
	if (result.outcome !== 'done') {
		lookAgain(bench, result);
		return result.outcome !== 'refused';
	}
	if (bench.benchId !== benchId) return true;
	const { id, evidence } = result.data;
	stepMade(bench, { id, benchId, at: nowIso(), text: 'Correction' });
	bench.log = bench.log.map((line) => (line.id === old.id ? { ...line, id, entry } : line));
	newEvidence(bench, evidence, entry, 'Corrected.');
	bench.notice = {
		kind: 'done',
		text: 'Corrected; the old line stays in the record.',
		undo: () => void undoEntry(bench, id).then(() => bench.refresh())
	};
	return true;
}

/** The planned cut as often as the counter says, those pierced apart; one gesture takes all of it back. */
export async function logCut(bench: Workbench): Promise<void> {
	const { counted } = bench;
	const entries = madeCuts(bench.plan, bench.cut, counted);
	if (entries.length === 0) {
		bench.notice = {
			kind: 'problem',
			text: 'This cut does not go through; there is nothing to log.'
		};
		return;
	}
	const { cuts, pierced, failed } = counted;
	const parts: Part[] = entries.map((entry) => {
		const many = entry.starts > 1 ? `${entry.starts} cuts, ` : 'Cut of ';
		const way = pierced > 0 ? `, ${START_WORDS[entry.start]}` : '';
		return { entry, told: `${many}${bench.say(entry.lengthMm, 'length')}${way} logged.` };
	});
	if (failed > 0) parts.push(failedStarts(failed));
	const what = [
		`${cuts === 1 ? '1 cut' : `${cuts} cuts`} logged`,
		...(pierced > 0 ? [`${pierced} of them pierced`] : []),
		...(failed > 0 ? [`and ${failedWords(failed)}`] : [])
	];
	const told = parts.length === 1 ? parts[0]!.told : `${what.join(', ')}.`;
	// What is in the log, or on its way, is not counted again.
	if ((await logTogether(bench, parts, told)) && bench.counted === counted) bench.counted = ONCE;
}

/** Every cut of a job that was just done, all parts of it; one gesture takes all of it back. */
export async function logJob(bench: Workbench, job: Job, name: string): Promise<void> {
	const entries = madeJob(job, bench.plan, bench.cut);
	if (entries.length === 0) {
		bench.notice = {
			kind: 'problem',
			text: 'One of these cuts does not go through; there is nothing to log.'
		};
		return;
	}
	await logTogether(
		bench,
		entries.map((entry) => ({
			entry,
			told: `${entry.starts} cuts of ${name}, ${bench.say(entry.lengthMm / 1000, 'run')}, logged.`
		})),
		`${name}: ${job.starts} cuts logged, ${bench.say(job.lengthMm / 1000, 'run')}.`
	);
}

/** A test cut in what is planned, at the amps that are planned. */
export function testCut(bench: Workbench, seen: SeenCut): TestCut {
	const { figures } = bench.plan;
	return {
		kind: 'test-cut',
		metal: bench.cut.metal,
		// What the arc went through: a stack or a bevel counts as it stands.
		thicknessMm: figures['setup.arcMm'].value!,
		outputA: figures['setup.currentA'].value!,
		...seen
	};
}
/** `counts`: it wore the parts; off where it is in the log as a cut of its own. */
export function logTestCut(
	bench: Workbench,
	seen: SeenCut,
	counts: boolean,
	opId?: string
): Promise<boolean> {
	const { figures, choices } = bench.plan;
	const lengthMm = figures['setup.lineMm'].value ?? bench.cut.lengthMm;
	const took =
		counts && choices.startMethod !== 'none' ? { lengthMm, start: choices.startMethod } : undefined;
	const told = 'Taken as a test cut; the card goes by it.';
	return logEntry(bench, { ...testCut(bench, seen), took }, told, opId);
}

const failedWords = (n: number) => (n === 1 ? 'one failed start' : `${n} failed starts`);

/** Starts that came to nothing: a second of pilot arc each. */
const failedStarts = (times: number): Part => ({
	entry: { kind: 'start', arcS: 1, start: 'edge', times },
	told: `${failedWords(times).replace(/^o/, 'O')} logged.`
});
export function logStart(bench: Workbench, times = 1): Promise<boolean> {
	const { entry, told } = failedStarts(times);
	return logEntry(bench, entry, told);
}
