<script lang="ts">
	import type { FinderView } from '$lib/state/finder.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { shareWord } from './words';

	/** What it can still be; the notch stands where it was before the last answer. */
	let { view }: { view: FinderView } = $props();
	const bench = getWorkbench();
	const SHOWN = 6;
	/** Below this it is as good as out. */
	const OUT = 0.02;
	const beliefs = $derived(view.found?.beliefs ?? []);
	const shown = $derived(beliefs.filter(({ share }) => share >= OUT).slice(0, SHOWN));
	const before = $derived(new Map(view.before?.map(({ cause, share }) => [cause, share])));
</script>

<section aria-label="What it can still be" data-testid="beliefs">
	<h2 class="h">What it can still be</h2>
	<p class="sub">
		{view.before ? 'The notch: before your last answer.' : 'Two at once are possible.'}
	</p>
	<ol>
		{#each shown as { cause, share }, i (cause)}
			{@const was = before.get(cause)}
			<li class:first={i === 0}>
				<span class="grow">{view.causeOf(cause)?.name}</span>
				<span class="sub">{shareWord(share)}</span>
				<span class="fig">{bench.say(share, 'share')}</span>
				<svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
					<path d="M0 5H100" stroke="var(--rule)" vector-effect="non-scaling-stroke" />
					<rect
						width={100 * share}
						y={i === 0 ? 0 : 2}
						height={i === 0 ? 10 : 6}
						fill="var(--arc)"
					/>
					{#if was !== undefined}<path
							d="M{100 * was} 0V10"
							stroke="var(--ink)"
							stroke-width="3"
							vector-effect="non-scaling-stroke"
						/>{/if}
				</svg>
			</li>
		{/each}
	</ol>
	<p class="sub">Common practice which sign goes with which cause; how often is our own.</p>
</section>

<style>
	li {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto 4.5rem;
		align-items: baseline;
		gap: 0 10px;
		padding: 4px 0;
	}
	.first {
		font-weight: 700;
		font-size: 1.125rem;
	}
	.fig {
		text-align: right;
		font-size: 1.5rem;
	}
	.first .fig {
		font-size: 2.25rem;
	}
	svg {
		grid-column: 1 / -1;
		width: 100%;
		height: 12px;
	}
</style>
