<script lang="ts">
	import type { FaultFile } from '$lib/core/faults/file';
	import { LAMPS } from '$lib/core/cutter/inputs';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What was seen: the door to the finder. */
	let { file, see }: { file: FaultFile; see: (id: string) => void } = $props();
	const bench = getWorkbench();
	/** What this machine shows, where the person has told how its lamps look. */
	const here = (id: string) =>
		LAMPS.flatMap((lamp) => (id === `lamp-${lamp}` ? bench.bench.cutter.lamps[lamp] : []))[0] ?? '';
</script>

<section class="door" aria-labelledby="seen">
	<h1 id="seen">What do you see?</h1>
	<p class="sub">
		Press the one that fits best. The finder asks where to look, the look that tells most for its
		trouble first, and never for one that needs a cover off. Back to the <a
			class="link"
			href="/checks?{bench.search}">checks</a
		>. How the lamps of your cutter look is told once, at its label in the
		<a class="link" href="/bench?{bench.search}">bench</a>.
	</p>
	<ul>
		{#each file.symptoms as { id, name, help } (id)}
			<li>
				<button type="button" class="btn" onclick={() => see(id)} data-symptom={id}>
					<b>{name}</b><span class="sub">{here(id) ? `On this cutter: ${here(id)}.` : help}</span>
				</button>
			</li>
		{/each}
	</ul>
</section>

<style>
	.door {
		padding: 10px 24px 16px;
	}
	h1 {
		font-family: var(--font-figure);
		font-stretch: 62.5%;
		font-weight: 620;
		font-size: 2.75rem;
		line-height: 1;
	}
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
		gap: 8px;
		margin-top: 10px;
	}
	.btn {
		display: block;
		width: 100%;
		height: auto;
		min-height: 68px;
		padding: 6px 12px;
		text-align: left;
		white-space: normal;
		font-size: 1.0625rem;
	}
	.btn .sub {
		display: block;
		font-weight: 500;
	}
	@media (max-width: 899px) {
		.door {
			padding: 8px 12px;
		}
		ul {
			grid-template-columns: minmax(0, 1fr);
			gap: 6px;
		}
	}
</style>
