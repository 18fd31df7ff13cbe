<script lang="ts">
	import Choice from '$lib/components/Fields/Choice.svelte';
	import { cutTitle } from '$lib/components/Card/words';
	import { lasts } from '$lib/components/List/words';
	import type { Entry } from '$lib/core/evidence/entries';
	import type { ArcLineView, Offer } from '$lib/state/arcLine.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What was seen and is in nobody's log yet: taken by one press, or left. */
	let { line }: { line: ArcLineView } = $props();
	const bench = getWorkbench();
	const groove = $derived(bench.cut.gouge.asked);
	const plural = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;
	const of = <K extends Entry['kind']>(offer: Offer, kind: K) =>
		offer.entries.find((entry): entry is Extract<Entry, { kind: K }> => entry.kind === kind);
	const made = (offer: Offer) => of(offer, 'cut') ?? of(offer, 'groove');
	function told(offer: Offer): string {
		const cuts = made(offer);
		if (cuts)
			return `${plural(cuts.starts, 'arc')} logged, ${lasts(cuts.arcS)}, ${bench.say(cuts.lengthMm / 1000, 'run')}.`;
		if (offer.key === 'failed') return `${plural(offer.ids.length, 'failed start')} logged.`;
		return 'The lamp is a measurement now.';
	}
	const all = $derived(line.offers.filter(({ key }) => key !== 'lamp'));
	async function takeAll() {
		const entries = all.flatMap((offer) => offer.entries);
		await line.take(
			all.flatMap(({ ids }) => ids),
			entries,
			all.map(told).join(' ')
		);
	}
</script>

<section aria-labelledby="offers-head">
	<h2 id="offers-head" class="h">For the log</h2>
	{#if line.offers.length === 0}
		<p class="mt-1">
			Nothing waits. What burns from now on is offered here, and beside the run sheet.
		</p>
	{:else}
		{#if groove}
			<div class="mt-1">
				<Choice
					label="These arcs were"
					showLabel
					options={[
						{ value: 'cut', label: 'the planned cut' },
						{ value: 'groove', label: 'the planned groove' }
					]}
					value={line.as}
					choose={(as) => (line.as = as)}
				/>
			</div>
		{/if}
		<ul data-testid="sensor-offers">
			{#each line.offers as offer (offer.key + offer.ids[0])}
				{@const cuts = made(offer)}
				{@const gauge = of(offer, 'gauge')}
				{@const lamp = of(offer, 'lamp')}
				<li>
					<div class="min-w-0 grow">
						{#if cuts}
							<b
								>{plural(cuts.starts, 'arc')}, {lasts(cuts.arcS)} of arc at {bench.say(
									cuts.outputA,
									'current'
								)}</b
							><br /><span class="sub"
								>as {cuts.kind === 'groove' ? 'strings of the planned groove' : cutTitle(bench)}, {bench.say(
									cuts.lengthMm / 1000,
									'run'
								)} by the planned travel{gauge
									? `; and the gauge while air flows: tank ${bench.say(gauge.tankBar, 'pressure')}, inlet ${bench.say(gauge.inletBar, 'pressure')}`
									: ''}</span
							>
						{:else if lamp}
							<b>Lamp after {lasts(lamp.lampS)} from rest at {bench.say(lamp.outputA, 'current')}</b
							><br /><span class="sub"
								>{lamp.recoveryS === null
									? 'when it went out nobody saw'
									: `out again after ${lasts(lamp.recoveryS)}`}; a measurement of the cutter’s heat</span
							>
						{:else}
							<b>{plural(offer.ids.length, 'failed start')}</b><br /><span class="sub"
								>{offer.failed.some(({ by }) => by === 'mains')
									? 'the pilot drew current, no arc followed'
									: 'air flowed, no arc followed'}</span
							>
						{/if}
					</div>
					<button
						type="button"
						class="btn"
						class:btn-primary={line.offers.length === 1}
						disabled={line.busy}
						onclick={() => void line.take(offer.ids, offer.entries, told(offer))}>Take</button
					>
					<button
						type="button"
						class="btn"
						disabled={line.busy}
						onclick={() => void line.take(offer.ids, [], 'Left; it is not offered again.')}
						>Leave</button
					>
				</li>
			{/each}
		</ul>
		{#if all.length > 1}
			<button
				type="button"
				class="btn mt-2 w-full btn-primary btn-xl"
				disabled={line.busy}
				onclick={() => void takeAll()}>Take both</button
			>
		{/if}
	{/if}
</section>

<style>
	li {
		display: flex;
		align-items: center;
		gap: 8px;
		min-height: 64px;
		padding: 6px 0;
		border-top: 1px solid var(--rule);
	}
</style>
