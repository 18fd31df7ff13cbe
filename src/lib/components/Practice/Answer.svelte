<script lang="ts">
	import Sparks from '$lib/components/Drawing/Sparks.svelte';
	import { sparkPaths } from '$lib/components/Drawing/scatter';

	/** The section answers at once: how far the sparks trail at the speed under the hand. */
	let { lagDeg, still }: { lagDeg: number; still: boolean } = $props();
	const sparks = sparkPaths({ seed: 5, count: 30, lengthPx: 90, spreadRad: 0.3 });
	/** The last lag line on the edge, as bent as the sparks. */
	const shown = $derived(still ? 22 : lagDeg);
</script>

<svg viewBox="0 0 340 170" class="block w-full max-w-[460px]" aria-hidden="true">
	<path d="M8 30H172V66H8Z" fill="var(--faint)" stroke="var(--ink)" stroke-width="1.8" />
	{#each [30, 56, 82, 108, 134] as x (x)}
		<path d="M{x} 30q-1 20 {-shown / 2.4} 36" fill="none" stroke="var(--ink2)" stroke-width="1.3" />
	{/each}
	<path d="M182 30H332V66H182Z" fill="var(--steel)" stroke="var(--ink)" stroke-width="1.8" />
	<path
		d="M164 0h26v8l-6 18h-14l-6 -18Z"
		fill="var(--steel2)"
		stroke="var(--ink)"
		stroke-width="1.8"
	/>
	<path d="M173 28h8v38h-8Z" fill="var(--arc)" />
	<Sparks {sparks} x={177} y={68} turnDeg={shown} />
	<path d="M177 70v94" stroke="var(--ink)" stroke-width="1.3" stroke-dasharray="5 4" />
</svg>
