<script lang="ts">
	import { QUESTION_IDS } from '$lib/core/answers/questions';
	import type { QuestionId } from '$lib/core/answers/shapes';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import type { StartPath } from '$lib/state/startPath.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { ASKS, readStep } from './asks';

	/** The rating label and what stands around it, filled in as the questions are answered. */
	let { path }: { path: StartPath } = $props();
	const bench = getWorkbench();
	const say = bench.say.bind(bench);
	const of = (on: boolean) => QUESTION_IDS.filter((id) => (ASKS[id].group === 'label') === on);
</script>

{#snippet cell(id: QuestionId)}
	{@const state = path.stateOf(id)}
	<button
		type="button"
		class="cell {state.replace(' ', '-')}"
		class:now={path.at === id}
		aria-current={path.at === id ? 'step' : undefined}
		data-testid="cell-{id}"
		data-state={state}
		onclick={() => path.goTo(id)}
	>
		<span class="name"
			>{ASKS[id].cell}
			{#if state === 'known'}<span class="wf" title="label or typed in">D</span>
			{:else if state === 'typical'}<span class="wf" title="typical">R</span>{/if}</span
		>
		{#if state === 'to come'}
			<span class="value">{path.at === id ? '? ' : ''}<span class="sub">to come</span></span>
		{:else}
			<span class="fig value">{readStep(path, id, say)}</span>
			{#if state === 'typical'}<span class="typical"
					><Mark verdict="tight" size={16} /> typical, not yet checked</span
				>{/if}
		{/if}
	</button>
{/snippet}

<section class="plate" aria-labelledby="plate-title">
	<h2 id="plate-title" class="h text-[1.25rem]">The cutter’s rating label</h2>
	<div class="cells">
		{#each of(true) as id (id)}{@render cell(id)}{/each}
	</div>
</section>
<section class="plate around" aria-labelledby="around-title">
	<h2 id="around-title" class="h text-[1.25rem]">What stands around it</h2>
	<div class="cells">
		{#each of(false) as id (id)}{@render cell(id)}{/each}
	</div>
</section>

<style>
	.plate {
		padding: 12px 16px 16px;
		border: 2.5px solid var(--ink);
		border-radius: 3px;
		background: var(--card);
	}
	.around {
		margin-top: 12px;
		border-style: solid;
		border-width: 1.5px;
		background: none;
	}
	.cells {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(9.25rem, 1fr));
		gap: 8px;
		margin-top: 8px;
	}
	.cell {
		display: flex;
		flex-direction: column;
		justify-content: space-between;
		gap: 2px;
		min-height: 84px;
		padding: 8px 10px;
		border: 1.5px solid var(--ink);
		background: var(--sheet);
		text-align: left;
		cursor: pointer;
		color: inherit;
	}
	.cell:focus-visible {
		outline: 3px solid var(--arc);
		outline-offset: 2px;
	}
	.name {
		display: flex;
		justify-content: space-between;
		gap: 8px;
		font-weight: 600;
		font-size: 0.9375rem;
	}
	.value {
		font-size: 1.5rem;
		line-height: 1.15;
		white-space: normal;
	}
	.to-come {
		border-style: dashed;
		color: var(--ink2);
	}
	.cell.typical {
		border-style: dashed;
		background: color-mix(in srgb, var(--tight) 24%, var(--sheet));
	}
	.cell span.typical {
		display: flex;
		align-items: center;
		gap: 6px;
		color: var(--tight-ink);
		font-size: 0.875rem;
		font-weight: 600;
	}
	.cell.now {
		border: 2.5px solid var(--arc);
		background: var(--arc-wash);
		color: var(--ink);
	}
</style>
