<script lang="ts">
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { offsetAfterFirstMm } from '$lib/core/cut/guide';
	import type { ListItem } from '$lib/core/list/inputs';
	import type { ItemPlan } from '$lib/core/studies/list/items';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The first piece was measured: the guide is set by it for the rest. */
	let { view, item, plan }: { view: DayListView; item: ListItem; plan: ItemPlan } = $props();
	const bench = getWorkbench();
	/** More is no matter of kerf: somebody set the guide wrong. */
	const OUT_MOST_MM = 5;
	let tooBigMm = $state<number | null>(null);
	let edges = $state<'1' | '2'>('1');
	const guide = $derived(
		plan.guide === 'kept' || plan.guide === 'waste' || plan.guide === 'circle'
			? plan.guide
			: undefined
	);
	const toMm = $derived(
		guide && plan.offsetMm !== null && tooBigMm
			? offsetAfterFirstMm(guide, {
					offsetMm: plan.offsetMm,
					tooBigMm,
					edges: edges === '2' ? 2 : 1
				})
			: undefined
	);
	function take() {
		if (toMm === undefined) return;
		view.setItem(item.id, { offsetMm: Math.round(toMm * 100) / 100 });
		tooBigMm = null;
	}
</script>

{#if guide && plan.offsetMm !== null}
	<details class="mt-2">
		<summary class="min-h-11 cursor-pointer py-2 font-bold"
			>The size was out: set the guide by it</summary
		>
		<div class="grid gap-3 sm:grid-cols-2">
			<QuantityField
				label="Too big by; too small with a minus"
				quantity="small"
				value={tooBigMm}
				range={[-OUT_MOST_MM, OUT_MOST_MM]}
				optional
				commit={(mm) => void (tooBigMm = mm)}
			/>
			{#if guide !== 'circle'}
				<Choice
					label="In that size were cut"
					showLabel
					options={[
						{ value: '1', label: 'one edge' },
						{ value: '2', label: 'both edges' }
					]}
					value={edges}
					choose={(n) => (edges = n)}
				/>
			{/if}
		</div>
		{#if toMm !== undefined}
			<button type="button" class="btn mt-2" onclick={take}
				>{guide === 'circle' ? 'Radius' : 'Guide'}
				{bench.say(plan.offsetMm, 'small')} → {bench.say(toMm, 'small')} for the rest</button
			>
		{/if}
	</details>
{/if}
