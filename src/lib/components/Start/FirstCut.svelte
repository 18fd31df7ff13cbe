<script lang="ts">
	import { tick } from 'svelte';
	import { AIMS, METAL_IDS, METALS } from '$lib/core';
	import { LINE_CUT_RANGES } from '$lib/core/cut/lineCut';
	import { AIM_WORDS } from '$lib/components/Card/words';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import type { StartPath } from '$lib/state/startPath.svelte';

	/** The last question: what is cut first. The card follows while it is answered. */
	let { path, finish }: { path: StartPath; finish: () => void } = $props();
	const metals = METAL_IDS.map((value) => ({ value, label: METALS[value].label }));
	const aims = AIMS.map((value) => ({ value, label: AIM_WORDS[value] }));
</script>

<form
	aria-labelledby="question"
	onsubmit={(e) => {
		e.preventDefault();
		const form = e.currentTarget;
		void tick().then(() => {
			if (!form.querySelector('[aria-invalid="true"]')) finish();
		});
	}}
>
	<h1 id="question" class="fig text-[2.75rem] leading-none whitespace-normal" tabindex="-1">
		What will you cut first?
	</h1>
	<p class="mt-2">The card is made for this cut. Every other one is a few presses away, later.</p>
	<div class="mt-3 grid grid-cols-2 gap-3">
		<QuantityField
			label="Thickness"
			quantity="thickness"
			value={path.cut.thicknessMm}
			range={LINE_CUT_RANGES.thicknessMm}
			commit={(thicknessMm) => path.answerCut({ thicknessMm: thicknessMm! })}
		/>
		<Select
			label="Metal"
			options={metals}
			value={path.cut.metal}
			choose={(metal) => path.answerCut({ metal })}
		/>
		<div class="col-span-2">
			<Select
				label="What matters"
				options={aims}
				value={path.cut.aim}
				choose={(aim) => path.answerCut({ aim })}
			/>
		</div>
	</div>
	{#if path.problem}
		<p class="mt-3 font-semibold" style:color="var(--stops)" role="alert">{path.problem}</p>
	{/if}
	<button
		class="btn mt-3 w-full justify-between btn-primary btn-xl"
		type="submit"
		disabled={path.busy}>Show the card <kbd class="kbd kbd-sm">Enter</kbd></button
	>
</form>
