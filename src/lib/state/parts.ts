/** What is fitted into the torch, and taken out again. */
import type { Evidence } from '$lib/core';
import { nowIso } from './clock';
import type { PartSetInfo, Workbench } from './workbench.svelte';
import { lookAgain, write } from './write';

/** New electrode and nozzle, as a pair. */
export async function fitNewSet(bench: Workbench, name: string): Promise<void> {
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
			body: { benchId, name, at: nowIso(), revision: bench.revisions.parts },
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
