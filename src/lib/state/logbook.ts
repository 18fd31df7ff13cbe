/** What a screen writes into the log, and takes back. */
import { isMeasurement, whatChanged, type Entry, type Evidence, type TestCut } from '$lib/core';
import type { Job } from '$lib/core/studies/job';
import { madeCuts, madeJob } from '$lib/core/studies/madeCuts';
import { nowIso } from './clock';
import { newOpId } from './ids';
import { ONCE, type Workbench } from './workbench.svelte';
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
export async function logEntry(
	bench: Workbench,
	entry: Entry,
	told: string,
	/** By which something else can be laid beside it. */
	opId = newOpId()
): Promise<boolean> {
	const at = nowIso();
	const { benchId } = bench;
	const result = await write<{ id: number; evidence: Evidence }>(
		bench,
		{
			method: 'POST',
			path: '/api/log',
			body: {
				opId,
				benchId,
				at,
				entry,
				inputsHash: bench.inputsHash,
				...(bench.who && { who: bench.who }),
				...(bench.whatFor.trim() && { whatFor: bench.whatFor.trim() })
			},
			words: told.replace(/ (logged|taken)\.$/, '').replace(/\.$/, '')
		},
		'Not logged yet: kept on this device and sent when the server answers.'
	);
	if (result.outcome !== 'done') return result.outcome !== 'refused';
	// The answer may come when another bench is on the screen.
	if (bench.benchId !== benchId) return true;
	const { id, evidence } = result.data;
	const line = { id, at, entry, undone: false };
	stepMade(bench, { id, benchId, at, text: told.replace(/ (logged|taken)\.$/, '') });
	newEvidence(bench, evidence, entry, told);
	bench.log = [line, ...bench.log];
	if (isMeasurement(entry)) bench.measured = [line, ...bench.measured];
	bench.notice = { kind: 'done', text: told, undo: () => void undoEntry(bench, id) };
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

export async function undoEntry(bench: Workbench, id: number): Promise<void> {
	const line = [...bench.log, ...bench.measured].find((l) => l.id === id);
	const result = await write<{ evidence: Evidence; outcome: 'undone' | 'already' | 'corrected' }>(
		bench,
		{
			method: 'POST',
			path: `/api/log/${id}/undo`,
			body: { at: nowIso() },
			words: 'Taking an entry back'
		},
		'Not taken back yet: kept on this device and sent when the server answers.'
	);
	if (result.outcome !== 'done') return;
	const { evidence, outcome } = result.data;
	stepGone(bench, id);
	if (outcome === 'corrected') {
		bench.notice = {
			kind: 'problem',
			text: 'It was corrected since and stays; what stands in for it can be taken back in the log.'
		};
		return;
	}
	if (line) newEvidence(bench, evidence, line.entry, 'Taken back.');
	else {
		bench.evidence = evidence;
		bench.revised({ log: evidence.revision });
	}
	bench.measured = bench.measured.filter((l) => l.id !== id);
	bench.log = bench.log.map((l) => (l.id === id ? { ...l, undone: true } : l));
	if (outcome === 'already') {
		bench.notice = { kind: 'done', text: 'Somebody had taken it back already.' };
		return;
	}
	bench.notice = {
		kind: 'done',
		text: 'Taken back.',
		redo: line && (() => void logEntry(bench, line.entry, 'Logged again.'))
	};
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
	const { counted, benchId } = bench;
	const entries = madeCuts(bench.plan, bench.cut, counted);
	if (entries.length === 0) {
		bench.notice = {
			kind: 'problem',
			text: 'This cut does not go through; there is nothing to log.'
		};
		return;
	}
	const before = bench.log[0]?.id;
	for (const entry of entries) {
		const many = entry.starts > 1 ? `${entry.starts} cuts, ` : 'Cut of ';
		const way = counted.pierced > 0 ? `, ${START_WORDS[entry.start]}` : '';
		const told = `${many}${bench.say(entry.lengthMm, 'length')}${way} logged.`;
		if (bench.benchId !== benchId || !(await logEntry(bench, entry, told))) return;
		// What is logged is not counted again, should the other half be refused.
		const { pierced } = counted;
		if (entries.length > 1) bench.counted = { ...counted, cuts: pierced, pierced };
	}
	// The cuts are in the log; a refusal of the failed starts does not log them again.
	bench.counted = { ...ONCE, failed: counted.failed };
	if (counted.failed > 0 && !(await logStart(bench, counted.failed))) return;
	if (bench.benchId !== benchId) return;
	bench.counted = ONCE;
	const all = entries.length + (counted.failed > 0 ? 1 : 0);
	const made = bench.log.slice(0, all);
	if (all < 2 || made.some(({ id }) => id === before) || bench.notice?.kind !== 'done') return;
	const cuts = counted.cuts === 1 ? '1 cut' : `${counted.cuts} cuts`;
	const pierced = counted.pierced > 0 ? `, ${counted.pierced} of them pierced` : '';
	const failed = counted.failed > 0 ? `, and ${failedWords(counted.failed)}` : '';
	bench.notice = {
		kind: 'done',
		text: `${cuts} logged${pierced}${failed}.`,
		undo: () => {
			void made.reduce(
				(before, { id }) => before.then(() => undoEntry(bench, id)),
				Promise.resolve()
			);
		}
	};
}

/** Every cut of a job that was just done, all parts of it; one gesture takes all of it back. */
export async function logJob(bench: Workbench, job: Job, name: string): Promise<void> {
	const { benchId } = bench;
	const entries = madeJob(job, bench.plan, bench.cut);
	if (entries.length === 0) {
		bench.notice = {
			kind: 'problem',
			text: 'One of these cuts does not go through; there is nothing to log.'
		};
		return;
	}
	const made: number[] = [];
	for (const entry of entries) {
		const before = bench.log[0]?.id;
		const told = `${entry.starts} cuts of ${name}, ${bench.say(entry.lengthMm / 1000, 'run')}, logged.`;
		if (bench.benchId !== benchId || !(await logEntry(bench, entry, told))) return;
		const newest = bench.log[0]?.id;
		if (newest !== undefined && newest !== before) made.push(newest);
	}
	if (made.length < entries.length || bench.notice?.kind !== 'done') return;
	bench.notice = {
		kind: 'done',
		text: `${name}: ${job.starts} cuts logged, ${bench.say(job.lengthMm / 1000, 'run')}.`,
		undo: () => {
			void made.reduce((before, id) => before.then(() => undoEntry(bench, id)), Promise.resolve());
		}
	};
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
export async function logStart(bench: Workbench, times = 1): Promise<boolean> {
	const words = failedWords(times).replace(/^o/, 'O');
	return logEntry(bench, { kind: 'start', arcS: 1, start: 'edge', times }, `${words} logged.`);
}
