<script lang="ts">
	import { tick, untrack } from 'svelte';
	import Correct from '$lib/components/Log/Correct.svelte';
	import FromCsv from '$lib/components/Log/FromCsv.svelte';
	import FoundTable from '$lib/components/Log/FoundTable.svelte';
	import Steps from '$lib/components/Log/Steps.svelte';
	import { dayAndYear, dayOf } from '$lib/formats/days';
	import { LogView } from '$lib/state/logView.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const bench = getWorkbench();
	const view = untrack(() => new LogView(() => bench.benchId, data.text, data.found));
	const { found, entries } = $derived(view.page);
	let opened = $state<number | undefined>();
	const row = $derived(entries.find(({ id }) => id === opened));
	let field = $state<HTMLInputElement>();

	// Another bench, something logged or taken back by whatever way: the same question again.
	const news = $derived({ benchId: bench.benchId, revision: bench.revisions.log });
	let known = untrack(() => news);
	$effect(() => {
		if (news.benchId !== known.benchId) void view.first();
		else if (news.revision !== known.revision) void view.again();
		known = news;
	});
	const KINDS = [
		['All', ''],
		['Cuts', 'cuts'],
		['Failed', 'failed'],
		['Pits', 'pits'],
		['Bores', 'bores'],
		['Looked', 'looked'],
		['Measured', 'measured']
	] as const;
	const kindNow = $derived(
		KINDS.find(([, word]) => word !== '' && view.text.split(/\s+/).includes(word))?.[1] ?? ''
	);
	function kind(word: string) {
		const rest = view.text
			.split(/\s+/)
			.filter((one) => !KINDS.some(([, known]) => known === one))
			.join(' ');
		view.find([word, rest].filter(Boolean).join(' '));
	}
	let panel = $state<HTMLElement>();
	let top = $state<HTMLElement>();
	/** On a phone the panel stands above the list. */
	async function open(id: number) {
		opened = id;
		await tick();
		panel?.scrollIntoView({ block: 'nearest' });
		panel?.querySelector<HTMLElement>('input')?.focus();
	}
	function done() {
		opened = undefined;
		void view.again();
		field?.focus();
	}
</script>

<svelte:head><title>Log · {bench.bench.name} · Steady Arc</title></svelte:head>
<svelte:window
	onkeydown={(e) => {
		if (e.key !== '/' || e.target instanceof HTMLInputElement) return;
		e.preventDefault();
		field?.focus();
	}}
/>

<div class="log">
	<div class="min-w-0 px-6 pt-2 pb-4 max-[899px]:px-3">
		<div class="flex flex-wrap items-end gap-2">
			<div class="min-w-60 grow">
				<label class="sub block" for="log-text"
					>Find: thickness, amps, metal, start, date, or what it was for
					<kbd class="by-keys kbd kbd-sm">/</kbd></label
				>
				<input
					id="log-text"
					bind:this={field}
					class="input w-full text-[1.125rem]"
					type="search"
					autocomplete="off"
					maxlength="200"
					placeholder={bench.units === 'metric' ? '8 mm rolled' : '5/16 in rolled'}
					value={view.text}
					oninput={(e) => view.find(e.currentTarget.value)}
				/>
			</div>
			<a class="btn" href="/wear?{bench.search}">What is left</a>
		</div>
		<div class="mt-2 flex flex-wrap gap-1" role="group" aria-label="Kind">
			{#each KINDS as [label, word] (word)}
				<button
					type="button"
					class="btn"
					class:btn-primary={kindNow === word}
					aria-pressed={kindNow === word}
					onclick={() => kind(word)}>{label}</button
				>
			{/each}
		</div>
		<div
			bind:this={top}
			class="top mt-2 flex flex-wrap items-baseline gap-x-4"
			aria-live="polite"
			data-testid="found"
		>
			<h1 class="fig text-[2.25rem]">
				{found.count} found{#if found.starts > 0}: {bench.say(found.lengthMm / 1000, 'run')}, {found.starts}
					starts{/if}
			</h1>
			{#if found.since}<span class="sub"
					>{bench.say(found.arcMs / 60_000, 'minutes')} of arc since {dayAndYear(
						dayOf(new Date(found.since))
					)}</span
				>{/if}
		</div>
		{#if view.problem}<p role="alert" style:color="var(--stops)">{view.problem}</p>{/if}
		{#if found.count === 0}
			<p>Nothing found. Fewer words find more; “All” shows everything.</p>
		{:else}
			<FoundTable {view} {opened} {open} {top} />
		{/if}
		<div class="mt-3 flex flex-wrap items-start gap-2 print:hidden">
			<a
				class="btn"
				href="/api/log/csv?bench={bench.benchId}&q={encodeURIComponent(view.text)}"
				download>Out as CSV</a
			>
			<FromCsv done={() => void view.again()} />
			<button type="button" class="btn" onclick={() => print()}>Print</button>
		</div>
	</div>
	<aside class="panel print:hidden" class:first={row !== undefined} bind:this={panel}>
		{#if row}{#key row.id}<Correct {row} {done} />{/key}{/if}
		<Steps done={() => void view.again()} />
	</aside>
</div>

<style>
	.log {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 360px;
	}
	.top {
		/* Below the line, which stays in view. */
		scroll-margin-top: 100px;
	}
	.panel {
		display: grid;
		align-content: start;
		gap: 16px;
		padding: 12px 24px 12px 16px;
		border-left: 2px solid var(--ink);
	}
	@media (max-width: 899px) {
		.log {
			grid-template-columns: minmax(0, 1fr);
		}
		.panel {
			border-left: 0;
			padding: 12px;
		}
		.panel.first {
			order: -1;
		}
	}
</style>
