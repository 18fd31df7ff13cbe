<script lang="ts">
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { STEP_IDS, type StartPath, type StepState } from '$lib/state/startPath.svelte';
	import { GROUPS, wordOf } from './asks';

	/** How far it is: each question a point to go back to, what is known, what is typical, what is to come. */
	let { path }: { path: StartPath } = $props();
	const MARK = { known: 'holds', typical: 'tight', 'to come': 'not set' } as const;
	const counts = $derived(
		(['known', 'typical', 'to come'] as const satisfies StepState[]).map((state) => ({
			state,
			n: path.count(state)
		}))
	);
	const WORDS: Record<StepState, string> = {
		known: 'known',
		typical: 'typical, not yet checked',
		'to come': 'to come'
	};
</script>

<nav aria-label="The questions" class="mt-4">
	<p class="flex flex-wrap items-baseline gap-x-5" data-testid="road-count">
		{#each counts as { state, n } (state)}
			<span class:warn={state === 'typical' && n > 0}
				><b class="fig text-[1.75rem]">{n}</b> {WORDS[state]}</span
			>
		{/each}
	</p>
	<ol class="road">
		{#each GROUPS as group (group.words)}
			<li class="group" style:--n={group.steps.length}>
				<ol class="steps">
					{#each group.steps as id (id)}
						<li>
							<button
								type="button"
								class="step"
								class:now={path.at === id}
								aria-current={path.at === id ? 'step' : undefined}
								aria-label="{STEP_IDS.indexOf(id) + 1}, {wordOf(id)}: {path.stateOf(id)}"
								onclick={() => path.goTo(id)}
							>
								<Mark verdict={MARK[path.stateOf(id)]} size={22} />
								<span>{wordOf(id)}</span>
							</button>
						</li>
					{/each}
				</ol>
				<span class="sub">{group.words}</span>
			</li>
		{/each}
	</ol>
</nav>

<style>
	.warn {
		color: var(--tight-ink);
		font-weight: 600;
	}
	.road {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 12px;
	}
	.group {
		flex: var(--n) 1 auto;
		text-align: center;
	}
	.steps {
		display: flex;
		flex-wrap: wrap;
		border-bottom: 1.5px solid var(--ink2);
		margin-bottom: 2px;
	}
	.steps li {
		flex: 1 1 auto;
	}
	.step {
		display: flex;
		flex-direction: column;
		align-items: center;
		justify-content: center;
		gap: 2px;
		width: 100%;
		min-width: 44px;
		min-height: 52px;
		padding: 2px 3px;
		font-size: 0.875rem;
		cursor: pointer;
	}
	.step:focus-visible {
		outline: 3px solid var(--arc);
	}
	.step.now {
		color: var(--arc);
		font-weight: 700;
		box-shadow: inset 0 -3px 0 var(--arc);
	}
</style>
