<script lang="ts">
	import { FAILED_AT_ONCE_MOST } from '$lib/core/evidence/entries/work';
	import { cutsAtOnce, pierceOf } from '$lib/core/studies/madeCuts';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import Stepper from '$lib/components/Fields/Stepper.svelte';
	import { keepWho, WHAT_FOR_MOST, WHO_MOST } from '$lib/state/who';
	import { logCut, logStart, undoEntry } from '$lib/state/logbook';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { entryWords } from './words';

	/** One gesture, one entry; the newest can be taken back. */
	const bench = getWorkbench();
	const last = $derived(bench.lastEntry);
	const { counted } = $derived(bench);
	const most = $derived(cutsAtOnce(bench.plan));
	const { startMethod, starts } = $derived(bench.plan.choices);
	/** Started another way now and then: only where the plan does not pierce each one anyway. */
	const mayPierce = $derived(
		startMethod !== 'pierce' && startMethod !== 'rolled' && pierceOf(starts) !== undefined
	);
	const lineMm = $derived(bench.plan.figures['setup.lineMm'].value);
	const besides = $derived(
		counted.failed === 0
			? ''
			: counted.failed === 1
				? ' and 1 failed start'
				: ` and ${counted.failed} failed starts`
	);
	function count(change: Partial<typeof counted>) {
		const next = { ...counted, ...change };
		bench.counted = { ...next, pierced: Math.min(next.pierced, next.cuts) };
	}
</script>

<section aria-label="Log it" class="min-w-0">
	<div class="flex items-center gap-3">
		<h2 class="h whitespace-nowrap">Log it</h2>
		{#if last}
			<span class="sub min-w-0 grow truncate" data-testid="last-entry"
				>last: {entryWords(last.entry, bench)}</span
			>
			<button
				type="button"
				class="btn btn-ghost whitespace-nowrap underline"
				onclick={() => void undoEntry(bench, last.id)}>Take the last back</button
			>
		{/if}
	</div>
	{#if bench.canLogCut}
		<div class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
			<Stepper
				label="Such cuts"
				value={counted.cuts}
				least={1}
				{most}
				set={(cuts) => count({ cuts })}
			/>
			{#if mayPierce}
				<Stepper
					label="pierced, of them"
					value={counted.pierced}
					least={0}
					most={counted.cuts}
					set={(pierced) => count({ pierced })}
				/>
			{/if}
			<Stepper
				label="failed starts, besides"
				value={counted.failed}
				least={0}
				most={FAILED_AT_ONCE_MOST}
				set={(failed) => count({ failed })}
			/>
		</div>
	{/if}
	{#if bench.canLogCut}
		<div class="mt-1 grid max-w-md grid-cols-[2fr_1fr] gap-2">
			<TextField
				label="What for (may stay empty)"
				value={bench.whatFor}
				most={WHAT_FOR_MOST}
				commit={(text) => void (bench.whatFor = text.trim())}
			/>
			<TextField
				label="Who"
				value={bench.who}
				most={WHO_MOST}
				commit={(text) => void keepWho(bench, text.trim())}
			/>
		</div>
	{/if}
	<div class="mt-2 flex flex-wrap gap-2">
		{#if bench.canLogCut}
			<button type="button" class="btn grow btn-primary btn-xl" onclick={() => void logCut(bench)}
				>{counted.cuts === 1 ? 'Log this cut' : `Log ${counted.cuts} cuts`}, {bench.say(
					lineMm! * counted.cuts,
					'length'
				)}{besides}
				<kbd class="kbd kbd-sm">L</kbd></button
			>
		{:else}
			<p class="sub grow self-center">This cut does not go through: there is nothing to log.</p>
		{/if}
		<button type="button" class="btn btn-xl" onclick={() => void logStart(bench)}
			>One failed start <kbd class="kbd kbd-sm">K</kbd></button
		>
	</div>
</section>
