<script lang="ts">
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import { getPath } from '$lib/state/path';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { partOf, type Field, type PartId } from './parts';

	/** One part of the bench, edited in place. A refused value stays in its field and changes nothing. */
	let { part: id, tells = true }: { part: PartId; tells?: boolean } = $props();
	const bench = getWorkbench();
	const part = $derived(partOf(id));
	const fields = $derived(part.fields(bench.bench));
	/** Its key figure stands on the rail already. */
	const told = $derived(part.tells.filter((id) => id !== part.figure).map((id) => ({ id })));
	const MANY = 3;

	let refused = $state<string | undefined>();
	const set = (field: Field) => (value: unknown) => {
		refused = bench.edit(field.path, value);
	};
	const wide = (field: Field) =>
		field.kind === 'text' ||
		field.kind === 'fitted' ||
		(field.kind === 'choice' && field.options.length > 2);
</script>

<section aria-label={part.name(bench.bench)} data-testid="part-editor">
	<h2 class="flex flex-wrap items-baseline gap-x-2">
		<span class="h text-[18px]">{part.name(bench.bench)}</span>
		<span class="sub">{part.about}</span>
	</h2>
	<div class="mt-2 grid grid-cols-2 gap-x-3 gap-y-2">
		{#each fields as field (id + field.path)}
			<div class:col-span-2={wide(field)}>
				{#if field.kind === 'quantity'}
					<QuantityField
						label={field.label}
						quantity={field.quantity}
						optional={field.optional}
						hint={field.hint}
						value={getPath(bench.bench, field.path) as number | null}
						commit={(value) => bench.edit(field.path, value)}
					/>
				{:else if field.kind === 'text'}
					<TextField
						label={field.label}
						value={getPath(bench.bench, field.path) as string}
						commit={(value) => bench.edit(field.path, value)}
					/>
				{:else if field.kind === 'fitted'}
					<Choice
						label={field.label}
						options={[
							{ value: 'yes', label: 'fitted' },
							{ value: 'no', label: 'none' }
						]}
						value={getPath(bench.bench, field.path) === null ? 'no' : 'yes'}
						choose={(value) => set(field)(value === 'yes' ? field.fitted : null)}
					/>
				{:else if field.options.length > MANY}
					<Select
						label={field.label}
						options={field.options as { value: string | number; label: string }[]}
						value={getPath(bench.bench, field.path) as string | number}
						choose={set(field)}
					/>
				{:else}
					<Choice
						label={field.label}
						showLabel
						options={field.options.map((o) => ({ ...o, value: String(o.value) }))}
						value={String(getPath(bench.bench, field.path))}
						choose={(value) =>
							set(field)(field.options.find((o) => String(o.value) === value)!.value)}
					/>
				{/if}
			</div>
		{/each}
	</div>
	{#if refused}
		<p class="mt-1 font-semibold" style:color="var(--stops)" role="alert">{refused}</p>
	{/if}
	{#if tells}
		<div class="mt-3 border-t-[1.5px]" style:border-color="var(--ink)">
			<FigureList rows={told} />
		</div>
	{/if}
</section>
