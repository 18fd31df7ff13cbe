<script lang="ts">
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** String by string: a press or an arrow key makes one the string of now. */
	let { now, go }: { now: number; go: (to: number) => void } = $props();
	const bench = getWorkbench();
	const plan = $derived(bench.calmPlan);
	const groove = $derived(plan.groove!);
	let list = $state<HTMLOListElement>();
	function step(event: KeyboardEvent) {
		const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
		if (by === 0) return;
		event.preventDefault();
		const to = Math.min(groove.strings.length, Math.max(0, now + by));
		go(to);
		list?.querySelectorAll<HTMLButtonElement>('button')[to]?.focus();
	}
</script>

<section aria-label="String by string">
	<h2 class="h">String by string</h2>
	<p class="sub">
		{bench.sayFigure('gouge.areaMm2', plan)} of {bench.sayFigure('gouge.wholeMm2', plan)} is gouged,
		{bench.sayFigure('gouge.slagG', plan)} of slag; {bench.sayFigure('gouge.standsMm', plan)} are left
		to grind.
	</p>
	<ol bind:this={list} class="mt-1 flex flex-wrap gap-1.5" data-testid="strings">
		{#each groove.strings as string, i (i)}
			<li>
				<button
					type="button"
					class="btn h-auto min-h-16 flex-col items-start py-1 text-left"
					class:btn-primary={i === now}
					aria-pressed={i === now}
					onkeydown={step}
					onclick={() => go(i)}
				>
					<span>String {i + 1}{i < now ? ' ✓' : ''}</span>
					<span class="fig text-[1.5rem]">{bench.say(groove.stringS[i]!, 'time')}</span>
					<span class="text-[0.875rem] font-normal"
						>{bench.say(string.speedMmS, 'speed')}{string.weaveMm > 0.4
							? `, weave ${bench.say(string.weaveMm, 'small')}`
							: ''}</span
					>
				</button>
			</li>
		{/each}
		<li>
			<button
				type="button"
				class="btn h-auto min-h-16 flex-col items-start py-1 text-left"
				class:btn-primary={now === groove.strings.length}
				aria-pressed={now === groove.strings.length}
				onkeydown={step}
				onclick={() => go(groove.strings.length)}
			>
				<span>Afterwards</span>
				<span class="fig text-[1.5rem]">grind</span>
				<span class="text-[0.875rem] font-normal">to bright metal</span>
			</button>
		</li>
	</ol>
</section>
