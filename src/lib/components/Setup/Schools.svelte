<script lang="ts">
	import type { FigureId, Plan } from '$lib/core';
	import State from '$lib/components/Marks/State.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { stateWord } from '$lib/components/Line/line';
	import { schoolAdvice } from './schools';

	/** Two schools on amps, side by side, each planned for real. */
	const bench = getWorkbench();
	const matched = $derived(bench.cut.school === 'matched' ? bench.calmPlan : bench.otherSchool);
	const full = $derived(bench.cut.school === 'matched' ? bench.otherSchool : bench.calmPlan);
	const fullName = $derived(bench.cut.school === 'typed' ? 'Yours' : 'Full');
	const rows: { label: string; id: FigureId }[] = [
		{ label: 'Travel', id: 'setup.speedMmS' },
		{ label: 'Your line takes', id: 'setup.lineS' },
		{ label: 'Heat into it', id: 'setup.heatKJM' },
		{ label: 'Such cuts left', id: 'wear.cutsLeft' }
	];
	const on = (plan: Plan) => plan === bench.calmPlan;
	const state = (plan: Plan) => ({
		verdict: plan.stations.supply.verdict,
		word: stateWord(plan.stations.supply, bench)
	});
</script>

<section aria-label="Match the amps, or full?">
	<table class="w-full table-fixed text-[15px]" style:line-height="1.2">
		<thead>
			<tr>
				<th class="h w-[46%] pb-1 text-left" scope="col">Match the amps, or full?</th>
				{#each [{ name: 'Match', plan: matched }, { name: fullName, plan: full }] as school (school.name)}
					<th scope="col" class="px-2.5 text-left" class:chosen={on(school.plan)}>
						<button
							type="button"
							class="flex min-h-11 items-center gap-1.5 font-bold whitespace-nowrap"
							aria-pressed={on(school.plan)}
							onclick={() => {
								if (!on(school.plan))
									bench.setCut({ school: school.name === 'Match' ? 'matched' : 'full' });
								bench.settle();
							}}
						>
							{on(school.plan) ? '●' : '◇'}
							{school.name}, {bench.sayFigure('setup.currentA', school.plan)}
						</button>
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each rows as row (row.id)}
				<tr class="border-t" style:border-color="var(--rule)">
					<th scope="row" class="sub py-1 pr-2 text-left font-normal whitespace-nowrap"
						>{row.label}</th
					>
					<td class="px-2.5 font-semibold" class:chosen={on(matched)}
						>{bench.sayFigure(row.id, matched)}</td
					>
					<td class="px-2.5 font-semibold" class:chosen={on(full)}
						>{bench.sayFigure(row.id, full)}</td
					>
				</tr>
			{/each}
			<tr class="border-t" style:border-color="var(--rule)">
				<th scope="row" class="sub py-1 pr-2 text-left font-normal">Supply</th>
				<td class="px-2.5" class:chosen={on(matched)}><State {...state(matched)} size={14} /></td>
				<td class="px-2.5" class:chosen={on(full)}><State {...state(full)} size={14} /></td>
			</tr>
		</tbody>
	</table>
	<p class="mt-1.5 text-[15px]">{schoolAdvice(matched, full, bench)}</p>
</section>

<style>
	.chosen {
		background: var(--arc-wash);
	}
</style>
