<script lang="ts">
	import type { Settings } from '$lib/core';
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import { STEPS, type StartId } from './steps';

	/** Three poses of a start, drawn still. */
	let { start, tilt }: { start: StartId; tilt: Settings['pierceTiltDeg'] } = $props();
	const plateY = 57;
</script>

<ol class="grid grid-cols-3 gap-1">
	{#each STEPS[start] as step, i (i)}
		<li>
			<svg viewBox="0 4 150 88" class="block w-full" aria-hidden="true">
				<Patterns prefix="step-{start}-{i}" />
				{#each step.plates as [x0, x1] (x0)}
					<rect
						x={x0}
						y={plateY}
						width={x1 - x0}
						height="16"
						fill="url(#step-{start}-{i}-steel)"
						stroke="var(--ink)"
						stroke-width="1.6"
					/>
				{/each}
				{#if step.through}
					<path d="M{step.x} {plateY - 3}V{plateY + 17}" stroke="var(--arc)" stroke-width="4" />
				{/if}
				{#each step.sparks as angle (angle)}
					<path
						transform="translate({step.x} {step.through
							? plateY + 17
							: plateY - 2}) rotate({angle})"
						d="M-2 2L-3 {step.through ? 17 : 34}M1 2L2 {step.through ? 14 : 42}"
						stroke="var(--spark)"
						stroke-width="1.8"
						stroke-linecap="round"
					/>
				{/each}
				<g transform="translate({step.x} {plateY - step.gap}) rotate({-tilt * step.tiltShare})">
					<path
						d="M-15 -46H15V-22L7 0H-7L-15 -22Z"
						fill="var(--steel2)"
						stroke="var(--ink)"
						stroke-width="1.8"
					/>
				</g>
				{#if step.go}
					<path
						d="M{step.x + 22} 36h22m-7 -6l8 6l-8 6"
						stroke="var(--arc)"
						stroke-width="3"
						fill="none"
					/>
				{/if}
			</svg>
			<span class="text-[0.875rem] leading-tight font-semibold"
				>{step.say.replace('{tilt}', `${tilt}°`)}</span
			>
		</li>
	{/each}
</ol>
