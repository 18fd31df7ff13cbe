<script lang="ts">
	import Balloon from '$lib/components/Balloon/Balloon.svelte';
	import { NAMES, type FigureId } from '$lib/core';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** One page: what stands behind each station, with a way into the working of its first figures. */
	const bench = getWorkbench();
	const ROOMS: { name: string; text: string; figures: FigureId[] }[] = [
		{
			name: 'Supply',
			text: 'Amps at the knob become watts, watts become amps on the wire, and the wire takes volts from them. Tank, breaker and heat are followed from event to event through the work.',
			figures: ['supply.voltageV', 'supply.breakerPeak', 'air.inletLowBar', 'cutter.peakC']
		},
		{
			name: 'Setup',
			text: 'Your test cuts speak first, then the chart, then one law for all nozzles pulled by the label’s ratings. Each says who spoke.',
			figures: ['setup.speedMmS', 'setup.cleanMm', 'setup.nozzleA', 'setup.shade']
		},
		{
			name: 'Cut',
			text: 'Where the guide lies follows from the shield’s radius and half the kerf.',
			figures: ['cut.offsetMm', 'cut.straightPierceMm']
		},
		{
			name: 'Gouge',
			text: 'What the arc throws out a second, shared over the section, string after string, as fast as a hand goes.',
			figures: ['gouge.removalKgH', 'gouge.strings']
		},
		{
			name: 'Wear',
			text: 'Starts, arc and pierces each take their share of a pit, learnt from your own measurements.',
			figures: ['wear.cutsLeft', 'wear.costPerM']
		},
		{
			name: 'Checks',
			text: 'The lists come from the figures above. The finder starts with how common each cause is and how often it shows what you saw, and each answer moves the shares by Bayes’ rule; it asks what tells most for its trouble.',
			figures: ['checks.open']
		}
	];
</script>

<section aria-label="How this is worked out">
	<dl class="grid gap-x-6 gap-y-2 desk:grid-cols-2">
		{#each ROOMS as { name, text, figures } (name)}
			<div>
				<dt class="h">{name}</dt>
				<dd>
					{text}
					<span class="block"
						>{#each figures as id (id)}<span class="mr-4 inline-flex items-center gap-1"
								>{NAMES[id].label}: <b>{bench.sayFigure(id)}</b> <Balloon {id} /></span
							>{/each}</span
					>
				</dd>
			</div>
		{/each}
	</dl>
	<p class="sub mt-2">
		The letter tells how far to trust it; press it and its formula, its source and every number that
		goes in are shown.<span class="by-keys"> Words and keys: <kbd class="kbd kbd-sm">?</kbd>.</span>
	</p>
</section>
