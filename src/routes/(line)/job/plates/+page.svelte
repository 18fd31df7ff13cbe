<script lang="ts">
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import LaidGroup from '$lib/components/List/LaidGroup.svelte';
	import PlateFields from '$lib/components/List/PlateFields.svelte';
	import { singleKeys } from '$lib/dom/singleKeys';
	import { getDayList } from '$lib/state/dayListContext';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { DayList } from '$lib/core/list/inputs';

	/** Which rectangle comes out of which plate, and where is it marked? */
	const bench = getWorkbench();
	const view = getDayList();
	$effect(() => {
		view.laysPlates = true;
		return () => (view.laysPlates = false);
	});
	const list = $derived(view.list);
	const groups = $derived(view.study?.plates ?? undefined);
	const to = $derived(`${bench.search}&list=${view.id}`);
	const without = $derived(
		list?.items.filter(
			({ what, widthMm, heightMm }) => what === 'cut' && (widthMm === null || heightMm === null)
		) ?? []
	);
	const setPlate = (k: number, change: Partial<DayList['plates'][number]>) =>
		view.edit((l) => ({
			...l,
			plates: l.plates.map((p, n) => (n === k ? { ...p, ...change } : p))
		}));
	$effect(() => singleKeys({ p: () => (print(), true) }));
</script>

<svelte:head><title>Plates · Steady Arc</title></svelte:head>

{#if !list || list.items.length === 0}
	<p class="p-6">There is nothing on this list. <a class="link" href="/job?{to}">To the list</a></p>
{:else}
	<div class="plates" data-testid="plates">
		<section class="no-print" aria-labelledby="have">
			<h1 id="have" class="text-[1.375rem] font-bold">Plates and offcuts</h1>
			<p class="sub">
				Used up in this order: what lies about first. Laid as a hand cuts, along a guide from edge
				to edge; the kerf lies between neighbours, once.
			</p>
			{#each list.plates as plate, k (k)}
				<PlateFields
					{plate}
					{k}
					set={(change) => setPlate(k, change)}
					takeOut={list.plates.length > 1
						? () => view.edit((l) => ({ ...l, plates: l.plates.filter((_, n) => n !== k) }))
						: undefined}
				/>
			{/each}
			<p class="mt-3 flex flex-wrap gap-2">
				<button
					type="button"
					class="btn"
					disabled={list.plates.length >= 20}
					onclick={() =>
						view.edit((l) => ({
							...l,
							plates: [
								{
									name: 'Offcut',
									widthMm: 600,
									heightMm: 400,
									metal: bench.cut.metal,
									thicknessMm: bench.cut.thicknessMm,
									count: 1
								},
								...l.plates
							]
						}))}>Add an offcut</button
				>
			</p>
			<div class="mt-3 max-w-60">
				<QuantityField
					label="Mill edge trimmed all round"
					quantity="length"
					value={list.trimMm}
					range={[0, 100]}
					commit={(trimMm) => view.edit((l) => ({ ...l, trimMm: trimMm ?? 0 }))}
				/>
			</div>
			{#if without.length}
				<p class="mt-3">
					<b>Without a size:</b>
					{without.map(({ name }) => name).join(', ')}. Give width and height on the
					<a class="link" href="/job?{to}">list</a>.
				</p>
			{/if}
			<p class="mt-3 flex flex-wrap gap-2">
				<button type="button" class="btn" onclick={() => print()}
					>Print for marking out <kbd class="kbd kbd-sm">P</kbd></button
				>
				<a class="btn" href="/job?{to}">To the list</a>
			</p>
		</section>
		<div class="min-w-0">
			{#if !groups}
				<p class="py-4">Laying the plates …</p>
			{:else if groups.length === 0}
				<p class="py-4">No item has a width and a height yet.</p>
			{:else}
				{#each groups as group (`${group.metal} ${group.thicknessMm}`)}
					<LaidGroup {view} {group} trimMm={list.trimMm} />
				{/each}
			{/if}
		</div>
	</div>
{/if}

<style>
	.plates {
		display: grid;
		grid-template-columns: 360px minmax(0, 1fr);
		gap: 24px;
		padding: 12px 24px 24px;
	}
	@media (max-width: 899px) {
		.plates {
			grid-template-columns: minmax(0, 1fr);
			padding: 8px 12px 20px;
		}
	}
	@media print {
		.plates {
			display: block;
			padding: 0;
		}
	}
</style>
