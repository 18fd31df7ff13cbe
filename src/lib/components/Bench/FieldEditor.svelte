<script lang="ts">
	import { isTypical } from '$lib/core/inputs/typical';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import { getPath } from '$lib/core/inputs/path';
	import { edit } from '$lib/state/edit';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { Field } from './parts';
	import ListEditor from './ListEditor.svelte';

	/** One field of the bench. A refused value stays where it was typed and changes nothing. */
	let { field, refuse }: { field: Field; refuse: (reason: string | undefined) => void } = $props();
	const bench = getWorkbench();
	const FEW = 3;
	const value = $derived(getPath(bench.bench, field.path));
	const set = async (to: unknown) => refuse(await edit(bench, field.path, to));
	const typical = $derived(field.kind !== 'list' && isTypical(bench.bench.typical, field.path));
	async function confirm() {
		const { confirmField } = await import('$lib/state/editBench');
		confirmField(bench, field.path);
	}
	const words = $derived(
		field.kind === 'choice' ? field.options.map((o) => o.label).join('').length : 0
	);
</script>

{#if field.kind === 'quantity'}
	<QuantityField
		label={field.label}
		quantity={field.quantity}
		optional={field.optional}
		hint={field.hint}
		value={value as number | null}
		commit={(to) => edit(bench, field.path, to)}
	/>
{:else if field.kind === 'text'}
	<TextField
		label={field.label}
		value={value as string}
		commit={(to) => edit(bench, field.path, to)}
	/>
{:else if field.kind === 'fitted'}
	<Choice
		label={field.label}
		showLabel
		options={[
			{ value: 'yes', label: 'fitted', help: 'It is there; its figures stand below.' },
			{ value: 'no', label: 'none', help: 'There is none.' }
		]}
		value={value === null ? 'no' : 'yes'}
		choose={(to) => set(to === 'yes' ? field.fitted : null)}
	/>
{:else if field.kind === 'list'}
	<ListEditor {field} {refuse} />
{:else if field.options.length > FEW || words > 22}
	<Select
		label={field.label}
		options={field.options as { value: string | number; label: string }[]}
		value={value as string | number}
		choose={set}
	/>
{:else}
	<Choice
		label={field.label}
		showLabel
		options={field.options.map((o) => ({ ...o, value: String(o.value) }))}
		value={String(value)}
		choose={(to) => set(field.options.find((o) => String(o.value) === to)!.value)}
	/>
{/if}
{#if typical}
	<div class="typical" data-testid="typical">
		<Mark verdict="tight" size={16} /><span>typical, not yet checked</span>
		<button
			type="button"
			class="btn btn-ghost"
			aria-label="It is so: {field.label}"
			onclick={() => void confirm()}>It is so</button
		>
	</div>
{/if}

<style>
	.typical {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0 8px;
		color: var(--tight-ink);
		font-size: 0.9375rem;
		font-weight: 600;
	}
</style>
