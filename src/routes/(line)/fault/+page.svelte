<script lang="ts">
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import LookDrawing from '$lib/components/Checks/LookDrawing.svelte';
	import Beliefs from '$lib/components/Fault/Beliefs.svelte';
	import Known from '$lib/components/Fault/Known.svelte';
	import Mend from '$lib/components/Fault/Mend.svelte';
	import Symptoms from '$lib/components/Fault/Symptoms.svelte';
	import Trail from '$lib/components/Fault/Trail.svelte';
	import Stage from '$lib/components/Stage.svelte';
	import { singleKeys } from '$lib/dom/singleKeys';
	import { FinderView } from '$lib/state/finder.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { Belief, Said } from '$lib/core/faults/finder';

	/** Where do I look next? One question, one drawing. */
	const bench = getWorkbench();
	const view = new FinderView(bench);
	/** Another bench, not the same one with new evidence. */
	const benchId = $derived(bench.benchId);
	$effect(() => {
		void benchId;
		untrack(() =>
			view.start(page.url.searchParams.get('of'), page.url.searchParams.get('seen') ?? '')
		);
	});
	const found = $derived(view.found);
	const next = $derived(found?.next ?? undefined);
	const asks = $derived(found?.outcome === 'look' && next);
	const say = (said: Said) => asks && next && view.answer(next.look.id, said);
	$effect(() =>
		singleKeys({
			y: () => asks && (say('yes'), true),
			n: () => asks && (say('no'), true),
			c: () => asks && (say('unsure'), true),
			z: () => view.symptom !== undefined && (view.takeBack(), true)
		})
	);
	const name = (belief: Belief | null) =>
		belief ? view.causeOf(belief.cause)?.name.toLowerCase() : '';
	const minutes = $derived(
		next
			? next.look.minutes < 1
				? `${Math.round(60 * next.look.minutes)} s`
				: `${next.look.minutes} min`
			: ''
	);
</script>

<svelte:head><title>Find a fault · Steady Arc</title></svelte:head>

{#if !view.symptom || !found}
	<Symptoms file={view.file} see={(id) => view.see(id)} />
{:else}
	<div class="finder">
		<div class="ask dots" data-testid="finder">
			<p class="flex flex-wrap items-center gap-3">
				<button type="button" class="btn" onclick={() => view.startOver()}
					>{view.symptom.name}<span class="sub">change</span></button
				>
				<span class="sub"
					>{#if asks}Look {view.answers.length + 1}, about {minutes}.{/if}</span
				>
			</p>
			{#if asks && next}
				{@const look = next.look}
				<h1 aria-live="polite">{look.ask}</h1>
				<div class="two">
					<div>
						{#if look.draw}<LookDrawing what={look.draw} />{/if}
					</div>
					<div>
						{#if look.off}<p class="off"><b>Cutter off at its switch.</b></p>{/if}
						<p>{look.how}</p>
						<p class="sub mt-2">
							Asked next because it tells the most for its trouble. Covers stay on.
						</p>
					</div>
				</div>
				<div class="answers">
					{#each [['yes', look.yes, 'Y'], ['no', look.no, 'N'], ['unsure', 'Could not tell', 'C']] as const as [said, text, key] (said)}
						<button type="button" class="btn" onclick={() => say(said)}>
							<span class="fig">{text} <kbd class="kbd kbd-sm">{key}</kbd></span>
							<span class="sub"
								>{said === 'unsure'
									? 'asks another way'
									: `then ${name(view.after?.[said] ?? null)} leads`}</span
							>
						</button>
					{/each}
				</div>
			{:else}
				<Mend {view} />
			{/if}
			{#if found.strange}
				<p class="mt-2 alert block alert-warning" role="status">
					<b>Mind.</b> Your answers hardly go together: look again at the one you are least sure of, and
					change it below.
				</p>
			{/if}
		</div>
		<div class="side">
			<Beliefs {view} />
		</div>
	</div>
	<div class="under">
		<Known {view} />
		<Trail {view} />
	</div>
{/if}
<Stage
	when="besides"
	id="fault-file"
	title="The file of faults"
	answer={view.stands.own ? 'your own counts' : 'the one that comes with the program'}
	load={() => import('$lib/components/Fault/File.svelte')}
	props={{ view }}
/>

<style>
	.finder {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 420px;
		border-bottom: 2px solid var(--ink);
	}
	.ask {
		padding: 10px 16px 16px 24px;
		border-right: 2px solid var(--ink);
	}
	.side {
		padding: 10px 24px 10px 16px;
	}
	h1 {
		margin-top: 10px;
		font-family: var(--font-figure);
		font-stretch: 62.5%;
		font-weight: 620;
		font-size: 2.75rem;
		line-height: 1;
	}
	.two {
		display: grid;
		grid-template-columns: 340px minmax(0, 1fr);
		gap: 16px;
		margin: 12px 0;
		min-height: 168px;
	}
	.off {
		padding: 8px 12px;
		margin-bottom: 8px;
		background: var(--spark-wash);
		border-left: 6px solid var(--tight);
	}
	.answers {
		display: grid;
		grid-template-columns: repeat(3, minmax(0, 1fr));
		gap: 10px;
	}
	.answers .btn {
		display: block;
		height: auto;
		min-height: 88px;
		padding: 8px;
		white-space: normal;
	}
	.answers .fig {
		display: block;
		font-size: 1.75rem;
		white-space: normal;
	}
	.answers .sub {
		display: block;
		font-weight: 500;
		margin-top: 4px;
	}
	.under {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
		gap: 24px;
		padding: 10px 24px;
	}
	@media (max-width: 899px) {
		.finder,
		.two,
		.under {
			display: block;
		}
		.ask,
		.side,
		.under {
			padding: 8px 12px;
			border-right: 0;
		}
		.two {
			min-height: 0;
		}
		h1 {
			font-size: 1.875rem;
		}
		.answers {
			grid-template-columns: minmax(0, 1fr);
			gap: 6px;
		}
		.answers .btn {
			min-height: 68px;
		}
		.answers .fig {
			font-size: 1.5rem;
		}
		.answers :global(.kbd) {
			display: none;
		}
	}
</style>
