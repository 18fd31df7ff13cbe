<script lang="ts">
	import { CHECK_MM, lineMm, PAPER_RULE_MM } from '$lib/core/photo/paperRule';

	/** One strip in true size: its lines run out to the edge along which it is cut. */
	const SIDE_MM = 5;
	const TALL_MM = 18;
	const lines = Array.from({ length: PAPER_RULE_MM + 1 }, (_, mm) => mm);
	const wide = PAPER_RULE_MM + 2 * SIDE_MM;
</script>

<svg
	viewBox="{-SIDE_MM} 0 {wide} {TALL_MM}"
	style:width="{wide}mm"
	role="img"
	aria-label="Paper rule, {PAPER_RULE_MM} mm, a line at every millimetre"
>
	<rect
		x={-SIDE_MM + 0.1}
		y="0.1"
		width={wide - 0.2}
		height={TALL_MM - 0.2}
		fill="none"
		stroke="#000"
		stroke-width="0.15"
	/>
	{#each lines as mm (mm)}
		<line x1={mm} x2={mm} y1="0" y2={lineMm(mm)} stroke="#000" stroke-width="0.2" />
		{#if mm % 10 === 0}
			<text x={mm} y="10.6" text-anchor="middle">{mm}</text>
		{/if}
	{/each}
	<!-- The stretch that is measured. -->
	<path
		d="M0 13.6H{CHECK_MM}M0 12.4V14.8M{CHECK_MM} 12.4V14.8"
		fill="none"
		stroke="#000"
		stroke-width="0.3"
	/>
	<text x={CHECK_MM / 2} y="17.1" text-anchor="middle">measure from line to line</text>
</svg>

<style>
	/* True on the screen too: a phone shows its left end, and prints all of it. */
	svg {
		display: block;
		max-width: none;
	}
	/* Of the paper, in millimetres: not of the screen. */
	text {
		font-size: 3.5px;
		fill: #000;
	}
</style>
