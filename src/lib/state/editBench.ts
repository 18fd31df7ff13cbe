/** Edits of the bench, checked by its schema; loads with the editors. */
import * as v from 'valibot';
import { BenchSchema, type Bench } from '$lib/core';
import { fieldProblems, sentence } from '$lib/formats/problem';
import { loadsFollow } from './circuits';
import { setPath } from './path';
import type { Workbench } from './workbench.svelte';

type Checked = { ok: true; bench: Bench } | { ok: false; issues: readonly v.BaseIssue<unknown>[] };

export function checkedBench(bench: unknown): Checked {
	const parsed = v.safeParse(BenchSchema, bench);
	return parsed.success ? { ok: true, bench: parsed.output } : { ok: false, issues: parsed.issues };
}

/** Edits one value of the bench; gives the reason when it is refused, and then changes nothing. */
export function editBench(bench: Workbench, path: string, value: unknown): string | undefined {
	const checked = checkedBench(loadsFollow(bench.bench, setPath(bench.bench, path, value)));
	if (!checked.ok) {
		const problems = fieldProblems(checked.issues);
		const own = problems.find((p) => p.field === path);
		return own ? `${own.message} is accepted, got ${own.received}` : sentence(problems[0]!);
	}
	bench.draftBench(checked.bench);
	return undefined;
}
