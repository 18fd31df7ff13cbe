<script lang="ts">
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Where the water goes, and the two schools on how much air is enough. */
	const bench = getWorkbench();
	const { plan, bench: b } = $derived(bench);
	const water = [
		{ id: 'water.inhaledGH' },
		{ id: 'water.tankGH' },
		{ id: 'water.trapGH' },
		{ id: 'water.onwardGH' },
		{ id: 'water.dewC' },
		{ id: 'water.drainH', none: 'never' },
		{ id: 'water.gelH', none: 'no gel' }
	] as const;
	const cfm = [
		{ id: 'air.flowLpm' },
		{ id: 'air.deliveryLpm' },
		{ id: 'air.useLpm' },
		{ id: 'air.longestCutS', none: 'no end' },
		{ id: 'air.runShare' },
		{ id: 'air.startsPerH' }
	] as const;
	const keepsUp = $derived(
		plan.figures['air.longestCutS'].value === null && b.air.source === 'compressor'
	);
	const enough = $derived(plan.figures['air.shortAtS'].value === null);
</script>

{#if b.air.source === 'compressor'}
	<section aria-label="How much air is enough">
		<h2 class="h">How much air is enough?</h2>
		<p class="mt-1 text-[0.9375rem]">
			<b>One school:</b> the compressor must deliver more than the cutter takes, or it disappoints.
			It
			{keepsUp ? 'does here' : 'does not here'}.
			<b>The other:</b> a small one will do, the tank carries the cuts.
			{enough ? 'It does for this work' : 'It does not for this work'}. Both are right: the tank
			decides (common practice, both).
		</p>
		<FigureList rows={cfm} />
	</section>
	<section aria-label="Water">
		<h2 class="flex items-baseline gap-3">
			<span class="h">Water</span>
			<span class="sub">
				{bench.say(bench.work.shopC, 'temperature')}, {bench.say(bench.work.humidity, 'share')} humid
			</span>
		</h2>
		<FigureList rows={water} />
	</section>
{/if}
