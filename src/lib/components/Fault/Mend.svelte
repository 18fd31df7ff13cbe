<script lang="ts">
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { undoEntry } from '$lib/state/logbook';
	import type { FinderView } from '$lib/state/finder.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** It is found, or trying it tells more than any look; or a technician is called. */
	let { view }: { view: FinderView } = $props();
	const bench = getWorkbench();
	const found = $derived(view.found!);
	const cause = $derived(found.lead ? view.causeOf(found.lead.cause) : undefined);
	const technician = $derived(found.outcome === 'technician' || !cause);
	let told = $state<'mended' | 'open' | undefined>();
	/** They were there before this fault was told: the person decides. */
	const doubtful = $derived(view.doubtful);
	let before = $state.raw<number[]>([]);
	async function tell(so: boolean) {
		if (!cause) return;
		before = doubtful.map(({ id }) => id);
		if (await view.tell(cause.id, so)) told = so ? 'mended' : 'open';
	}
	const aside = $derived(bench.measured.filter(({ id, undone }) => !undone && before.includes(id)));
</script>

{#if told}
	<h1 aria-live="polite">
		{#if bench.waiting.length}
			{told === 'mended' ? 'Mended' : 'Not mended yet'}; the log hears of it when the server
			answers.
		{:else}
			{told === 'mended' ? 'Mended, and in the log.' : 'In the log, not mended yet.'}
		{/if}
	</h1>
	<p class="mt-3">
		{told === 'mended'
			? 'Cut one on scrap before the work goes on.'
			: 'The line says it until it is told to be mended.'}
		Parts that were changed are put in on <a class="link" href="/wear?{bench.search}">Wear</a>.
	</p>
	{#if aside.length}
		<section class="mt-3" aria-label="Test cuts in doubt">
			<h2 class="h">Test cuts since the last sound look</h2>
			<p class="sub">
				The fault may stand behind them. Set aside those that it spoilt; you decide.
			</p>
			<ul>
				{#each aside as line (line.id)}
					<li class="flex flex-wrap items-center gap-3 py-1">
						{#if line.entry.kind === 'test-cut'}
							<span class="grow"
								>{bench.say(line.entry.thicknessMm, 'thickness')}, {bench.say(
									line.entry.outputA,
									'current'
								)}, {bench.say(line.entry.speedMmS, 'speed')}</span
							>
						{/if}
						<button type="button" class="btn" onclick={() => void undoEntry(bench, line.id)}
							>Set aside</button
						>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	<p class="mt-3 flex flex-wrap gap-2">
		<button type="button" class="btn btn-xl" onclick={() => view.startOver()}>Another fault</button>
		<a class="btn btn-xl" href="/checks?{bench.search}">To the checks</a>
	</p>
{:else if technician}
	<h1 class="stop" aria-live="polite">
		<Mark verdict="stops" size={36} /> Stop: call a qualified technician
	</h1>
	<p class="mt-2 text-[1.125rem]">
		{cause ? cause.fix : 'All that may be looked at from outside was looked at.'} Covers stay on; the
		cutter is unplugged, and nobody fires it.
	</p>
	<p class="sub mt-2">
		Tell the technician what was seen ({view.symptom?.name.toLowerCase()}) and what was looked at:
		it stands below.
	</p>
	<p class="mt-3 flex flex-wrap gap-2">
		{#if cause}
			<button type="button" class="btn btn-primary btn-xl" onclick={() => void tell(false)}
				>Log it: out of use</button
			>
			<button type="button" class="btn btn-xl" onclick={() => view.mendedInVain(cause.id)}
				>The technician found nothing</button
			>
		{/if}
		<button type="button" class="btn btn-xl" onclick={() => view.takeBack()}>Back</button>
	</p>
{:else if cause}
	<h1 aria-live="polite" data-testid="called">{cause.name}</h1>
	<p class="mt-2 text-[1.25rem] font-semibold">{cause.fix}</p>
	<p class="sub mt-1">
		{found.outcome === 'called'
			? `It is this, ${bench.say(found.lead!.share, 'share')} sure.`
			: 'No look tells as much as mending it and trying on scrap.'}
	</p>
	<p class="mt-3 flex flex-wrap gap-2">
		<button type="button" class="btn btn-primary btn-xl" onclick={() => void tell(true)}
			>Mended, it works</button
		>
		<button type="button" class="btn btn-xl" onclick={() => view.mendedInVain(cause.id)}
			>Mended, as before</button
		>
		<button type="button" class="btn btn-xl" onclick={() => void tell(false)}
			>Found, mend it later</button
		>
	</p>
	{#if found.next}
		{@const look = found.next.look}
		<div class="look">
			<p><b>Not sure? Look first:</b> {look.ask} <span class="sub">{look.how}</span></p>
			<p class="mt-1 flex flex-wrap gap-2">
				<button type="button" class="btn" onclick={() => view.answer(look.id, 'yes')}
					>{look.yes}</button
				>
				<button type="button" class="btn" onclick={() => view.answer(look.id, 'no')}
					>{look.no}</button
				>
				<button type="button" class="btn" onclick={() => view.answer(look.id, 'unsure')}
					>Could not tell</button
				>
			</p>
		</div>
	{/if}
{/if}

<style>
	h1 {
		margin-top: 10px;
		font-family: var(--font-figure);
		font-stretch: 62.5%;
		font-weight: 620;
		font-size: 2.75rem;
		line-height: 1;
	}
	.stop {
		display: flex;
		align-items: center;
		gap: 12px;
		color: var(--stops);
	}
	.look {
		margin-top: 14px;
		padding: 8px 12px;
		border-left: 6px solid var(--arc);
		background: var(--arc-wash);
	}
	@media (max-width: 899px) {
		h1 {
			font-size: 1.875rem;
		}
	}
</style>
