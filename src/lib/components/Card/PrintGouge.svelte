<script lang="ts">
	import { METALS } from '$lib/core';
	import { gougeAir, grooveTitle } from '$lib/components/Gouge/words';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { isLight, isSpot } from '$lib/core/gouge/targets';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** A6 landscape, black on white: amps, strings with their seconds, and the change-over of the parts. */
	let { name, day }: { /** Name on the shelf. */ name?: string; /** Planned on. */ day: string } =
		$props();
	const bench = getWorkbench();
	const gouge = $derived(bench.cut.gouge);
	const { figures, groove } = $derived(bench.plan);
	const spot = $derived(isSpot(gouge.target));
	const lightParts = $derived(!bench.plan.choices.gougeNozzle && isLight(gouge.target));
	const amps = $derived(bench.showFigure('gouge.currentA'));
	const strings = $derived(figures['gouge.strings'].value);
	const station = $derived(bench.plan.stations.gouge);
	const metal = $derived(METALS[gouge.metal ?? bench.cut.metal].label.toLowerCase());
	const title = $derived(`${grooveTitle(gouge, bench)}, ${metal}`);
	const lengthText = $derived(bench.say(gouge.lengthMm ?? bench.cut.lengthMm, 'length'));
	/** As many as fit; the screen has them all. */
	const SHOWN = 6;
	const seconds = $derived(groove?.stringS.slice(0, SHOWN).map((s) => bench.say(s, 'time')) ?? []);
	const air = $derived(gougeAir(bench));
	const cells = $derived([
		['Torch', spot ? 'upright' : bench.say(gouge.angleFromPlateDeg, 'angle')],
		figures['gouge.airBar'].value === null
			? ['Air', `its own: ${air.note}`]
			: ['Air, flowing', air.value],
		['Shade', bench.sayFigure('gouge.shade')],
		['Left to grind', bench.sayFigure('gouge.standsMm')]
	]);
</script>

<article class="print-card" aria-label="Gouging card" data-testid="print-gouge">
	<span class="hook" aria-hidden="true"></span>
	<h1>{name ?? title}</h1>
	{#if strings === null}
		<p class="thick">not as asked: {station.word}</p>
	{:else}
		<p class="top">
			<b>{amps.text}<small>A</small></b>{#if !spot}<b
					>{strings}<small>{strings === 1 ? 'string' : 'strings'}</small></b
				>{/if}
		</p>
		<p class="seconds">
			{#if spot}<b>{bench.sayFigure('gouge.stringS')}</b> each{:else if groove}<b
					>{seconds.join(', ')}{groove.strings.length > SHOWN ? ' …' : ''}</b
				>
				each for its {lengthText}{:else}<b>{bench.sayFigure('gouge.pieceS')}</b> all strings of {lengthText},
				the longest {bench.sayFigure('gouge.stringS')}{/if}{#if gouge.pieces > 1}, {gouge.pieces} pieces{/if}{#if name},
				{title}{/if}
		</p>
	{/if}
	<dl>
		{#each cells as [name, value] (name)}<div>
				<dt>{name}</dt>
				<dd>{value}</dd>
			</div>{/each}
	</dl>
	<p class="line">
		<Mark verdict={station.verdict} size={14} />
		<b>{station.verdict === 'holds' ? 'holds' : `${station.verdict}: ${station.word}`}</b>
		· {spot ? 'small gap, metal flies all round' : 'push, small gap, metal flies ahead'}
	</p>
	<p class="line">
		{#if lightParts}Before: cutter off; cutting parts in, nozzle round; air down while it flows.
		{:else}Before: cutter off, cup off; gouging nozzle{bench.plan.choices.gougeNozzle
				? ''
				: ' (none here)'}
			and shield in, cutting pair aside; air down while it flows. Back: cutter off, the other way round.{/if}
	</p>
	<p class="line">
		{spot ? 'Look at each spot' : 'Look at the bed after each string'}; grind to bright metal,
		dye-check a crack, preheat by the welding procedure.
	</p>
	<footer>
		{bench.bench.name} · {day} · plan {bench.inputsHash}, model {bench.plan.modelVersion} · test groove
		on scrap first
	</footer>
</article>

<style>
	.print-card {
		position: relative;
		box-sizing: border-box;
		width: 148mm;
		height: 105mm;
		max-width: 100%;
		padding: 4mm 5mm;
		overflow: hidden;
		color: #000;
		background: #fff;
		border: 0.5mm solid #000;
		clip-path: polygon(9mm 0, 100% 0, 100% 100%, 0 100%, 0 9mm);
		--ink: #000;
		--holds: #000;
		--tight: #fff;
		--stops: #000;
	}
	.hook {
		position: absolute;
		left: 8mm;
		top: 3.5mm;
		width: 10mm;
		height: 10mm;
		border: 0.4mm solid #000;
		border-radius: 50%;
	}
	h1 {
		margin-left: 18mm;
		font-size: 6mm;
		font-weight: 700;
		line-height: 9mm;
		overflow: hidden;
		white-space: nowrap;
		text-overflow: ellipsis;
	}
	.top {
		display: flex;
		gap: 12mm;
		margin-top: 2mm;
		font-family: var(--font-figure);
		font-stretch: 62.5%;
		line-height: 0.85;
	}
	.top b {
		font-size: 28mm;
		font-weight: 620;
	}
	small {
		margin-left: 1.5mm;
		font-size: 10mm;
	}
	.thick {
		font-size: 9mm;
	}
	.seconds {
		margin-top: 1.5mm;
		font-size: 4.6mm;
	}
	.seconds b {
		font-family: var(--font-figure);
		font-stretch: 62.5%;
		font-size: 10mm;
		line-height: 1;
	}
	dl {
		display: grid;
		grid-template-columns: repeat(4, 1fr);
		margin-top: 1mm;
		border-block: 0.3mm solid #000;
	}
	dl div + div {
		border-left: 0.3mm solid #000;
		padding-left: 2mm;
	}
	dt {
		font-size: 3.2mm;
	}
	dd {
		font-family: var(--font-figure);
		font-stretch: 62.5%;
		font-weight: 620;
		font-size: 8mm;
		line-height: 1.2;
	}
	.line {
		margin-top: 1mm;
		font-size: 3.3mm;
		line-height: 1.25;
	}
	.line :global(svg) {
		display: inline;
		vertical-align: -0.6mm;
	}
	footer {
		position: absolute;
		left: 5mm;
		right: 5mm;
		bottom: 2mm;
		font-size: 2.8mm;
	}
	@media (max-width: 600px) {
		.print-card {
			zoom: 0.62;
			max-width: none;
		}
	}
	@media print {
		.print-card {
			border: 0;
			zoom: 1;
		}
	}
</style>
