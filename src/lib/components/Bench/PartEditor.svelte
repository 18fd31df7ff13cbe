<script lang="ts">
	import { NAMES } from '$lib/core';
	import Fold from '$lib/components/Fields/Fold.svelte';
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import FieldEditor from './FieldEditor.svelte';
	import { partOf, type Field, type PartId } from './parts';

	/** One part of the bench, edited in place. */
	let { part: id, tells = true }: { part: PartId; tells?: boolean } = $props();
	const bench = getWorkbench();
	const part = $derived(partOf(id));
	const fields = $derived(part.fields(bench.bench));
	/** Its key figure stands on the rail already; what there is none of is not told. */
	const told = $derived(
		part.tells
			.filter((figure) => figure !== part.figure(bench.bench))
			.filter(
				(figure) =>
					!/^(water|air|gouge|setup|supply\.(gen|cord))/.test(figure) ||
					bench.plan.figures[figure].value !== null
			)
			.map((figure) => ({
				id: figure,
				none: NAMES[figure].quantity === 'time' ? 'never' : 'none'
			}))
	);
	const rare = $derived(fields.filter((field) => field.rare));
	let refused = $state<string | undefined>();
	const wide = (field: Field) =>
		['text', 'fitted', 'list'].includes(field.kind) ||
		(field.kind === 'choice' && field.options.map((o) => o.label).join('').length > 12);
</script>

{#snippet one(field: Field)}
	<div class:col-span-2={wide(field)}>
		<FieldEditor {field} refuse={(reason) => (refused = reason)} />
	</div>
{/snippet}

<section aria-label={part.name(bench.bench)} data-testid="part-editor">
	<h2 class="flex flex-wrap items-baseline gap-x-2">
		<span class="h text-[1.125rem]">{part.name(bench.bench)}</span>
		<span class="sub">{part.about}</span>
	</h2>
	<div class="mt-2 grid grid-cols-2 gap-x-3 gap-y-2">
		{#each fields.filter((field) => !field.rare) as field (id + field.path)}{@render one(
				field
			)}{/each}
	</div>
	{#if rare.length}
		<div class="mt-2">
			<Fold summary="Seldom on a label">
				<div class="grid grid-cols-2 gap-x-3 gap-y-2">
					{#each rare as field (id + field.path)}{@render one(field)}{/each}
				</div>
			</Fold>
		</div>
	{/if}
	{#if refused}
		<p class="mt-1 font-semibold" style:color="var(--stops)" role="alert">{refused}</p>
	{/if}
	{#if tells}
		<div class="mt-3 border-t-[1.5px]" style:border-color="var(--ink)">
			<FigureList rows={told} />
		</div>
	{/if}
</section>
