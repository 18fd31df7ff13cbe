import type { Workbench } from './workbench.svelte';

/** Edits one value of the bench; gives the reason when it is refused. The schema loads with the first edit. */
export async function edit(
	bench: Workbench,
	path: string,
	value: unknown
): Promise<string | undefined> {
	try {
		const { editBench } = await import('./editBench');
		return editBench(bench, path, value);
	} catch {
		return 'not taken: this page has not come whole yet, and the server does not answer';
	}
}
