<script lang="ts">
	import { sparkWindow } from '$lib/components/Card/words';
	import type { SpeedCurves } from '$lib/core';
	import Graph from '$lib/components/Graph/Graph.svelte';
	import Fold from '$lib/components/Fields/Fold.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import {
		placeOf,
		PLOT,
		speedOption,
		speedTable,
		TICKS,
		type SpeedChartWords
	} from './speedChart';
	import { testPoints } from './testCuts';

	/** The curves themselves, their key and their table. */
	let { curves }: { curves: SpeedCurves } = $props();
	const bench = getWorkbench();
	const ticks = $derived(TICKS[bench.units === 'metric' ? 'metric' : 'imperial']);
	// Not the whole cut: that changes with every step of a handle.
	const metal = $derived(bench.cut.metal);
	const tests = $derived(testPoints(bench.measured, metal));
	const words: SpeedChartWords = $derived({
		thickness: (mm) => bench.show(mm, 'thickness').text,
		speed: (mmS) => bench.show(mmS, 'speed').text,
		amps: (a) => bench.say(a, 'current'),
		thicknessTicksMm: ticks.thicknessMm,
		speedTicksMmS: ticks.speedMmS
	});
	const speedMmS = $derived(bench.plan.figures['setup.speedMmS'].value);
	const here = $derived(
		speedMmS === null
			? undefined
			: placeOf(curves, { thicknessMm: bench.plan.figures['setup.arcMm'].value ?? 0, speedMmS })
	);
	const rows = $derived(speedTable(curves, ticks.thicknessMm));
</script>

<div class="frame">
	<Graph option={(inks) => speedOption(curves, tests, inks, words)} />
	<div
		class="plot"
		style:inset="{PLOT.top}px {PLOT.right}px {PLOT.bottom}px {PLOT.left}px"
		data-testid="speed-here"
	>
		{#if here}<i
				class="here"
				style:left="{(100 * here.left).toFixed(2)}%"
				style:top="{(100 * here.top).toFixed(2)}%"
			></i>{/if}
	</div>
</div>
<ul class="keys">
	<li><i class="round"></i>this cut</li>
	<li><i style:background="var(--arc)"></i>these amps</li>
	<li>
		<i style:background="var(--spark)" style:opacity=".5"></i>{sparkWindow(bench.settings.sparks)}
	</li>
	<li><i style:background="var(--arc-wash)"></i>a hand holds it</li>
	<li>◇ plate rating</li>
	{#if curves.chartRows.length}<li>● your chart, ○ at other amps</li>{/if}
	{#if tests.length}<li>▲ test cut</li>{/if}
	{#if tests.some((t) => !t.through)}<li>✕ not through</li>{/if}
</ul>
<div class="mt-1 flex flex-wrap items-start gap-x-4">
	<a class="btn btn-ghost px-0 underline" href="/chart?{bench.search}"
		>{bench.chart
			? `Your cut chart, ${bench.chart.rows.length} rows`
			: 'No cut chart yet: give yours'}</a
	>
	<div class="grow">
		<Fold summary="As a table">
			<table class="table" data-testid="speed-table">
				<thead>
					<tr>
						<th scope="col">thickness</th>
						{#each curves.curves as { outputA } (outputA)}<th scope="col"
								>{bench.say(outputA, 'current')}</th
							>{/each}
					</tr>
				</thead>
				<tbody>
					{#each rows as row (row.thicknessMm)}
						<tr>
							<th scope="row">{bench.say(row.thicknessMm, 'thickness')}</th>
							{#each row.speedMmS as speed, i (i)}<td>{bench.say(speed, 'speed')}</td>{/each}
						</tr>
					{/each}
				</tbody>
			</table>
		</Fold>
	</div>
</div>

<style>
	.frame {
		position: relative;
		height: 300px;
	}
	.plot {
		position: absolute;
		contain: layout style;
		pointer-events: none;
	}
	.here {
		position: absolute;
		width: 18px;
		height: 18px;
		margin: -9px;
		border: 3px solid var(--sheet);
		border-radius: 50%;
		background: var(--arc);
	}
	.keys i.round {
		width: 12px;
		height: 12px;
		border-radius: 50%;
		background: var(--arc);
		vertical-align: -1px;
	}
	.keys {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 16px;
		font-size: 0.875rem;
		color: var(--ink2);
	}
	.keys i {
		display: inline-block;
		width: 18px;
		height: 8px;
		margin-right: 5px;
	}
</style>
