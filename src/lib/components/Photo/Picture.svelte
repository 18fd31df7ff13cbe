<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { PhotoSize } from '$lib/formats/photo';
	import type { Point } from '$lib/core/photo/ellipse';

	/** A picture, or a part of it, with a drawing over it in the pixels of the picture. */
	let {
		url,
		size,
		part,
		words,
		pointed,
		children
	}: {
		url: string;
		size: PhotoSize;
		/** What of it is shown. */
		part: { x: number; y: number; width: number; height: number };
		words: string;
		pointed?: (at: Point) => void;
		/** Gets how many pixels of the picture one of the screen is. */
		children: Snippet<[number]>;
	} = $props();
	let widthPx = $state(0);
	const scale = $derived(part.width / Math.max(widthPx, 1));
	let box: HTMLDivElement;
	function point(event: MouseEvent) {
		const { left, top } = box.getBoundingClientRect();
		pointed?.({
			x: part.x + (event.clientX - left) * scale,
			y: part.y + (event.clientY - top) * scale
		});
	}
</script>

<!-- The handles over it serve the keys. -->
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
<div
	bind:this={box}
	bind:clientWidth={widthPx}
	class="picture"
	style:aspect-ratio="{part.width} / {part.height}"
	onclick={pointed && point}
>
	<img
		src={url}
		alt={words}
		style:width="{(100 * size.width) / part.width}%"
		style:left="{(-100 * part.x) / part.width}%"
		style:top="{(-100 * part.y) / part.height}%"
	/>
	<svg viewBox="{part.x} {part.y} {part.width} {part.height}">{@render children(scale)}</svg>
</div>

<style>
	.picture {
		position: relative;
		overflow: hidden;
		width: 100%;
		background: var(--ink);
	}
	img {
		position: absolute;
		max-width: none;
		height: auto;
		user-select: none;
	}
	svg {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
	}
</style>
