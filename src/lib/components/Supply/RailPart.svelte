<script lang="ts">
	import type { Part, PartId } from '$lib/components/Bench/parts';
	import { spareWord } from '$lib/components/Bench/spare';
	import Balloon from '$lib/components/Balloon/Balloon.svelte';
	import State from '$lib/components/Marks/State.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import PartSymbol from './PartSymbol.svelte';
	import { railWidth, worstOn } from './rails';

	/** One part on its rail: symbol, name, value, margin. */
	let {
		part,
		open,
		first,
		told,
		choose
	}: {
		part: Part;
		open: boolean;
		first: boolean;
		told: 'results' | 'entered';
		choose: (part: PartId) => void;
	} = $props();
	const bench = getWorkbench();
	const results = $derived(told === 'results');
	const check = $derived(bench.plan.checks.find((c) => c.id === part.check));
	const worst = $derived(results ? worstOn(part, bench.plan) : undefined);
	const figure = $derived(part.figure(bench.bench));
	const lost = $derived(
		part.loses && (bench.plan.figures[part.loses].value ?? 0) > 0 && part.loses
	);
	const entered = $derived(part.entered(bench.bench));
	const name = $derived((results ? part.name : (part.bareName ?? part.name))(bench.bench));
</script>

<div
	class="part"
	class:open
	class:first
	class:worst
	class:stops={worst === 'first limit'}
	style:--width="{railWidth(results ? check : undefined)}px"
>
	<button
		type="button"
		class="pick"
		aria-pressed={open}
		data-part={part.id}
		aria-label="{name}: open"
		onclick={() => choose(part.id)}
	></button>
	{#if worst}<span class="flag">{worst}</span>{/if}
	<PartSymbol part={part.id} />
	<span class="told">
		<span class="text-[0.875rem] font-semibold">{name}</span>
		<span class="value">
			<span class="fig text-[1.5625rem]">
				{#if results}
					{figure ? bench.sayFigure(figure) : ''}
				{:else}
					{entered ? bench.say(entered.value, entered.quantity) : '–'}
				{/if}
			</span>
			{#if results && figure}<Balloon id={figure} />{/if}
		</span>
		{#if !results}
			<span class="sub leading-tight">{part.about}</span>
		{:else}
			{#if check}
				<State verdict={check.verdict} word={spareWord(check, bench)} size={14.5} />
			{/if}
			{#if lost}
				<span class="sub">loses {bench.sayFigure(lost)}</span>
			{:else if part.id === 'compressor' && bench.bench.air.source === 'compressor'}
				<span class="sub">runs {bench.sayFigure('air.runShare')}</span>
			{:else if part.id === 'panel'}
				<span class="sub">{bench.bench.supply.circuit}</span>
			{/if}
		{/if}
	</span>
</div>

<style>
	.part {
		position: relative;
		display: flex;
		flex-direction: column;
		align-items: center;
		padding: 18px 2px 4px;
		border: 2.5px solid transparent;
		border-radius: 3px;
		color: var(--ink);
		min-width: 0;
	}
	.open {
		border-color: var(--arc);
	}
	/* The rail itself: thick is spare, thin is tight. */
	.part::before {
		content: '';
		position: absolute;
		top: calc(50px - var(--width) / 2);
		left: -2.5px;
		right: -2.5px;
		height: var(--width);
		background: var(--ink);
	}
	.first::before {
		left: 50%;
	}
	.told {
		position: relative;
		display: flex;
		flex-direction: column;
		align-items: center;
		gap: 4px;
		margin-top: 2px;
		text-align: center;
		line-height: 1.15;
		pointer-events: none;
	}
	.value {
		display: inline-flex;
		align-items: center;
		gap: 5px;
	}
	.value > :global(button) {
		pointer-events: auto;
	}
	@media (max-width: 899px) {
		.part {
			flex-direction: row;
			gap: 6px;
			padding: 8px 2px;
			min-height: 92px;
		}
		.part.worst {
			padding-top: 28px;
		}
		.part::before {
			top: -2.5px;
			bottom: -2.5px;
			left: calc(34px - var(--width) / 2);
			right: auto;
			width: var(--width);
			height: auto;
		}
		.first::before {
			top: 50%;
		}
		.told {
			align-items: flex-start;
			text-align: left;
		}
	}
</style>
