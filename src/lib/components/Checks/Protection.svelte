<script lang="ts">
	import { METALS } from '$lib/core';
	import Fig from '$lib/components/Balloon/Fig.svelte';
	import { COATING_CAUTIONS, coatsTold } from '$lib/core/metal/coatings';
	import { CLEAR_WORDS, shades, SPARKS_WORDS } from '$lib/core/safety/shade';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Shade by both tables, for cutting and for gouging; what is in the fume; how far sparks carry. */
	const bench = getWorkbench();
	const { cut } = $derived(bench);
	const system = $derived(bench.bench.supply.system);
	const rows = $derived(
		(
			[
				['Cutting', 'setup.currentA', 'setup.shade'],
				...(cut.gouge.asked ? [['Gouging', 'gouge.currentA', 'gouge.shade'] as const] : [])
			] as const
		).map(([name, at, shade]) => {
			const outputA = bench.plan.figures[at].value;
			return { name, at, shade, table: outputA === null ? null : shades(outputA, system) };
		})
	);
	const metal = $derived(cut.metal);
	const coatings = $derived(coatsTold(cut).map((coat) => COATING_CAUTIONS[coat]));
</script>

<section aria-label="Protection" class="grid gap-6 desk:grid-cols-2">
	<div>
		<h3 class="h">Filter shade</h3>
		<table class="table w-full">
			<thead>
				<tr
					><th>For</th><th>Worn here</th><th>ANSI Z49.1</th><th>OSHA</th>{#if system === 'iec'}<th
							>EN 169</th
						>{/if}</tr
				>
			</thead>
			<tbody>
				{#each rows as { name, at, shade, table } (name)}
					<tr>
						<th scope="row">{name}, {bench.sayFigure(at)}</th>
						<td><Fig id={shade} size={34} /></td>
						<td>{table ? `${table.ansiLeast}, ${table.ansiSuggested} suggested` : '–'}</td>
						<td>{table ? `${table.osha}` : '–'}</td>
						{#if system === 'iec'}<td>{table?.en169 ?? 'starts at 60 A'}</td>{/if}
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="sub mt-1">
			The darkest that applies is worn. OSHA allows lighter where the work hides the arc; a lighter
			school finds 3 to 5 comfortable at 20 to 30 A (common practice): gouging has no such
			allowance, its arc is in the open. Tables from memory. Glasses under it, leather gloves,
			sleeves that do not burn, boots, ears.
		</p>
	</div>
	<div>
		<h3 class="h">Fume of {METALS[metal].label.toLowerCase()}</h3>
		<p>
			The fume of any metal harms{METALS[metal].caution ? '.' : ': extract it at the cut.'}
			{METALS[metal].caution}
			{coatings.join(' ')}
		</p>
		<h3 class="h mt-3">Sparks</h3>
		<p>
			Seen to carry {SPARKS_WORDS} (common practice); clear {CLEAR_WORDS} and watch 60 minutes (NFPA 51B),
			30 by OSHA. They fall through cracks, and on below the plate.
		</p>
		<h3 class="h mt-3">Who must not be near</h3>
		<p>
			Pacemakers keep away from cutter, leads and clamp. Beginners only with somebody beside, on
			scrap first. Bystanders are called and turn away.
		</p>
	</div>
</section>
