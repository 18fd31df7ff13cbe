/** Saving an edited bench, and what happens when somebody else saved it meanwhile. */
import type { Bench } from '$lib/core';
import { typicalToBoth } from '$lib/core/inputs/typical';
import { merged } from './merge';
import { drop, type Kept } from './outbox';
import type { Workbench } from './workbench.svelte';
import { write } from './write';

interface Theirs {
	revision: number;
	bench: Bench;
}

/** Saves the draft over the revision it started from; what somebody saved in between is kept. */
export async function saveBench(
	bench: Workbench,
	over = bench.draft.base?.revision ?? bench.stored.revision
): Promise<void> {
	const { bench: mine, benchId } = bench;
	const base = bench.draft.base?.bench ?? bench.stored.bench;
	const result = await write<{ revision: number }>(
		bench,
		{
			method: 'PUT',
			path: `/api/benches/${benchId}`,
			body: { revision: over, bench: mine },
			base,
			words: `Edit of ${mine.name}`
		},
		'The bench is kept on this device and sent when the server answers.'
	);
	if (result.outcome === 'refused' && result.status === 409) {
		await meet(bench, base, mine, result.problem.theirs as Theirs);
		return;
	}
	if (result.outcome === 'refused') return;
	// Kept or saved, the edit is out of the hand: the bar closes.
	const revision = result.outcome === 'done' ? result.data.revision : bench.stored.revision;
	bench.stands(mine, revision);
	if (result.outcome === 'done') bench.notice = { kind: 'done', text: 'Bench saved.' };
}

/** Puts an edit together with what was saved in between; where both changed the same, both are shown. */
async function meet(bench: Workbench, base: Bench, mine: Bench, theirs: Theirs): Promise<void> {
	const bare = (bench: Bench): Bench => ({ ...bench, typical: [] });
	const both = merged(bare(base), bare(mine), bare(theirs.bench));
	if (both.ok) both.value.typical = typicalToBoth(mine.typical, theirs.bench.typical);
	const { checkedBench } = await import('./editBench');
	const valid = both.ok ? checkedBench(both.value) : undefined;
	const { draft } = bench;
	const over = { revision: theirs.revision, bench: theirs.bench };
	bench.stored = { ...bench.stored, ...over };
	if (!valid?.ok) {
		const fields = both.ok ? [] : both.fields;
		draft.open(over, mine, { ...over, fields });
		return;
	}
	draft.open(over, valid.bench);
	await saveBench(bench, theirs.revision);
	if (draft.edited) return;
	bench.notice = {
		kind: 'done',
		text: 'Bench saved, together with what somebody else changed meanwhile.'
	};
}

/** The person decided to take the other version. */
export function takeTheirs(bench: Workbench): void {
	const { theirs } = bench.draft;
	if (theirs) bench.stands(theirs.bench, theirs.revision);
}

/** An edit that waited and met another one: put together, or both shown. */
export async function meetLate(
	bench: Workbench,
	{ write: late, refusal, key }: Kept
): Promise<boolean> {
	const theirs = refusal?.problem.theirs as Theirs | undefined;
	const isEdit = late.path === `/api/benches/${bench.benchId}` && refusal?.status === 409;
	// Whoever edits now decides first; until then the edit lies aside, in sight.
	if (!isEdit || !theirs || !late.base || bench.draft.edited) return false;
	await drop(key);
	await meet(bench, late.base as Bench, late.body.bench as Bench, theirs);
	return true;
}
