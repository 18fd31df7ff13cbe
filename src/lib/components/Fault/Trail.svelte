<script lang="ts">
	import type { FinderView } from '$lib/state/finder.svelte';

	/** What was looked at; any answer can be changed, and all is worked out again. */
	let { view }: { view: FinderView } = $props();
	const NEXT = { yes: 'no', no: 'unsure', unsure: 'yes' } as const;
	const said = (look: string, answer: 'yes' | 'no' | 'unsure') => {
		const { yes, no } = view.lookOf(look)!;
		return answer === 'yes' ? yes : answer === 'no' ? no : 'could not tell';
	};
	const shown = $derived(view.answers.filter(({ look }) => view.lookOf(look)));
</script>

<section aria-label="Looked so far" data-testid="trail">
	<h2 class="h">Looked so far <span class="sub">any answer can be changed</span></h2>
	<ol>
		{#each shown as { look, said: answer } (look)}
			<li>
				<span class="grow">{view.lookOf(look)!.ask}</span>
				<b>{said(look, answer)}</b>
				<button type="button" class="btn" onclick={() => view.answer(look, NEXT[answer])}
					>change<span class="sr-only">: {view.lookOf(look)!.ask}</span></button
				>
				<button type="button" class="btn" onclick={() => view.takeBack(look)}
					>take back<span class="sr-only">: {view.lookOf(look)!.ask}</span></button
				>
			</li>
		{:else}
			<li class="sub">Nothing yet.</li>
		{/each}
		{#each view.inVain as cause (cause)}
			<li>
				<span class="grow">Mended, and as before: {view.causeOf(cause)?.name}</span>
				<button type="button" class="btn" onclick={() => view.tryAgain(cause)}
					>take back<span class="sr-only">: {view.causeOf(cause)?.name}</span></button
				>
			</li>
		{/each}
	</ol>
</section>

<style>
	.grow {
		flex: 1 1 15rem;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 6px 10px;
		min-height: 46px;
		padding: 2px 0;
		border-bottom: 1px solid var(--rule);
	}
</style>
