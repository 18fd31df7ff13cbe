<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import Trash from '@lucide/svelte/icons/trash-2';
	import { getPath } from '$lib/core/inputs/path';
	import { edit } from '$lib/state/edit';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import FieldEditor from './FieldEditor.svelte';
	import type { Field } from './parts';

	/** Several of a kind; each can be opened, changed and taken away. */
	let {
		field,
		refuse
	}: {
		field: Extract<Field, { kind: 'list' }>;
		refuse: (reason: string | undefined) => void;
	} = $props();
	const bench = getWorkbench();
	const list = $derived(getPath(bench.bench, field.path) as unknown[]);
	const put = async (to: unknown[]) => refuse(await edit(bench, field.path, to));
	const short = (fields: readonly Field[]) =>
		fields.length <= 3 && fields.every((f) => f.kind !== 'list');
</script>

<fieldset class="list">
	<legend class="sub">{field.label}</legend>
	{#each field.items as item (item.index)}
		<details open={short(item.fields)} class="collapse-plus collapse">
			<summary class="collapse-title flex items-center gap-2">
				<b class="grow">{item.name}</b>
				{#if field.items.length > field.least}
					<button
						type="button"
						class="btn btn-ghost"
						aria-label="Take away: {item.name}"
						onclick={() => put(list.filter((_, i) => i !== item.index))}
						><Trash size={18} aria-hidden="true" /></button
					>
				{/if}
			</summary>
			<div class="collapse-content grid grid-cols-2 gap-x-3 gap-y-2">
				{#each item.fields as inner (inner.path)}
					<div class:col-span-2={inner.kind === 'text' || inner.kind === 'list'}>
						<FieldEditor field={inner} {refuse} />
					</div>
				{/each}
			</div>
		</details>
	{/each}
	{#if list.length < field.most}
		<button type="button" class="btn w-full" onclick={() => put([...list, field.fresh])}>
			<Plus size={18} aria-hidden="true" />
			{field.add}
		</button>
	{/if}
</fieldset>

<style>
	.list {
		border-top: 1.5px solid var(--rule);
		padding-top: 4px;
	}
</style>
