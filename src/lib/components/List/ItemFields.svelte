<script lang="ts">
	import { PIECES_MOST, WORKPIECE_MOST, type ListItem } from '$lib/core/list/inputs';
	import { NAME_MOST } from '$lib/core/quantity/within';
	import Check from '$lib/components/Fields/Check.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Stepper from '$lib/components/Fields/Stepper.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What is asked of one item; its cut is changed at its stations. */
	let { view, item }: { view: DayListView; item: ListItem } = $props();
	const bench = getWorkbench();
	const others = $derived((view.list?.items ?? []).filter(({ id }) => id !== item.id).slice(0, 30));
	const set = (change: Partial<ListItem>) => view.setItem(item.id, change);
	/** A square metre typed as such, kept as mm². */
	let area = $state<string | undefined>();
	function takeArea(text: string): string | undefined {
		area = text;
		const cm2 = Number(text.replace(',', '.'));
		if (text.trim() !== '' && !(cm2 > 0)) return 'A number of cm², or nothing.';
		set({ areaMm2: text.trim() === '' ? null : cm2 * 100 });
		area = undefined;
	}
</script>

<div class="fields">
	<div class="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
		<TextField
			label="Called"
			value={item.name}
			most={NAME_MOST}
			named
			commit={(name) => void set({ name })}
		/>
		<Stepper
			label="Pieces"
			value={item.pieces}
			least={1}
			most={PIECES_MOST}
			set={(pieces) => set({ pieces })}
		/>
		{#if item.what === 'cut' && item.paths.length === 0}
			<Stepper
				label="Such cuts each"
				value={item.linesEach}
				least={1}
				most={100}
				set={(linesEach) => set({ linesEach })}
			/>
		{/if}
		<QuantityField
			label="Handling before each cut"
			quantity="time"
			value={item.handlingS}
			range={[0, 3600]}
			optional
			placeholder="as usual: {bench.say(bench.settings.handlingS, 'time')}"
			commit={(handlingS) => set({ handlingS })}
		/>
		{#if view.planOf(item.id)?.guide && view.planOf(item.id)?.guide !== 'freehand'}
			<QuantityField
				label="Guide, as the first piece showed"
				quantity="small"
				value={item.offsetMm}
				range={[0, 1000]}
				optional
				placeholder="as planned"
				commit={(offsetMm) => set({ offsetMm })}
			/>
		{/if}
		<TextField
			label="On this workpiece"
			value={item.on}
			most={WORKPIECE_MOST}
			commit={(on) => void set({ on })}
		/>
		{#if item.on !== ''}
			<QuantityField
				label="Must cool afterwards"
				quantity="time"
				value={item.coolS}
				range={[0, 7200]}
				commit={(coolS) => set({ coolS: coolS ?? 0 })}
			/>
		{/if}
		{#if item.what === 'cut'}
			<QuantityField
				label="Finished width"
				quantity="length"
				side
				value={item.widthMm}
				range={[5, 20_000]}
				optional
				placeholder="to lay on a plate"
				commit={(widthMm) => set({ widthMm })}
			/>
			<QuantityField
				label="Finished height"
				quantity="length"
				side
				value={item.heightMm}
				range={[5, 20_000]}
				optional
				placeholder="to lay on a plate"
				commit={(heightMm) => set({ heightMm })}
			/>
		{/if}
		<TextField
			label="Net plate of one, cm²"
			value={area ?? (item.areaMm2 === null ? '' : String(item.areaMm2 / 100))}
			commit={takeArea}
		/>
	</div>
	{#if item.widthMm !== null && item.heightMm !== null}
		<Check on={item.turns} set={(turns) => set({ turns })}>May be laid the other way round</Check>
	{/if}
	{#if others.length}
		<fieldset class="mt-3">
			<legend class="sub">Only after</legend>
			<div class="flex flex-wrap gap-x-4">
				{#each others as other (other.id)}
					<Check
						on={item.after.includes(other.id)}
						set={(on) =>
							set({
								after: on ? [...item.after, other.id] : item.after.filter((id) => id !== other.id)
							})}>{other.name}</Check
					>
				{/each}
			</div>
		</fieldset>
	{/if}
	<p class="mt-3 flex flex-wrap gap-2">
		<a class="btn" href="/{item.what === 'groove' ? 'gouge' : 'setup'}?{item.search}"
			>Open its {item.what === 'groove' ? 'groove' : 'cut'}</a
		>
		<button type="button" class="btn" onclick={() => set({ search: bench.search, offsetMm: null })}
			>Take the planned one instead</button
		>
		<button type="button" class="btn" onclick={() => view.duplicate(item.id)}>Twice</button>
		<button type="button" class="btn" onclick={() => view.remove(item.id)}>Off the list</button>
	</p>
</div>

<style>
	.fields {
		padding: 4px 8px 12px 44px;
	}
	@media (max-width: 899px) {
		.fields {
			padding: 4px 0 12px;
		}
	}
</style>
