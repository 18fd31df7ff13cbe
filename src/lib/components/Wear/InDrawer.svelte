<script lang="ts">
	import { SUPPLIER_MOST } from '$lib/core/stock/drawer';
	import Fold from '$lib/components/Fields/Fold.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Stepper from '$lib/components/Fields/Stepper.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { DrawerView } from '$lib/state/drawer.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { dayAndYear } from '$lib/formats/days';
	import { STOCK_NAMES } from './words';

	/** What lies in the drawer for this torch, when to order, and when it runs out. */
	const bench = getWorkbench();
	const view = new DrawerView(bench);
	// Parts that are put in come out of the drawer.
	$effect(() => {
		void bench.benchId;
		void bench.revisions.parts;
		void view.ask();
	});
	const useWords = (perWeek: number) =>
		perWeek === 0
			? 'none used yet'
			: perWeek >= 1
				? `${perWeek.toFixed(1)} a week`
				: `one in ${Math.round(1 / perWeek)} weeks`;
</script>

<section aria-label="In the drawer">
	{#if view.problem}<p>{view.problem}</p>{/if}
	{#if view.rows}
		<ul>
			{#each view.rows as row (row.kind)}
				{@const { drawer, stock, revision } = row}
				<li>
					<div class="min-w-32">
						<b>{STOCK_NAMES[row.kind]}</b><br /><span class="sub"
							>{useWords(drawer.usePerWeek)}</span
						>
					</div>
					<Stepper
						label="in the drawer"
						value={stock.count}
						least={0}
						most={10_000}
						set={(count) => void view.count(row, { count })}
					/>
					<p class="grow" data-testid="drawer-{row.kind}">
						{#if revision === 0}
							<span class="sub">nobody has counted them yet</span>
						{:else if drawer.orderNow}
							<span class="inline-flex items-center gap-1 align-middle"
								><Mark verdict="tight" size={16} /> <b>order {drawer.order}</b></span
							>: at {drawer.orderAt} it is time{#if drawer.runsOutOn}, the last goes about
								{dayAndYear(drawer.runsOutOn)}{/if}
						{:else if drawer.orderAt === 0}
							<span class="sub">nothing to order yet</span>
						{:else}
							order at {drawer.orderAt}{#if drawer.runsOutOn}; the last goes about
								{dayAndYear(drawer.runsOutOn)}{/if}
						{/if}
					</p>
					<Fold summary="Packs, price, supplier">
						<div class="grid grid-cols-2 gap-2">
							<Stepper
								label="in a pack"
								value={stock.pack}
								least={1}
								most={1000}
								set={(pack) => void view.count(row, { pack })}
							/>
							<Stepper
								label="order at, at the latest"
								value={stock.minimum}
								least={0}
								most={1000}
								set={(minimum) => void view.count(row, { minimum })}
							/>
							<QuantityField
								label="Weeks until it comes"
								quantity="factor"
								value={stock.leadWeeks}
								range={[0, 52]}
								commit={(leadWeeks) => void view.count(row, { leadWeeks: leadWeeks! })}
							/>
							<QuantityField
								label="give or take, weeks"
								quantity="factor"
								value={stock.leadSpreadWeeks}
								range={[0, 26]}
								commit={(leadSpreadWeeks) =>
									void view.count(row, { leadSpreadWeeks: leadSpreadWeeks! })}
							/>
							<QuantityField
								label="Price of one"
								quantity="factor"
								optional
								placeholder="not said"
								value={stock.price}
								range={[0, 1000]}
								commit={(price) => void view.count(row, { price })}
							/>
							<TextField
								label="From"
								value={stock.supplier}
								most={SUPPLIER_MOST}
								commit={(supplier) => void view.count(row, { supplier: supplier.trim() })}
							/>
						</div>
					</Fold>
				</li>
			{/each}
		</ul>
	{/if}
	<a class="btn mt-2" href="/shopping?bench={bench.benchId}">Shopping list</a>
	<p class="sub mt-1">
		A part that is put in is taken out of the drawer. Order points hold in nineteen of twenty leads:
		by Poisson under one a week, from there on use times lead and 1.65 of its spread.
	</p>
</section>

<style>
	li {
		display: grid;
		grid-template-columns: 9rem auto 1fr minmax(16rem, auto);
		align-items: center;
		gap: 4px 16px;
		border-top: 1px solid var(--rule);
		padding: 6px 0;
	}
	@media (max-width: 899px) {
		li {
			grid-template-columns: 1fr auto;
		}
		li p,
		li > :global(details) {
			grid-column: 1 / -1;
		}
	}
</style>
