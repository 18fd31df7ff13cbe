import type { Workbench } from './workbench.svelte';

/** Edits one value of the bench; gives the reason when it is refused. The schema loads with the first edit. */
export async function edit(
	bench: Workbench,
	path: string,
	value: unknown
): Promise<string | undefined> {
	const { editBench } = await import('./editBench');
	return editBench(bench, path, value);
}
