<script lang="ts">
	import { undoEntry } from '$lib/state/logbook';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { LogLine } from '$lib/state/workbenchData';
	import { NAMES, type ChangeSide, type FigureId } from '$lib/core';
	import { entryWords } from '$lib/components/Wear/words';
	import { dayAndTime } from '$lib/formats/days';

	/** What was measured on this bench, each with a way back, and what the last one moved. */
	let { kind = 'supply' }: { kind?: 'supply' | 'test-cut' | 'scrap' } = $props();
	const bench = getWorkbench();
	const kindOf = ({ entry }: LogLine) =>
		entry.kind === 'test-cut'
			? entry.kind
			: entry.kind === 'scrap' || entry.kind === 'kerf'
				? 'scrap'
				: 'supply';
	const TITLES = {
		supply: 'Measured here',
		'test-cut': 'Test cuts that count',
		scrap: 'Kerfs that count'
	} as const;
	const lines = $derived(bench.measured.filter((line) => kindOf(line) === kind));
	function say(id: FigureId, { value, basis, band }: ChangeSide): string {
		const { quantity } = NAMES[id];
		const between = band
			? ` (${bench.show(band[0], quantity).text}–${bench.show(band[1], quantity).text})`
			: '';
		return `${bench.say(value, quantity)}${between} ${basis}`;
	}
	/** What looks the same on the screen did not move. */
	const changes = $derived(
		(bench.moved?.changes ?? []).filter((c) => say(c.id, c.from) !== say(c.id, c.to))
	);
</script>

{#if bench.moved}
	<div class="mt-2 border-l-[6px] py-1 pl-3" style:border-color="var(--arc)" data-testid="moved">
		<b>{bench.moved.title}</b> <span class="sub">What it changed:</span>
		{#if changes.length === 0}<p class="sub">Nothing that shows.</p>{/if}
		<ul class="text-[0.9375rem]">
			{#each changes as change (change.id)}
				<li>
					{change.label}: <span class="fig text-[1.125rem]">{say(change.id, change.from)}</span> →
					<span class="fig text-[1.125rem]">{say(change.id, change.to)}</span>
				</li>
			{/each}
		</ul>
	</div>
{/if}
{#if lines.length}
	<h3 class="mt-2 font-semibold">{TITLES[kind]}</h3>
	<ul data-testid="measured">
		{#each lines as line (line.id)}
			{@const words = entryWords(line.entry, bench)}
			<li
				class="flex min-h-[44px] items-center gap-3 border-t text-[0.9375rem]"
				style:border-color="var(--rule)"
			>
				<span class="sub w-[92px] shrink-0">{dayAndTime(line.at)}</span>
				<span class="grow">{words}</span>
				<button
					type="button"
					class="btn"
					aria-label="Take back: {words}"
					onclick={() => void undoEntry(bench, line.id)}>Take back</button
				>
			</li>
		{/each}
	</ul>
{/if}
