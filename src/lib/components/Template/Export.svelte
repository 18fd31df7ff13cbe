<script lang="ts">
	import Choice from '$lib/components/Fields/Choice.svelte';
	import { saveFile } from '$lib/dom/saveFile';
	import type { TemplateDraft } from '$lib/state/templateDraft.svelte';
	import { problemOf } from '$lib/state/problemOf';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Template, finished edge and torch path as a file in true millimetres. */
	let {
		draft,
		torch
	}: { draft: TemplateDraft; torch: { shieldRadiusMm: number; kerfMm: number } } = $props();
	const bench = getWorkbench();
	let paper = $state<'A4' | 'letter'>('A4');

	async function save(as: 'svg' | 'dxf' | 'pdf') {
		const { contours, keep, outside, holes, name } = draft;
		const problem = (text: string) => (bench.notice = { kind: 'problem', text });
		try {
			const response = await fetch('/api/template', {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({ contours, keep, outside, holes, name, as, paper, ...torch })
			});
			// A network that asks for a name first answers a page of its own, and 200: no file comes with that.
			if (response.headers.has('content-disposition'))
				saveFile(`${name}-template.${as}`, await response.blob());
			else if (response.ok)
				problem(
					'What came is no template: something between here and the server answered. Nothing was saved.'
				);
			else problem((await problemOf(response)).message);
		} catch {
			problem('The server does not answer; nothing was saved. Try again.');
		}
	}
</script>

<div class="mt-3 flex flex-wrap items-end gap-2" role="group" aria-label="Save the template">
	<button type="button" class="btn btn-primary btn-xl" onclick={() => void save('pdf')}
		>Print true size, PDF</button
	>
	<Choice
		label="Paper"
		options={[
			{ value: 'A4', label: 'A4', help: '210 × 297 mm, the usual sheet outside North America.' },
			{ value: 'letter', label: 'Letter', help: '8 1/2 × 11 in, the usual sheet in North America.' }
		]}
		value={paper}
		choose={(p) => (paper = p)}
	/>
	<button type="button" class="btn" onclick={() => void save('dxf')}>DXF</button>
	<button type="button" class="btn" onclick={() => void save('svg')}>SVG</button>
</div>
