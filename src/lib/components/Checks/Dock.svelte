<script lang="ts">
	import Mark from '$lib/components/Marks/Mark.svelte';
	import type { Preflight } from '$lib/state/preflight.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import LookDrawing from './LookDrawing.svelte';

	/** What is looked at now, and the two big answers; the thumb never leaves it. */
	let { view }: { view: Preflight } = $props();
	const bench = getWorkbench();
	const PAGES = {
		'/supply': 'Supply',
		'/setup': 'Setup',
		'/cut': 'Cut',
		'/gouge': 'Gouge',
		'/wear': 'Wear',
		'/bench': 'This bench'
	} as const;
	const now = $derived(view.now);
	const said = $derived(now ? view.of(now) : undefined);
	const toSign = $derived(
		view.lists.filter(({ id }) => view.ready(id) && !view.signedAt(id)).map(({ id }) => id)
	);
	const why = $derived(
		toSign.length
			? ''
			: view.wrong.length
				? 'first mend what is not so'
				: view.toTick
					? `when ${view.toTick === 1 ? 'the last one is' : `all ${view.toTick} are`} looked at`
					: 'done'
	);
</script>

<aside aria-label="Now" class="dock">
	{#if now}
		<div class="what" aria-live="polite">
			<h2>{bench.sayAll(now.ask)}</h2>
			{#if now.draw}<div class="pic"><LookDrawing what={now.draw} /></div>{/if}
			<p data-testid="why">{now.why}</p>
			{#if said === 'no'}
				<div class="remedy" data-testid="remedy">
					<p>
						<Mark verdict={now.held.verdict} size={18} />
						<b>{now.held.verdict === 'stops' ? 'Not so: no arc before it is mended.' : 'Not so.'}</b
						>
						{now.remedy}
						{#if now.page}<a class="link" href="{now.page}?{bench.search}">Open {PAGES[now.page]}</a
							>{/if}
					</p>
				</div>
			{/if}
		</div>
	{:else}
		<p class="what text-[1.125rem] font-semibold">
			{view.wrong.length ? 'Looked at all; mend what is not so.' : 'All looked at.'}
		</p>
	{/if}
	<div class="keys">
		<button type="button" class="yes btn btn-primary" disabled={!now} onclick={() => view.yes()}>
			{said === 'no' ? 'Mended, is so' : 'Yes'} <kbd class="kbd kbd-sm">Space</kbd>
		</button>
		{#if now && said === 'no' && now.held.verdict === 'tight'}
			<button type="button" class="no btn" onclick={() => view.despite(now)}>Go on with it</button>
		{:else}
			<button
				type="button"
				class="no btn"
				disabled={!now || said === 'no'}
				onclick={() => void view.notSo()}>Not so <kbd class="kbd kbd-sm">N</kbd></button
			>
		{/if}
		<button type="button" class="btn" disabled={!view.canUndo} onclick={() => view.undo()}
			>Undo <kbd class="kbd kbd-sm">Z</kbd></button
		>
		<button
			type="button"
			class="btn"
			disabled={toSign.length === 0}
			onclick={() => void view.signOff()}>Sign off</button
		>
	</div>
	<p class="sub" data-testid="sign-why">
		{why === 'done' ? 'Signed off.' : why && `Sign off: ${why}.`}
	</p>
</aside>

<style>
	.dock {
		border-left: 2px solid var(--ink);
		padding: 8px 0 0 16px;
	}
	/* The keys stay where they are, whatever is looked at. */
	.what {
		min-height: 18.5rem;
	}
	h2 {
		font-size: 1.25rem;
		font-weight: 700;
		line-height: 1.15;
	}
	.pic {
		margin: 4px 0;
	}
	.remedy {
		margin-top: 8px;
		padding: 8px 12px;
		background: var(--spark-wash);
		border-left: 6px solid var(--tight);
	}
	.remedy :global(svg) {
		display: inline;
		vertical-align: -3px;
	}
	.keys {
		display: grid;
		grid-template-columns: 1.7fr 1fr;
		gap: 8px;
		margin: 10px 0 4px;
	}
	.keys :global(.btn) {
		height: 64px;
		font-size: 1.0625rem;
	}
	.keys :global(.no) {
		flex-direction: column;
		gap: 2px;
	}
	.keys :global(.yes),
	.keys :global(.no) {
		height: 88px;
	}
	.keys :global(.yes) {
		font-size: 1.5rem;
	}
	@media (max-width: 899px) {
		.dock {
			position: sticky;
			bottom: 0;
			z-index: 10;
			margin: 0 -12px;
			border-left: 0;
			border-top: 2px solid var(--ink);
			padding: 8px 12px;
			background: var(--sheet);
		}
		.pic {
			display: none;
		}
		.keys :global(.kbd) {
			display: none;
		}
		.keys {
			grid-template-columns: 1.7fr 1fr;
		}
		.what {
			min-height: 0;
			max-height: 32vh;
			overflow: auto;
		}
	}
	@media print {
		.dock {
			display: none;
		}
	}
</style>
