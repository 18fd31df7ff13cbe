<script lang="ts">
	import Sparks from '$lib/components/Drawing/Sparks.svelte';
	import { sparkPaths } from '$lib/components/Drawing/scatter';

	/** Sparks below the plate; the slider bends them as they were seen. */
	let {
		lagDeg,
		set,
		text
	}: { lagDeg: number; set: (deg: number) => void; text: (deg: number) => string } = $props();
	const uid = $props.id();
	const sparks = sparkPaths({ seed: 3, count: 30, lengthPx: 84, spreadRad: 0.3 });
</script>

<svg viewBox="0 0 320 136" class="block w-full max-w-[420px]" aria-hidden="true">
	<path d="M10 22H154L148 42H10Z" fill="var(--faint)" stroke="var(--ink)" stroke-width="1.8" />
	<path d="M166 22H310V42H160Z" fill="var(--steel)" stroke="var(--ink)" stroke-width="1.8" />
	<path d="M156 12h8v20l-8 10Z" fill="var(--arc)" />
	<Sparks {sparks} x={154} y={44} turnDeg={lagDeg} />
	<path d="M154 44v90" stroke="var(--ink)" stroke-width="1.3" stroke-dasharray="5 4" />
	<path d="M196 70h70" stroke="var(--ink)" stroke-width="4" />
	<path d="M262 61l18 9l-18 9Z" fill="var(--ink)" />
	<text x="196" y="94" class="dim">travel</text>
</svg>
<label class="sub" for={uid}>Sparks trail by</label>
<input
	id={uid}
	class="range w-full max-w-[420px] range-primary"
	type="range"
	min="1"
	max="75"
	value={lagDeg}
	aria-valuetext={text(lagDeg)}
	oninput={(e) => set(Number(e.currentTarget.value))}
/>
