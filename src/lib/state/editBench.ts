/** Edits of the bench, checked by its schema; loads with the editors. */
import * as v from 'valibot';
import { BenchSchema, type Bench } from '$lib/core';
import { asTypical, checked, isTypical } from '$lib/core/inputs/typical';
import { fieldProblems, sentence } from '$lib/formats/problem';
import { loadsFollow } from './circuits';
import { setPath } from '$lib/core/inputs/path';
import type { Workbench } from './workbench.svelte';

type Checked = { ok: true; bench: Bench } | { ok: false; issues: readonly v.BaseIssue<unknown>[] };

export function checkedBench(bench: unknown): Checked {
	const parsed = v.safeParse(BenchSchema, bench);
	return parsed.success ? { ok: true, bench: parsed.output } : { ok: false, issues: parsed.issues };
}

/** What a person typed is checked; what they added to or took from a list of typical things is not. */
function afterEdit(bench: Bench, path: string, value: unknown): Bench {
	if (!Array.isArray(value)) return checked(bench, path);
	return isTypical(bench.typical, path) ? asTypical(bench, [path]) : bench;
}

/** Edits one value of the bench; gives the reason when it is refused, and then changes nothing. */
export function editBench(bench: Workbench, path: string, value: unknown): string | undefined {
	const edited = loadsFollow(bench.bench, setPath(bench.bench, path, value));
	const result = checkedBench(afterEdit(edited, path, value));
	if (!result.ok) {
		const problems = fieldProblems(result.issues);
		const own = problems.find((p) => p.field === path);
		return own ? `${own.message} is accepted, got ${own.received}` : sentence(problems[0]!);
	}
	bench.draft.change(result.bench);
	return undefined;
}

/** The person looked: a typical value is as it stands here. */
export function confirmField(bench: Workbench, path: string): void {
	bench.draft.change(checked(bench.bench, path));
}
