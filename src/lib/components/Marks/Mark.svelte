<script lang="ts">
	import type { Verdict } from '$lib/core';

	/** State by shape as well as colour: disc, bow tie, two bars, dashed ring. */
	let { verdict, size = 20 }: { verdict: Verdict; size?: number } = $props();

	const ring = (r: number) => `M${-r} 0a${r} ${r} 0 1 1 ${2 * r} 0a${r} ${r} 0 1 1 ${-2 * r} 0Z`;
	/** One path that changes: nothing comes and goes when a verdict turns under the hand. */
	const SHAPES = {
		holds: { d: ring(7.5), fill: 'var(--holds)', stroke: 'none' },
		tight: {
			d: 'M-9 -8L9 8V-8L-9 8Z',
			fill: 'var(--tight)',
			stroke: 'var(--ink)',
			'stroke-width': 1.5
		},
		stops: { d: 'M-5 -9V9M5 -9V9', fill: 'none', stroke: 'var(--stops)', 'stroke-width': 5 },
		'not set': {
			d: ring(7),
			fill: 'none',
			stroke: 'var(--ink2)',
			'stroke-width': 2,
			'stroke-dasharray': '3 3'
		}
	} as const;
</script>

<svg width={size} height={size} viewBox="-10 -10 20 20" aria-hidden="true" class="flex-none">
	<path stroke-linejoin="round" {...SHAPES[verdict]} />
</svg>
