<script lang="ts">
	import { onDestroy } from 'svelte';
	import State from '$lib/components/Marks/State.svelte';
	import { gougeStudy } from '$lib/state/gougeStudy.svelte';
	import type { GrooveChoice } from '$lib/core/studies/grooves';
	import { inputsHash } from '$lib/core/plan/plan';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { CHOICE_WORDS } from './words';

	/** The same groove deep or light, flat or steep, with full amps or fewer; one press takes it. */
	const bench = getWorkbench();
	const study = gougeStudy();
	onDestroy(() => study.close());
	$effect(() => study.ask(bench.calmInputs, inputsHash(bench.calmInputs)));
	const { gouge } = $derived(bench.cut);
	const isNow = ({ change }: GrooveChoice) =>
		change.outputA === gouge.outputA &&
		change.way === gouge.way &&
		change.angleFromPlateDeg === gouge.angleFromPlateDeg;
	function take({ change }: GrooveChoice) {
		bench.setGouge(change);
	}
	const names = ({ ids }: GrooveChoice) =>
		ids
			.filter((id, i) => id !== 'held' || i === 0)
			.map((id) => CHOICE_WORDS[id].name)
			.join(', ');
	const stop = ({ verdict, word, stopsAtS }: GrooveChoice) =>
		verdict === 'holds'
			? 'holds'
			: verdict === 'stops' && stopsAtS
				? `${word}, ${bench.say(stopsAtS, 'time')}`
				: word;
	function pace([slow, fast]: [number, number]): string {
		const [from, to] = [bench.show(slow, 'speed').text, bench.say(fast, 'speed')];
		return to.startsWith(`${from} `) ? to : `${from}–${to}`;
	}
</script>

<section aria-label="Deep or light?" class="min-w-0">
	<h2 class="h">Deep or light, flat or steep?</h2>
	{#if study.answer?.choices.length}
		<ul class:dim={study.stale} data-testid="choices">
			{#each study.answer.choices as choice (choice.ids.join())}
				<li class:now={isNow(choice)}>
					<button
						type="button"
						class="btn w-full justify-start"
						aria-pressed={isNow(choice)}
						onclick={() => take(choice)}>{isNow(choice) ? '●' : '◇'} {names(choice)}</button
					>
					<div class="flex flex-wrap items-center gap-x-4 px-2">
						<span class="fig text-[1.375rem]">{bench.say(choice.outputA, 'current')}</span>
						{#if choice.strings === null}
							<span>not so: {choice.word}</span>
						{:else}
							<span
								><b>{choice.strings} {choice.strings === 1 ? 'string' : 'strings'}</b>, {bench.say(
									choice.pieceS,
									'time'
								)}</span
							>
							{#if choice.speedMmS}<span class="sub">{pace(choice.speedMmS)}</span>{/if}
							<span class="sub">{bench.say(choice.heatKJm, 'heat')}</span>
							<State verdict={choice.verdict} word={stop(choice)} size={16} />
						{/if}
						<span class="sub">{CHOICE_WORDS[choice.ids[0]!].told}</span>
					</div>
				</li>
			{/each}
		</ul>
	{:else}
		<!-- As tall as what comes in its place. -->
		<p class="sub h-[330px] max-[899px]:h-[375px]">working</p>
	{/if}
</section>

<style>
	li {
		border-top: 1px solid var(--rule);
		padding: 4px 0;
	}
	li.now {
		background: var(--arc-wash);
	}
	.dim {
		opacity: 0.6;
	}
</style>
