<script lang="ts">
	import FigureList from '$lib/components/Balloon/FigureList.svelte';

	/** The figures behind a groove. */
</script>

<FigureList
	size={29}
	columns
	rows={[
		{ id: 'gouge.deepestPassMm' },
		{ id: 'gouge.depthPerPassMm' },
		{ id: 'gouge.areaMm2' },
		{ id: 'gouge.removalKgH' }
	]}
/>
<p class="sub">
	Flatter is shallower, steeper is deeper; for more width take more passes or weave (common
	practice). These figures are our own model until you cut one test groove: start on scrap.
</p>
