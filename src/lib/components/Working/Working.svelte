<script lang="ts">
	import { BASIS_WORDS } from '$lib/core';
	import { explain } from '$lib/core/plan/explain';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { filledIn, inputText, pretty } from './working';

	/** The open working: formula, the same with figures, inputs each with their own balloon, source. */
	const bench = getWorkbench();
	const working = $derived(bench.opened && explain(bench.inputs, bench.opened));
	const plain = $derived({ units: bench.units, gauge: bench.gauge });
	const band = $derived(working && bench.plan.figures[working.id].band);
	let panel = $state<HTMLElement>();

	function close() {
		const from = document.querySelector<HTMLElement>(`[data-figure="${bench.opened}"]`);
		bench.opened = undefined;
		from?.focus();
	}
</script>

{#if working}
	<section
		bind:this={panel}
		class="no-print working"
		aria-label="Where {working.label} comes from"
		data-testid="working"
	>
		<div class="flex items-start gap-3">
			<h2 class="h grow pt-2.5">{working.label}</h2>
			<button type="button" class="btn -mt-0.5 btn-ghost" onclick={close}
				>Close <kbd class="kbd kbd-sm">Esc</kbd></button
			>
		</div>
		<p class="mb-2 text-[1.0625rem]" data-testid="plain">{bench.sayAll(working.plain)}</p>
		<p class="fig overflow-x-auto pb-1 text-[1.5rem]" style:line-height="1.25">
			{#if working.value === null}
				none, because <span style:color="var(--arc)">{pretty(working.formula)}</span>
			{:else}
				{pretty(working.formula)}
			{/if}
		</p>
		{#if working.value !== null && working.inputs.length > 0}
			<p class="mt-1 text-[0.9375rem] break-words">
				= {filledIn(working)} =
				<b style:color="var(--arc)">{bench.say(working.value, working.quantity)}</b>
				{#if band}
					<span class="sub">
						usually {bench.say(band[0], working.quantity)} to {bench.say(band[1], working.quantity)}
						(8 in 10)
					</span>
				{/if}
			</p>
		{/if}
		<ul class="mt-2 space-y-1.5 text-[0.9375rem]">
			{#each working.inputs as input (input.symbol)}
				<li class="flex items-start gap-2.5">
					{#if input.from}
						{@const from = input.from}
						<button
							type="button"
							class="wf mt-px"
							aria-label="Where from? {input.label}: {BASIS_WORDS[input.basis]}"
							onclick={() => (bench.opened = from)}>{input.basis}</button
						>
					{:else}
						<span class="wf mt-px" title={BASIS_WORDS[input.basis]}>{input.basis}</span>
					{/if}
					<span><b>{pretty(input.symbol)} = {inputText(input, plain)}</b> {input.label}</span>
				</li>
			{/each}
		</ul>
		<p class="sub mt-2">
			<span class="wf mr-1.5">{working.basis}</span>{BASIS_WORDS[working.basis]}. {working.source}.
		</p>
	</section>
{/if}

<style>
	.working {
		position: fixed;
		z-index: 30;
		right: 24px;
		bottom: 0;
		width: 548px;
		max-width: 100vw;
		max-height: min(380px, 60vh);
		overflow-y: auto;
		padding: 4px 16px 16px;
		background: var(--sheet);
		border: 2px solid var(--arc);
		border-bottom: 0;
		border-radius: 3px 3px 0 0;
	}
	@media (max-width: 899px) {
		.working {
			right: 0;
			width: 100vw;
			border-inline: 0;
		}
	}
</style>
