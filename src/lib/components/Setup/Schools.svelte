<script lang="ts">
	import type { Cut, Plan } from '$lib/core';
	import State from '$lib/components/Marks/State.svelte';
	import '$lib/state/plansHere';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { CURRENCY } from '$lib/components/Wear/words';
	import { handWord, schoolAdvice, SCHOOL_ROWS, WARP_WORDS } from './schools';

	/** The schools on amps, side by side, each planned for real. */
	const bench = getWorkbench();
	interface Column {
		school: Cut['school'];
		name: string;
		plan: Plan;
	}
	const columns: Column[] = $derived([
		{ school: 'matched', name: 'By thickness', plan: bench.schools.matched },
		{ school: 'full', name: 'Full', plan: bench.schools.full },
		{ school: 'circuit', name: 'By outlet', plan: bench.schools.circuit },
		...(bench.cut.school === 'typed'
			? [{ school: 'typed' as const, name: 'My own', plan: bench.calmPlan }]
			: [])
	]);
	function choose(school: Cut['school']) {
		bench.setCut({ school });
	}
	const supplyWord = ({ stations: { supply } }: Plan) =>
		supply.verdict === 'stops' && supply.stopsAtS
			? bench.say(supply.stopsAtS, 'time').replace(' min', '')
			: supply.verdict;
</script>

<section aria-label="How many amps?">
	<table class="table table-fixed" style:line-height="1.2">
		<thead>
			<tr>
				<th class="h label pb-1 text-left" scope="col">How many amps?</th>
				{#each columns as { school, name, plan } (school)}
					<th scope="col" class="px-2 text-left" class:chosen={school === bench.cut.school}>
						<button
							type="button"
							class="flex min-h-11 w-full flex-wrap items-center gap-x-1.5 font-bold"
							aria-pressed={school === bench.cut.school}
							onclick={() => choose(school)}
						>
							<span>{school === bench.cut.school ? '●' : '◇'} {name},</span>
							<span class="fig text-[1.25rem]">{bench.sayFigure('setup.currentA', plan)}</span>
						</button>
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each SCHOOL_ROWS as row (row.id)}
				<tr>
					<th scope="row" class="sub label">{row.label}</th>
					{#each columns as { school, plan } (school)}
						<td class="font-semibold" class:chosen={school === bench.cut.school}
							>{row.id === 'wear.costPerM' && plan.figures[row.id].value !== null
								? `${CURRENCY[bench.settings.currency]} `
								: ''}{bench.sayFigure(row.id, plan)}</td
						>
					{/each}
				</tr>
			{/each}
			<tr>
				<th scope="row" class="sub label">For a hand</th>
				{#each columns as { school, plan } (school)}
					<td class:chosen={school === bench.cut.school}>{handWord(plan)}</td>
				{/each}
			</tr>
			<tr>
				<th scope="row" class="sub label">Thin sheet warps</th>
				{#each columns as { school, plan } (school)}
					<td class:chosen={school === bench.cut.school}>{WARP_WORDS[plan.choices.warp]}</td>
				{/each}
			</tr>
			<tr>
				<th scope="row" class="sub label">Supply</th>
				{#each columns as { school, plan } (school)}
					<td class:chosen={school === bench.cut.school}>
						<State verdict={plan.stations.supply.verdict} word={supplyWord(plan)} size={14} />
					</td>
				{/each}
			</tr>
		</tbody>
	</table>
	<p class="mt-1.5 text-[0.9375rem]" data-testid="school-advice">
		{schoolAdvice(bench.schools, bench)}
	</p>
</section>

<style>
	.chosen {
		background: var(--arc-wash);
	}
	.label {
		width: 30%;
		padding-right: 6px;
		text-align: left;
		font-weight: 400;
	}
	.h.label {
		font-weight: 700;
	}
	tbody :is(td, th) {
		padding-block: 3px;
	}
	td {
		padding-inline: 8px;
		overflow-wrap: anywhere;
	}
</style>
