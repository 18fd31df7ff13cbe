<script lang="ts">
	import Patterns from '$lib/components/Drawing/Patterns.svelte';
	import { BODY, BODY_X, ELECTRODE, ELECTRODE_X, STACK, STACK_PARTS } from './stack';

	/** The set on one axis, in half section. */
	const FILLS = {
		steel: 'var(--steel)',
		steel2: 'var(--steel2)',
		brass: 'var(--brass)',
		copper: 'url(#stack-copper)'
	};
	const y = STACK.axisY;
</script>

<svg
	viewBox="0 0 {STACK.width} {STACK.height}"
	class="block w-full"
	role="img"
	aria-label="Parts of the torch: shield, retaining cap, nozzle, swirl ring, electrode, torch body"
>
	<Patterns prefix="stack" />
	<path
		d="M0 {y}H{STACK.width}"
		stroke="var(--arc)"
		stroke-width="1.6"
		stroke-dasharray="22 6 4 6"
	/>
	<g stroke="var(--ink)" stroke-width="2" stroke-linejoin="round">
		{#each STACK_PARTS as part (part.name)}
			<g transform="translate({part.x} 0)">
				<path d={part.half} fill={FILLS[part.fill]} />
				<path d={part.half} fill={FILLS[part.fill]} transform="matrix(1 0 0 -1 0 {2 * y})" />
			</g>
		{/each}
		<g transform="translate({ELECTRODE_X} 0)">
			<path d={ELECTRODE} fill="url(#stack-copper)" />
			<rect x="-60" y={y - 6} width="26" height="12" fill="var(--ink)" />
		</g>
		<path transform="translate({BODY_X} 0)" d={BODY} fill="var(--faint)" />
	</g>
</svg>
