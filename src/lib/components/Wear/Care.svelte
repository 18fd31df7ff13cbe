<script lang="ts">
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Fold from '$lib/components/Fields/Fold.svelte';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { CARE_DAYS, type CareDue, type CareKind } from '$lib/core/care/care';
	import { CARE_WORDS } from '$lib/formats/careWords';
	import { CareView } from '$lib/state/care.svelte';
	import { logEntry } from '$lib/state/logbook';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { dayAndYear, dayOf } from '$lib/formats/days';

	/** What is to be looked after, the soonest first; one press tells that it was done. */
	const bench = getWorkbench();
	const view = new CareView(bench);
	$effect(() => {
		void bench.benchId;
		void bench.revisions.log;
		void view.ask();
	});
	const days = (n: number) => (n === 1 ? '1 day' : `${n} days`);
	const when = ({ lastMs, inDays }: CareDue) =>
		lastMs === null
			? 'never noted'
			: inDays < 0
				? `${days(-inDays)} late`
				: inDays === 0
					? 'today'
					: inDays === 1
						? 'tomorrow'
						: `in ${days(inDays)}`;
	const every = ({ everyDays, byArc }: CareDue) =>
		byArc ? 'by hours of arc' : everyDays === 1 ? 'every day' : `every ${days(everyDays)}`;
	const did = (kind: CareKind, againDays?: number) =>
		logEntry(
			bench,
			{ kind: 'care', did: kind, ...(againDays !== undefined && { againDays }) },
			`${CARE_WORDS[kind].done[0]!.toUpperCase()}${CARE_WORDS[kind].done.slice(1)} logged.`
		);
</script>

<section aria-label="Looking after it">
	{#if view.problem}<p role="alert">{view.problem}</p>{/if}
	{#if view.care}
		<ul>
			{#each view.care as one (one.kind)}
				{@const { name, how } = CARE_WORDS[one.kind]}
				<li>
					<div class="grow">
						<b>{name}</b><br /><span class="sub">{how}</span>
					</div>
					<p class="when" data-testid="care-{one.kind}">
						<span class="inline-flex items-center gap-1"
							>{#if one.inDays <= 0}<Mark verdict="tight" size={16} />{/if}
							<b class="text-[1.125rem]">{when(one)}</b></span
						><br />
						<span class="sub"
							>{every(one)}{#if one.lastMs !== null}, last {dayAndYear(
									dayOf(new Date(one.lastMs))
								)}{/if}</span
						>
					</p>
					<button type="button" class="btn btn-xl" onclick={() => void did(one.kind)}>Done</button>
					<Fold summary="Own rhythm">
						<QuantityField
							label="Done now, again in so many days"
							quantity="count"
							optional
							placeholder="as usual"
							value={null}
							range={CARE_DAYS}
							commit={(n) => {
								if (n === null) return;
								if (!Number.isInteger(n)) return 'whole days';
								void did(one.kind, n);
							}}
						/>
					</Fold>
				</li>
			{/each}
		</ul>
	{/if}
	<a class="btn mt-2" href="/care.ics" download>Into a calendar (whole shop)</a>
	<p class="sub mt-1">
		The file holds these days and those on which the last of a part goes; taking it in again puts
		the newer days in place. Draining and gel are common practice; months and hours of arc are ours:
		the maker’s book comes first.
	</p>
</section>

<style>
	li {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 15rem auto minmax(12rem, auto);
		align-items: center;
		gap: 4px 16px;
		border-top: 1px solid var(--rule);
		padding: 6px 0;
	}
	@media (max-width: 899px) {
		li {
			grid-template-columns: minmax(0, 1fr) auto;
		}
		li > div,
		li > :global(details) {
			grid-column: 1 / -1;
		}
	}
</style>
