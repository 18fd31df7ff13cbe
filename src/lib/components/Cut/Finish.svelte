<script lang="ts">
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The last centimetres, and what comes after them (common practice). */
	const bench = getWorkbench();
	const round = $derived(bench.cut.guide === 'circle');
	const thick = $derived((bench.plan.figures['setup.arcMm'].value ?? 0) >= 18);
</script>

<section aria-label="Finish">
	<h2 class="h text-[1.125rem]">Finish</h2>
	<ol class="mt-1 list-decimal space-y-1 pl-5 text-[1rem]">
		<li>
			{#if round}<b>Come round into the slot where you began</b> and cross it at full pace: a circle that
				stops short of it hangs.{:else if thick}<b>Lean the torch back near the end</b>, so that the
				bottom exits first, then hold still until it parts.{:else}Run off the end at full pace; hold
				a moment so that the bottom parts too.{/if}
		</li>
		<li>The piece drops: feet, hose and lead out from under it. Hold the piece that stays.</li>
		<li>
			Let the air run on for {bench.say(bench.bench.torch.postFlowS, 'time')}: it cools torch and
			parts. Do not switch off, do not lay the tip on the plate.
		</li>
		<li>It hangs by a whisker? Tap it with a hammer. Firing again costs a start.</li>
		<li>
			Knock the dross off while it is warm: thick and soft came from too slow, fine and hard from
			too fast.
		</li>
		<li>Edge, drop and tip stay hot for minutes: tongs, not gloves. Chalk “hot” on it.</li>
		<li>
			Fire watch for half an hour (OSHA) to an hour (NFPA 51B, both from memory): sparks smoulder.
			Local rules go first.
		</li>
	</ol>
</section>
