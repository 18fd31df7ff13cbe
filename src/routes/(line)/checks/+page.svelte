<script lang="ts">
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import Dock from '$lib/components/Checks/Dock.svelte';
	import List from '$lib/components/Checks/List.svelte';
	import { planSaysNo } from '$lib/components/Checks/words';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import Stage from '$lib/components/Stage.svelte';
	import { singleKeys } from '$lib/dom/singleKeys';
	import { Preflight } from '$lib/state/preflight.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** May I fire? The ten things people forget, made for this cut on this bench. */
	const bench = getWorkbench();
	const view = new Preflight(bench);
	if (untrack(() => page.url.searchParams.get('for')) === 'groove') view.job = 'groove';

	/** Another bench, not the same one with new evidence. */
	const benchId = $derived(bench.benchId);
	$effect(() => {
		void benchId;
		untrack(() => view.start());
	});
	const step = (by: 1 | -1) => {
		const at = view.items.findIndex(({ id }) => id === view.now?.id);
		view.chosen = view.items[(at + by + view.items.length) % view.items.length]?.id;
	};
	$effect(() =>
		singleKeys({
			' ': () => void view.yes(),
			n: () => void view.notSo(),
			z: () => view.canUndo && (view.undo(), true),
			ArrowDown: () => step(1),
			ArrowUp: () => step(-1)
		})
	);
	const no = $derived(planSaysNo(bench.plan, view.job));
	const verdict = $derived(
		no.length || view.wrong.some(({ held }) => held.verdict === 'stops')
			? ('stops' as const)
			: view.wrong.length
				? ('tight' as const)
				: view.toTick
					? ('not set' as const)
					: ('holds' as const)
	);
	const headline = $derived.by(() => {
		const parts = [
			...(view.toTick ? [`${view.toTick} to look at`] : []),
			...(view.wrong.length ? [`${view.wrong.length} to mend`] : [])
		];
		if (parts.length) return `Not yet: ${parts.join(', ')}.`;
		const unsigned = view.lists.some(({ id }) => !view.signedAt(id));
		if (no.length)
			return unsigned ? 'All looked at; the plan says no.' : 'Signed off; the plan says no.';
		return unsigned ? 'All looked at: sign off.' : 'Signed off. Call out, and go.';
	});
</script>

<svelte:head><title>Checks · Steady Arc</title></svelte:head>

<div class="top">
	<h1><Mark {verdict} size={40} /> {headline}</h1>
	{#if bench.cut.gouge.asked || view.job === 'groove'}
		<Choice
			label="Checks for"
			options={[
				{ value: 'cut', label: 'This cut', help: 'Parts, amps and shade of cutting.' },
				{ value: 'groove', label: 'This groove', help: 'Parts, amps and shade of gouging.' }
			]}
			value={view.job}
			choose={(job) => (view.job = job)}
		/>
	{/if}
	<p class="doors">
		<a class="btn" href="/fault?{bench.search}">Something is wrong: find it</a>
		<a class="btn" href="/hot-work?{bench.search}">Hot-work sheet</a>
	</p>
</div>
{#if no.length}
	<p class="px-6 pb-1 text-[1.125rem] max-[899px]:px-3" data-testid="plan-says-no">
		The plan says no to this {view.job}, whatever is looked at:
		{#each no as { station, word }, i (word)}{i ? ', ' : ''}<b>{word}</b> (<a
				class="link capitalize"
				href="/{station}?{bench.search}">{station}</a
			>){/each}.
	</p>
{/if}
<div class="checks">
	{#each view.lists as { id, items } (id)}
		<List list={id} {items} {view} />
	{/each}
	<Dock {view} />
</div>
{#if view.elsewhere.length}
	<section class="mx-3 mt-3 desk:mx-6" aria-label="Not mended yet">
		<h2 class="h">Not mended yet</h2>
		<ul>
			{#each view.elsewhere as held (held.item)}
				<li class="flex flex-wrap items-center gap-3 py-1">
					<Mark verdict={held.verdict} />
					<b>{held.word}</b>
					<button type="button" class="btn" onclick={() => void view.mended(held)}
						>It is mended<span class="sr-only">: {held.word}</span></button
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}
<Findings station="checks" />
<Stage
	when="besides"
	id="protection"
	title="Shade, fume, sparks"
	answer="shade {bench.sayFigure('setup.shade')} at {bench.sayFigure('setup.currentA')}"
	load={() => import('$lib/components/Checks/Protection.svelte')}
/>
<Stage
	when="besides"
	id="own-checks"
	title="Checks of this shop"
	answer={view.own?.own.length ? `${view.own.own.length} of your own` : 'add what your shop asks'}
	load={() => import('$lib/components/Checks/OwnChecks.svelte')}
	props={{ view }}
/>
<Stage
	when="besides"
	id="how-worked-out"
	title="How this is worked out"
	answer="what stands behind every station"
	load={() => import('$lib/components/Checks/HowWorked.svelte')}
/>

<style>
	.top {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		align-items: center;
		gap: 4px 16px;
		padding: 10px 24px 2px;
	}
	.doors {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
	}
	h1 {
		display: flex;
		align-items: center;
		gap: 14px;
		font-family: var(--font-figure);
		font-stretch: 62.5%;
		font-weight: 620;
		font-size: 2.75rem;
		line-height: 1;
	}
	.checks {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) 20.75rem;
		gap: 20px;
		padding: 4px 24px 12px;
		align-items: start;
	}
	.checks > :global(aside) {
		position: sticky;
		top: 7rem;
	}
	@media (max-width: 1099px) {
		.checks {
			grid-template-columns: minmax(0, 1fr) 20rem;
		}
		.checks > :global(section) {
			grid-column: 1;
		}
		.checks > :global(aside) {
			grid-column: 2;
			grid-row: 1 / span 2;
		}
	}
	@media (max-width: 899px) {
		.top {
			padding: 8px 12px 0;
		}
		h1 {
			font-size: 1.75rem;
		}
		.doors .btn {
			padding-inline: 8px;
		}
		.checks {
			display: block;
			padding: 4px 12px 8px;
		}
		.checks > :global(aside) {
			top: auto;
		}
	}
</style>
