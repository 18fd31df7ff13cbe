/** What is fitted into the torch, and taken out again. */
import type { Evidence } from '$lib/core';
import type { PartKind, Why } from '$lib/core/wear/parts';
import { nowIso } from './clock';
import type { Workbench } from './workbench.svelte';
import type { PartSetInfo } from './workbenchData';
import { lookAgain, write } from './write';

/** Why each of the pair came out. */
export interface WhyOut {
	electrode?: Why;
	nozzle?: Why;
}

/** New electrode and nozzle, as a pair; `alone`: the nozzle stays in. */
export async function fitNewSet(
	bench: Workbench,
	name: string,
	{ why, alone = false }: { why?: WhyOut; alone?: boolean } = {}
): Promise<void> {
	const { benchId } = bench;
	const result = await write<{
		set: PartSetInfo;
		previousId: string | null;
		revision: number;
		evidence: Evidence;
	}>(
		bench,
		{
			method: 'POST',
			path: '/api/sets',
			body: {
				benchId,
				name,
				at: nowIso(),
				revision: bench.revisions.parts,
				...(why && { why }),
				...(alone && { alone })
			},
			words: `${name} into the torch`
		},
		`${name}: not with the server yet, kept on this device and sent when it answers.`
	);
	if (result.outcome !== 'done') return lookAgain(bench, result);
	const { set, previousId, revision, evidence } = result.data;
	const before = { partSet: bench.partSet, evidence: bench.evidence };
	bench.partSet = set;
	bench.evidence = evidence;
	bench.revised({ parts: revision });
	const undo = async () => {
		const back = await write<{ revision: number }>(
			bench,
			{
				method: 'POST',
				path: `/api/sets/${set.id}/unfit`,
				body: { previousId },
				words: `${name} out again`
			},
			`${name} is not out yet: kept on this device and sent when the server answers.`
		);
		if (back.outcome !== 'done') return lookAgain(bench, back);
		Object.assign(bench, before);
		bench.revised({ parts: back.data.revision });
		bench.notice = {
			kind: 'done',
			text: before.partSet ? `${before.partSet.name} is back in.` : `${name} is out again.`
		};
	};
	bench.notice = { kind: 'done', text: `${name} is in the torch.`, undo: () => void undo() };
}

/** One part of the torch, by itself. */
export async function fitPart(
	bench: Workbench,
	kind: PartKind,
	name: string,
	why?: Why
): Promise<void> {
	const { benchId } = bench;
	const result = await write<{ part: { id: string }; revision: number; evidence: Evidence }>(
		bench,
		{
			method: 'POST',
			path: '/api/parts',
			body: {
				benchId,
				kind,
				at: nowIso(),
				revision: bench.revisions.parts,
				...(why && { why })
			},
			words: `A new ${name} into the torch`
		},
		`The new ${name} is not with the server yet: kept on this device and sent when it answers.`
	);
	if (result.outcome !== 'done') return lookAgain(bench, result);
	if (bench.benchId !== benchId) return;
	const { part, revision, evidence } = result.data;
	bench.evidence = evidence;
	bench.revised({ parts: revision });
	const undo = async () => {
		const back = await write<{ revision: number; evidence: Evidence }>(
			bench,
			{
				method: 'POST',
				path: `/api/parts/${part.id}/unfit`,
				body: {},
				words: `The ${name} out again`
			},
			`The ${name} is not out yet: kept on this device and sent when the server answers.`
		);
		if (back.outcome !== 'done') return lookAgain(bench, back);
		bench.evidence = back.data.evidence;
		bench.revised({ parts: back.data.revision });
		bench.notice = { kind: 'done', text: `The ${name} before is in again.` };
	};
	bench.notice = { kind: 'done', text: `A new ${name} is in the torch.`, undo: () => void undo() };
}
