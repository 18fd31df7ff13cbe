<script lang="ts">
	import FigureList from '$lib/components/Balloon/FigureList.svelte';

	/** The figures behind a groove. */
</script>

<FigureList
	size={29}
	columns
	rows={[
		{ id: 'gouge.removalKgH' },
		{ id: 'gouge.wholeMm2' },
		{ id: 'gouge.areaMm2' },
		{ id: 'gouge.speedMmS' },
		{ id: 'gouge.fastMmS' },
		{ id: 'gouge.widestMm' },
		{ id: 'gouge.pieceS' },
		{ id: 'gouge.jobMin' },
		{ id: 'gouge.heatKJm' },
		{ id: 'gouge.slagG' },
		{ id: 'gouge.standsMm' },
		{ id: 'gouge.leftMm' },
		{ id: 'gouge.keepMm' },
		{ id: 'gouge.piecesLeft' },
		{ id: 'gouge.shade' }
	]}
/>
<p class="sub">
	Flatter is shallower, steeper is deeper; for more width take more strings or weave (common
	practice). These figures are our own model until you cut one test groove: start on scrap.
</p>
