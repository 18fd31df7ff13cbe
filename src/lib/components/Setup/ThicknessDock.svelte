<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';
	import { thicknessStepMm } from '$lib/core';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** On a phone the main control is docked under the thumb. */
	const bench = getWorkbench();
	const stepMm = $derived(thicknessStepMm(bench.units));
	function step(direction: 1 | -1) {
		const mm = (Math.round(bench.cut.thicknessMm / stepMm) + direction) * stepMm;
		bench.stepCut({ thicknessMm: Math.min(100, Math.max(stepMm, mm)) });
	}
</script>

<div class="thumb no-print" role="group" aria-label="Thickness">
	<button type="button" class="end" aria-label="Thinner" onclick={() => step(-1)}
		><Minus size={30} /></button
	>
	<span class="fig value">{bench.say(bench.cut.thicknessMm, 'thickness')}</span>
	<button type="button" class="end" aria-label="Thicker" onclick={() => step(1)}
		><Plus size={30} /></button
	>
</div>

<style>
	.thumb {
		display: none;
	}
	@media (max-width: 899px) {
		.thumb {
			position: fixed;
			inset: auto 0 0 0;
			z-index: 15;
			display: flex;
			height: 72px;
			padding: 6px 12px;
			background: var(--paper);
			border-top: 2.5px solid var(--ink);
		}
		.end {
			display: grid;
			place-items: center;
			width: 84px;
			border: 1.5px solid var(--ink);
			background: var(--sheet);
		}
		.value {
			flex: 1;
			display: grid;
			place-items: center;
			background: var(--arc);
			color: var(--color-primary-content);
			font-size: min(2.25rem, 11vw);
		}
	}
</style>
