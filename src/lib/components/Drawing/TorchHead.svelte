<script lang="ts">
	/** Torch head in section with shield, nozzle and electrode; its tip stands at (x, tip). */
	let { x, tip, prefix }: { x: number; tip: number; prefix: string } = $props();
	const shield = $derived(
		`M${x - 62} ${tip - 136}H${x + 62}V${tip - 92}L${x + 40} ${tip - 62}V${tip - 40}L${x + 22} ${tip}H${x + 9}V${tip - 8}L${x + 26} ${tip - 42}V${tip - 62}L${x + 46} ${tip - 94}V${tip - 136}M${x - 62} ${tip - 136}V${tip - 92}L${x - 40} ${tip - 62}V${tip - 40}L${x - 22} ${tip}H${x - 9}V${tip - 8}L${x - 26} ${tip - 42}V${tip - 62}L${x - 46} ${tip - 94}V${tip - 136}Z`
	);
	const nozzle = $derived(
		`M${x - 36} ${tip - 136}V${tip - 90}L${x - 20} ${tip - 56}V${tip - 40}L${x - 12} ${tip - 12}H${x - 3.5}V${tip - 28}L${x - 12} ${tip - 52}V${tip - 62}L${x - 24} ${tip - 92}V${tip - 136}ZM${x + 36} ${tip - 136}V${tip - 90}L${x + 20} ${tip - 56}V${tip - 40}L${x + 12} ${tip - 12}H${x + 3.5}V${tip - 28}L${x + 12} ${tip - 52}V${tip - 62}L${x + 24} ${tip - 92}V${tip - 136}Z`
	);
	const electrode = $derived(
		`M${x - 15} ${tip - 136}V${tip - 66}Q${x - 15} ${tip - 54} ${x - 7} ${tip - 54}H${x + 7}Q${x + 15} ${tip - 54} ${x + 15} ${tip - 66}V${tip - 136}Z`
	);
</script>

<path
	d={shield}
	fill="var(--steel2)"
	stroke="var(--ink)"
	stroke-width="1.6"
	stroke-linejoin="round"
/>
<path d={nozzle} fill="url(#{prefix}-copper)" stroke="var(--ink)" stroke-width="1.4" />
<path d={electrode} fill="var(--copper)" stroke="var(--ink)" stroke-width="1.4" />
<rect x={x - 4} y={tip - 70} width="8" height="16" fill="var(--ink)" />
<path
	d="M{x - 19} {tip - 120}v22m-3 -4l3 5l3 -5M{x + 19} {tip - 120}v22m-3 -4l3 5l3 -5"
	stroke="var(--arc)"
	stroke-width="1.6"
	fill="none"
/>
