<script lang="ts">
	/** End of the torch with its arc, drawn from where the arc meets the metal. */
	let { x, y, leanDeg }: { x: number; y: number; /** From upright. */ leanDeg: number } = $props();
</script>

<g transform="translate({x} {y}) rotate({leanDeg})">
	<path d="M0 0V-36" stroke="var(--arc)" stroke-width="9" stroke-linecap="round" />
	<path d="M0 0V-36" stroke="#fff" stroke-width="2.6" stroke-linecap="round" />
	<path
		d="M-20 -136H20V-80L10 -38H-10L-20 -80Z"
		fill="var(--steel2)"
		stroke="var(--ink)"
		stroke-width="2"
	/>
</g>
