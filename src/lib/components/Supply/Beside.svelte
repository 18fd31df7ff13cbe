<script lang="ts">
	import { plan, type Bench, type Chart, type Evidence, type FigureId, type Plan } from '$lib/core';
	import { PARTS, type Part, type PartId } from '$lib/components/Bench/parts';
	import { spareWord } from '$lib/components/Bench/spare';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import State from '$lib/components/Marks/State.svelte';
	import { CURRENCY } from '$lib/components/Wear/words';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { supplyAnswer, worstOn } from './rails';

	/** Every part of two benches, with value and margin, in one table. */
	let { other }: { other: { bench: Bench; evidence: Evidence; chart: Chart | null } } = $props();
	const bench = getWorkbench();
	const otherPlan = $derived(
		plan({
			...bench.inputs,
			bench: other.bench,
			evidence: other.evidence,
			chart: other.chart
		})
	);
	const sides = $derived([
		{ bench: bench.bench, plan: bench.plan },
		{ bench: other.bench, plan: otherPlan }
	]);
	const rows = $derived(
		PARTS.filter((part) => sides.some((side) => part.shown?.(side.bench) ?? true))
	);
	const PART_WORDS: Record<PartId, string> = {
		panel: 'Panel',
		breaker: 'Breaker',
		wire: 'Wire',
		receptacle: 'Receptacle',
		cord: 'Cord',
		compressor: 'Compressor',
		tank: 'Tank',
		dryer: 'Dryer',
		filter: 'Filter',
		hose: 'Hose to the inlet',
		cutter: 'Cutter',
		torch: 'Torch'
	};
	/** What a person reads first: the cut itself on both. */
	const CUT: readonly { id: FigureId; name: string; none: string }[] = [
		{ id: 'setup.currentA', name: 'Amps', none: '–' },
		{ id: 'setup.speedMmS', name: 'Travel asked', none: 'too thick' },
		{ id: 'setup.lineS', name: 'Your line takes', none: 'does not go through' },
		{ id: 'setup.cleanMm', name: 'Clean to', none: '–' },
		{ id: 'setup.severMm', name: 'Severs to', none: '–' },
		{ id: 'cut.rolledPierceMm', name: 'Pierces, rolled in, to', none: 'not at all' },
		{ id: 'wear.costPerM', name: 'Electrode and nozzle', none: 'no prices given' }
	];
	const sayCut = ({ id, none }: (typeof CUT)[number], from: Plan) => {
		const { value } = from.figures[id];
		if (value === null) return none;
		return id === 'wear.costPerM'
			? `${CURRENCY[bench.settings.currency]} ${bench.sayFigure(id, from)}`
			: bench.sayFigure(id, from);
	};
	const checkOf = (part: Part, from: Plan) => from.checks.find((c) => c.id === part.check);
	const figureOf = (part: Part, side: { bench: Bench; plan: Plan }) => {
		const figure = part.figure(side.bench);
		return figure ? bench.sayFigure(figure, side.plan) : '';
	};
</script>

<!-- What scrolls is reached by the keyboard too. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
	class="mt-3 overflow-x-auto"
	role="region"
	aria-label="The benches beside each other"
	tabindex="0"
>
	<table class="table min-w-[340px]" data-testid="beside">
		<thead>
			<tr>
				<th scope="col" class="sub w-[18%]">part</th>
				{#each sides as side, i (i)}
					<th scope="col" class="pb-2 align-bottom">
						<span class="h">{side.bench.name}</span>
						<span class="fig flex items-center gap-2 text-[1.75rem] whitespace-normal">
							<Mark verdict={side.plan.stations.supply.verdict} size={22} />
							{supplyAnswer(side.plan, bench).first}
						</span>
					</th>
				{/each}
			</tr>
		</thead>
		<tbody data-testid="beside-cut">
			{#each CUT as row (row.id)}
				<tr>
					<th scope="row" class="align-top font-semibold">{row.name}</th>
					{#each sides as side, i (i)}
						<td class="align-top"
							><span class="fig text-[1.4375rem]">{sayCut(row, side.plan)}</span></td
						>
					{/each}
				</tr>
			{/each}
			{#if sides[0]!.plan.choices.workIsCut !== sides[1]!.plan.choices.workIsCut}
				<tr>
					<th scope="row" class="align-top font-semibold">Supply is planned with</th>
					{#each sides as side, i (i)}
						<td class="align-top"
							>{side.plan.choices.workIsCut
								? 'that cut again and again'
								: `${bench.say(bench.work.arcS, 'time')} of arc, for the cut does not part`}</td
						>
					{/each}
				</tr>
			{/if}
		</tbody>
		<tbody>
			{#each rows as part (part.id)}
				<tr>
					<th scope="row" class="align-top font-semibold">{PART_WORDS[part.id]}</th>
					{#each sides as side, i (i)}
						{@const check = checkOf(part, side.plan)}
						{@const worst = worstOn(part, side.plan)}
						<td class="align-top" class:worst class:stops={worst === 'first limit'}>
							{#if part.shown?.(side.bench) ?? true}
								{#if part.name(side.bench) !== PART_WORDS[part.id]}
									<span class="sub block">{part.name(side.bench)}</span>
								{/if}
								<span class="fig text-[1.4375rem]">{figureOf(part, side)}</span>
								{#if check}
									<State verdict={check.verdict} word={spareWord(check, bench)} size={14.5} />
								{/if}
								{#if worst}<b class="sub">{worst}</b>{/if}
							{:else}
								<span class="sub">none</span>
							{/if}
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</div>
