<script lang="ts">
	import type { PhotoOf } from './words';

	/** How the picture is taken, with one that is drawn to try. */
	let { of, tryDrawn }: { of: PhotoOf; tryDrawn: () => void } = $props();
	const HOW = {
		nozzle: [
			'Wipe the face; lay it on something plain, face up.',
			'Straight down, close enough that the face fills half the picture. Tap the bore to focus.',
			'Daylight or a lamp from aside. No flash.'
		],
		edge: [
			'Plate on a plain ground, top edge up, the edge across the picture.',
			'Straight onto the edge, top and bottom edge both in it.',
			'Light that grazes the edge shows its lines. No flash.'
		],
		end: [
			'Look at the end of the plate, where the cut side is seen on edge.',
			'The plate lies level across the picture, the cut side stands up in it.',
			'Straight on, plain ground behind.'
		],
		kerf: [
			'Cut a slot in from the edge and stop halfway, so that its two halves still hold together. Brush it.',
			'Lay a rule flat on the plate, square across the slot: a steel one, or the printed one.',
			'Straight down: the slot stands up in the picture, the lines of the rule run across it. Dark below the plate, no flash.'
		]
	} as const satisfies Record<PhotoOf, readonly string[]>;
</script>

<div class="sides">
	<div>
		<ol class="how">
			{#each HOW[of] as step (step)}<li>{step}</li>{/each}
		</ol>
		<p class="sub mt-3 max-w-3xl">
			The picture is read on this device; it goes to the server only if you keep it beside the log. {#if of === 'nozzle'}Nothing
				else is a scale here: a coin or a rule that lies one millimetre nearer to the lens than the
				bore reads one hundredth wrong at a hand’s breadth.{/if}
		</p>
	</div>
	<figure>
		<img src="/examples/{of}.jpg" alt="" class="like" />
		<figcaption class="mt-2 flex flex-wrap items-center gap-3">
			<span class="sub">About like this; it is drawn.</span>
			<button type="button" class="btn" onclick={tryDrawn}>Try a drawn one</button>
		</figcaption>
	</figure>
</div>

<style>
	.like {
		width: 100%;
		max-height: 320px;
		object-fit: contain;
		object-position: left;
	}
	.how {
		list-style: decimal inside;
		font-size: 1.25rem;
		line-height: 1.4;
	}
	li {
		margin-bottom: 10px;
	}
</style>
