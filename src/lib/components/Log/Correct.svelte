<script lang="ts">
	import type { Entry } from '$lib/core';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Stepper from '$lib/components/Fields/Stepper.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import { entryWords } from '$lib/components/Wear/words';
	import { dayAndTime } from '$lib/formats/days';
	import type { FoundRow } from '$lib/formats/logFound';
	import { correctEntry, undoEntry } from '$lib/state/logbook';
	import { WHAT_FOR_MOST } from '$lib/state/who';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** One row of the log, to be put right or taken back; the old line stays in the record. */
	let { row, done }: { row: FoundRow; done: () => void } = $props();
	const bench = getWorkbench();
	let entry = $state.raw<Entry>() as Entry;
	let whatFor = $state('');
	$effect.pre(() => {
		entry = row.entry;
		whatFor = row.whatFor ?? '';
	});
	const changed = $derived(entry !== row.entry || whatFor !== (row.whatFor ?? ''));

	/** So many starts instead: the length and the arc were counted with them. */
	function starts(n: number) {
		if (entry.kind !== 'cut') return;
		const times = n / entry.starts;
		entry = { ...entry, starts: n, lengthMm: entry.lengthMm * times, arcS: entry.arcS * times };
	}
	function length(mm: number) {
		if (entry.kind !== 'cut') return;
		entry = { ...entry, lengthMm: mm, arcS: (entry.arcS * mm) / entry.lengthMm };
	}
	let nothing = $state(false);
	async function save() {
		// A button that waited for the field would swallow the first press.
		nothing = !changed;
		if (nothing) return;
		if (await correctEntry(bench, row, entry, whatFor)) done();
	}
	async function takeBack() {
		await undoEntry(bench, row.id);
		done();
	}
</script>

<section aria-label="Correct it">
	<h2 class="h">{dayAndTime(row.at)}</h2>
	<p class="sub">{entryWords(row.entry, bench)}</p>
	<div class="mt-2 grid gap-2">
		{#if entry.kind === 'cut'}
			<Stepper label="Starts" value={entry.starts} least={1} most={1000} set={starts} />
			<QuantityField
				label="Length in all"
				quantity="length"
				value={entry.lengthMm}
				range={[1, 100_000]}
				commit={(mm) => {
					if (mm !== null) length(mm);
				}}
			/>
		{:else if entry.kind === 'start'}
			<Stepper
				label="Failed starts"
				value={entry.times ?? 1}
				least={1}
				most={50}
				set={(times) => (entry = { ...entry, times } as Entry)}
			/>
		{:else if entry.kind === 'pit'}
			<QuantityField
				label="Depth gauge reads"
				quantity="small"
				value={entry.pitMm}
				range={[0, 5]}
				commit={(pitMm) => void (entry = { kind: 'pit', pitMm: pitMm! })}
			/>
		{:else if entry.kind === 'bore'}
			{@const bore = entry}
			<QuantityField
				label="Drill or pin in the bore"
				quantity="small"
				value={bore.boreMm}
				range={[0.3, 8]}
				commit={(boreMm) => void (entry = { ...bore, boreMm: boreMm! })}
			/>
		{:else}
			<p class="sub">
				A measurement is not changed afterwards: take it back, and measure again where it was wrong.
			</p>
		{/if}
		<TextField
			label="What for (may stay empty)"
			value={whatFor}
			most={WHAT_FOR_MOST}
			commit={(text) => void (whatFor = text.trim())}
		/>
		{#if changed}<p>
				Now: <b>{entryWords(entry, bench)}</b>. The old line stays in the record.
			</p>{/if}
		{#if nothing && !changed}<p role="alert">Nothing was changed yet.</p>{/if}
		<div class="flex flex-wrap gap-2">
			<button type="button" class="btn grow btn-primary btn-xl" onclick={() => void save()}
				>Save the correction</button
			>
			<button type="button" class="btn btn-xl" onclick={done}>Leave it</button>
			<button type="button" class="btn btn-xl" onclick={() => void takeBack()}>Take it back</button>
		</div>
	</div>
</section>
