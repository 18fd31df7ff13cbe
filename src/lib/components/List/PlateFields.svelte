<script lang="ts">
	import { METAL_IDS, METALS } from '$lib/core';
	import type { DayList } from '$lib/core/list/inputs';
	import { NAME_MOST } from '$lib/core/quantity/within';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Stepper from '$lib/components/Fields/Stepper.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';

	/** One plate or offcut: what it is called, how many there are, its size and what it is for. */
	type Plate = DayList['plates'][number];
	interface Props {
		plate: Plate;
		/** Its place in the list. */
		k: number;
		set: (change: Partial<Plate>) => void;
		/** Left out: it is the last one. */
		takeOut?: () => void;
	}
	let { plate, k, set, takeOut }: Props = $props();
</script>

<fieldset class="mt-2 border-t border-[var(--rule)] pt-2">
	<legend class="sr-only">{plate.name}</legend>
	<div class="grid grid-cols-2 gap-2">
		<TextField
			label="Called"
			value={plate.name}
			most={NAME_MOST}
			named
			commit={(name) => void set({ name })}
		/>
		{#if plate.count === null}
			<p class="self-end">
				<button type="button" class="btn" onclick={() => set({ count: 1 })}
					>As many as wanted</button
				>
			</p>
		{:else}
			<Stepper
				label="There are"
				value={plate.count}
				least={1}
				most={200}
				set={(count) => set({ count })}
			/>
		{/if}
		<QuantityField
			label="Width"
			quantity="length"
			side
			value={plate.widthMm}
			range={[50, 20_000]}
			commit={(widthMm) => set({ widthMm: widthMm! })}
		/>
		<QuantityField
			label="Height"
			quantity="length"
			side
			value={plate.heightMm}
			range={[50, 20_000]}
			commit={(heightMm) => set({ heightMm: heightMm! })}
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
			commit={(thicknessMm) => set({ thicknessMm })}
		/>
		<div>
			<label class="sub mb-0.5 block" for="plate-metal-{k}">Metal</label>
			<select
				id="plate-metal-{k}"
				class="select w-full"
				onchange={(e) =>
					set({
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
	{#if takeOut}
		<button type="button" class="btn mt-2" onclick={takeOut}>Take {plate.name} out</button>
	{/if}
</fieldset>
