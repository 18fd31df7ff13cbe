<script lang="ts">
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import { GUIDE_WORDS } from '$lib/components/Cut/guide';
	import { timedByHand } from '$lib/components/Words/pace';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What is set for the guide, what it is wrong by when it is forgotten, and the travel along it. */
	const bench = getWorkbench();
	const { guide } = $derived(bench.cut);
	const words = $derived(GUIDE_WORDS[guide]);
	const wrong = $derived(guide === 'circle' ? 'the diameter is wrong by' : 'wrong by');
	const edged = $derived(guide === 'kept' || guide === 'waste');
	const byHand = $derived(timedByHand(bench.plan));
	const parts = $derived(bench.plan.figures['cut.offsetMm'].value !== null);
</script>

<aside class="panel">
	{#if parts}
		<p class="sub">{words.set}</p>
		<Fig id="cut.offsetMm" size={84} color="var(--arc)" />
		<div class="wrong" data-testid="wrong">
			<p>
				{words.forgot}: {wrong} <b>{bench.sayFigure('cut.forgottenMm')}</b>.
			</p>
			<p>
				{words.wrongSide}: {wrong}
				<b>{bench.sayFigure('cut.wrongSideMm')}</b>{#if edged}; from there it is {bench.sayFigure(
						'cut.otherSideMm'
					)}{/if}.
			</p>
		</div>
	{/if}
	<div class="mt-2">
		<FigureList
			size={29}
			rows={[
				{
					id: 'setup.speedMmS',
					...(byHand && { name: 'Travel asked' }),
					none: 'too thick'
				},
				...(byHand ? [{ id: 'setup.handMmS' } as const] : []),
				{
					id: 'setup.lineS',
					name: guide === 'circle' ? 'Once round' : 'Your line',
					none: 'too thick'
				},
				...(parts ? [{ id: 'setup.kerfMm' } as const] : []),
				...(parts && edged ? [{ id: 'cut.radiusMm' } as const] : [])
			]}
		/>
	</div>
</aside>

<style>
	.panel {
		padding: 14px 24px 8px 20px;
		border-left: 2px solid var(--ink);
	}
	.wrong {
		margin-top: 6px;
		padding: 6px 12px;
		font-size: 0.9375rem;
		border-left: 6px solid var(--spark);
		background: var(--spark-wash);
	}
	@media (max-width: 1099px) {
		.panel {
			border-left: 0;
			border-top: 2px solid var(--ink);
			padding: 12px;
		}
	}
</style>
