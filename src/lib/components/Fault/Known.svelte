<script lang="ts">
	import Balloon from '$lib/components/Balloon/Balloon.svelte';
	import type { FinderView } from '$lib/state/finder.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What the bench knew before anybody looked, and which way it speaks. */
	let { view }: { view: FinderView } = $props();
	const bench = getWorkbench();
	const speaks = (id: string) => {
		const { up, down } = view.file.bench.find((one) => one.id === id)!;
		const names = (ids: string[]) =>
			ids
				.slice(0, 2)
				.map((cause) => view.causeOf(cause)?.name.toLowerCase())
				.join(', ');
		return up.length ? `for: ${names(up)}` : `against: ${names(down)}`;
	};
</script>

<section aria-label="The bench knew already">
	<h2 class="h">The bench knew already</h2>
	<ul>
		{#each view.known as { id, text, figure } (id)}
			<li class:out={!view.counts(id)}>
				<span class="grow"
					>{bench.sayAll(text)} <span class="sub">{speaks(id)}</span>
					{#if figure}<Balloon id={figure} />{/if}</span
				>
				<button
					type="button"
					class="btn"
					aria-pressed={!view.counts(id)}
					onclick={() => view.count(id, !view.counts(id))}
					>{view.counts(id) ? 'leave out' : 'count it'}<span class="sr-only">
						: {bench.sayAll(text)}</span
					></button
				>
			</li>
		{:else}
			<li class="sub">Nothing yet: what Supply, Setup and Wear are told speaks here.</li>
		{/each}
	</ul>
</section>

<style>
	li {
		display: flex;
		align-items: center;
		gap: 8px;
		min-height: 46px;
		border-bottom: 1px solid var(--rule);
	}
	.out .grow {
		text-decoration: line-through;
	}
</style>
