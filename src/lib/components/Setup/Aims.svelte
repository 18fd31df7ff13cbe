<script lang="ts">
	import type { Advice } from '$lib/core';
	import { AIM_WORDS } from '$lib/components/Card/words';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import type { SetupStudy } from '$lib/state/setupStudy.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { adviceWords } from './aims';

	/** The best amps for each aim; every whole setting was planned. One gesture takes it. */
	let { study }: { study: SetupStudy } = $props();
	const bench = getWorkbench();
	const advice = $derived(study.answer?.advice);
	const amps = $derived(bench.calmPlan.figures['setup.currentA'].value);
	const on = (a: Advice) => a.aim === bench.cut.aim && a.outputA === amps;

	function take({ aim, outputA }: Advice) {
		if (outputA === null) return;
		const cut = bench.cut;
		bench.setCut({ aim, school: 'typed', typedA: outputA });
		bench.notice = {
			kind: 'done',
			text: `${bench.say(outputA, 'current')} for ${AIM_WORDS[aim]}.`,
			undo: () => {
				bench.setCut(cut);
				bench.notice = { kind: 'done', text: 'Changed back.' };
			}
		};
	}
</script>

<section aria-label="Best amps for each aim" class:old={study.stale} data-testid="aims">
	<h2 class="h">Best amps for each aim</h2>
	{#if advice}
		<ul>
			{#each advice as one (one.aim)}
				<li class="aim" class:on={on(one)}>
					<div class="grow">
						<b class="block first-letter:uppercase">{AIM_WORDS[one.aim]}</b>
						<p class="text-[0.9375rem]">{adviceWords(one, bench)}</p>
					</div>
					<Mark verdict={one.supply} size={18} />
					<button
						type="button"
						class="btn whitespace-nowrap"
						disabled={one.outputA === null || study.stale || on(one)}
						aria-label="Take {one.outputA === null
							? 'nothing'
							: bench.say(one.outputA, 'current')} for {AIM_WORDS[one.aim]}"
						onclick={() => take(one)}
						>{one.outputA === null ? 'None' : bench.say(one.outputA, 'current')}</button
					>
				</li>
			{/each}
		</ul>
	{:else}
		<p class="sub h-[300px]">working</p>
	{/if}
</section>

<style>
	.old {
		color: var(--ink2);
	}
	.aim {
		display: flex;
		align-items: center;
		gap: 12px;
		min-height: 56px;
		padding: 5px 8px;
		border-top: 1px solid var(--rule);
		line-height: 1.25;
	}
	.on {
		background: var(--arc-wash);
	}
</style>
