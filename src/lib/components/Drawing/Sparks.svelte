<script lang="ts">
	/** A sheaf of sparks of three weights, out of one point, turned clockwise from straight down. */
	let {
		sparks,
		x,
		y,
		turnDeg
	}: { /** Of `sparkPaths`. */ sparks: readonly string[]; x: number; y: number; turnDeg: number } =
		$props();
</script>

<g
	transform="translate({x} {y}) rotate({turnDeg})"
	stroke="var(--spark)"
	stroke-linecap="round"
	fill="none"
>
	{#each sparks as d, i (i)}<path {d} stroke-width={1.25 + i * 0.7} />{/each}
</g>
