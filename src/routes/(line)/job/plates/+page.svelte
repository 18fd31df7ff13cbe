<script lang="ts">
	import { METAL_IDS, METALS } from '$lib/core';
	import PlateDrawing from '$lib/components/List/PlateDrawing.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Stepper from '$lib/components/Fields/Stepper.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
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
	const SHOWN = 12;
	let most = $state(SHOWN);
	const setPlate = (k: number, change: Partial<DayList['plates'][number]>) =>
		view.edit((l) => ({
			...l,
			plates: l.plates.map((p, n) => (n === k ? { ...p, ...change } : p))
		}));
	$effect(() => singleKeys({ p: () => (print(), true) }));
	const percent = (share: number) => `${Math.round(share * 100)} %`;
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
				<fieldset class="mt-2 border-t border-[var(--rule)] pt-2">
					<legend class="sr-only">{plate.name}</legend>
					<div class="grid grid-cols-2 gap-2">
						<TextField
							label="Called"
							value={plate.name}
							commit={(name) =>
								name.trim() === '' ? 'It needs a name.' : void setPlate(k, { name })}
						/>
						{#if plate.count === null}
							<p class="self-end">
								<button type="button" class="btn" onclick={() => setPlate(k, { count: 1 })}
									>As many as wanted</button
								>
							</p>
						{:else}
							<Stepper
								label="There are"
								value={plate.count}
								least={1}
								most={200}
								set={(count) => setPlate(k, { count })}
							/>
						{/if}
						<QuantityField
							label="Width"
							quantity="length"
							value={plate.widthMm}
							range={[50, 20_000]}
							commit={(widthMm) => setPlate(k, { widthMm: widthMm! })}
						/>
						<QuantityField
							label="Height"
							quantity="length"
							value={plate.heightMm}
							range={[50, 20_000]}
							commit={(heightMm) => setPlate(k, { heightMm: heightMm! })}
						/>
					</div>
					<div class="mt-2 grid grid-cols-2 gap-2">
						<QuantityField
							label="Thickness"
							quantity="thickness"
							value={plate.thicknessMm}
							range={[0.3, 100]}
							optional
							placeholder="every one"
							commit={(thicknessMm) => setPlate(k, { thicknessMm })}
						/>
						<div>
							<label class="sub mb-0.5 block" for="plate-metal-{k}">Metal</label>
							<select
								id="plate-metal-{k}"
								class="select w-full"
								onchange={(e) =>
									setPlate(k, {
										metal: METAL_IDS.find((id) => id === e.currentTarget.value) ?? null
									})}
							>
								<option value="" selected={plate.metal === null}>every one</option>
								{#each METAL_IDS as id (id)}
									<option value={id} selected={plate.metal === id}>{METALS[id].label}</option>
								{/each}
							</select>
						</div>
					</div>
					{#if list.plates.length > 1}
						<button
							type="button"
							class="btn mt-2"
							onclick={() =>
								view.edit((l) => ({ ...l, plates: l.plates.filter((_, n) => n !== k) }))}
							>Take {plate.name} out</button
						>
					{/if}
				</fieldset>
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
					<section class="group">
						<h2 class="big fig">
							{bench.say(group.thicknessMm, 'thickness')}
							{METALS[group.metal].label.toLowerCase()}: {group.layout.plates.length === 1
								? 'one plate'
								: `${group.layout.plates.length} plates`}
						</h2>
						<p>
							<b>{percent(group.layout.yieldShare)} become parts</b>; kerf {bench.say(
								group.kerfMm,
								'small'
							)}
							between neighbours. The best of many ways that were tried, not of all.
						</p>
						{#each group.layout.left as left (left.id)}
							<p class="font-semibold" role="alert" style:color="var(--stops)">
								{left.count} × {view.itemOf(left.id)?.name}
								{left.tooLarge ? 'are larger than every plate' : 'have no plate left'}.
							</p>
						{/each}
						<div class="sheets">
							{#each group.layout.plates.slice(0, most) as laid, k (k)}
								<PlateDrawing {view} {laid} nth={k + 1} trimMm={list.trimMm} />
							{/each}
						</div>
						{#if group.layout.plates.length > most}
							<button type="button" class="no-print btn mt-2" onclick={() => (most += 50)}
								>Show more: {group.layout.plates.length - most} plates</button
							>
						{/if}
					</section>
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
	.group {
		padding-bottom: 12px;
		margin-bottom: 12px;
		border-bottom: 2px solid var(--ink);
	}
	.big {
		font-size: 2.25rem;
		line-height: 1.1;
	}
	.sheets {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(100%, 380px), 1fr));
		gap: 16px;
		margin-top: 8px;
	}
	@media (max-width: 899px) {
		.plates {
			grid-template-columns: minmax(0, 1fr);
			padding: 8px 12px 20px;
		}
	}
	@media print {
		.plates,
		.sheets {
			display: block;
			padding: 0;
		}
	}
</style>
