<script lang="ts">
	import { BASIS_WORDS } from '$lib/core';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { timedByHand } from '$lib/components/Words/pace';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { airWord, cutTitle, dosAndDonts, guideLine, standoffWord, startWord } from './words';

	/** A6 landscape, black on white, hook hole and cut corner. */
	let { name, day }: { /** Name on the shelf. */ name?: string; /** Planned on. */ day: string } =
		$props();
	const bench = getWorkbench();
	const { text: amps } = $derived(bench.showFigure('setup.currentA'));
	const speed = $derived(bench.showFigure('setup.speedMmS'));
	const words = $derived(dosAndDonts(bench));
	const worst = $derived(bench.plan.firstLimit ?? bench.plan.weakestLink);
	const verdict = $derived(bench.plan.verdict);
	const basis = $derived(BASIS_WORDS[bench.plan.figures['setup.speedMmS'].basis]);
	const parts = $derived(bench.plan.figures['setup.speedMmS'].value !== null);
	const byHand = $derived(timedByHand(bench.plan));
	/** What this metal and coating do; the rest stands on the A4. */
	const warnings = $derived(
		bench.said.cautions
			.filter(({ id }) => ['metal', 'coating', 'vessels', 'double-arc'].includes(id))
			.sort((x, y) => Number(x.id === 'vessels') - Number(y.id === 'vessels'))
			.slice(0, 2)
			.map(({ text }) => text)
	);
	const cells = $derived([
		['Nozzle', bench.sayFigure('setup.nozzleA')],
		['Air, flowing', airWord(bench).value],
		['Stand-off', standoffWord(bench).value],
		['Start', startWord(bench).value]
	]);
</script>

<article class="print-card" aria-label="Setting card" data-testid="print-card">
	<span class="hook" aria-hidden="true"></span>
	<h1>{name ?? cutTitle(bench)}</h1>
	<p class="top">
		<b>{amps}<small>A</small></b>{#if parts}<b>{speed.text}<small>{speed.unit}</small></b>{:else}<b
				class="thick">too thick</b
			>{/if}
	</p>
	<p class="seconds">
		{#if parts}<b>{bench.sayFigure('setup.lineS')}</b> for {bench.sayFigure(
				'setup.lineMm'
			)}{#if byHand}, at a hand’s {bench.sayFigure('setup.handMmS')}{/if}{/if}{#if name}{parts
				? ', '
				: ''}{cutTitle(bench)}{/if}
	</p>
	<dl>
		{#each cells as [name, value] (name)}<div>
				<dt>{name}</dt>
				<dd>{value}</dd>
			</div>{/each}
	</dl>
	<p class="line">
		<Mark {verdict} size={14} /> <b>{worst ? `${verdict}: ${worst.word}` : verdict}</b>
		· {guideLine(bench)} · shade {bench.sayFigure('setup.shade')}
	</p>
	<p class="line">{warnings.join(' ')}</p>
	<p class="line">
		Do: {words.dos.slice(0, 2).join('; ')}. Do not: {words.donts
			.slice(0, 2)
			.join('; ')
			.toLowerCase()}.
	</p>
	<footer>
		{bench.bench.name} · {day} · speed: {basis} · plan {bench.inputsHash}, model {bench.plan
			.modelVersion} · check on scrap first
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
		line-height: 0.8;
	}
	.top b {
		font-size: 36mm;
		font-weight: 620;
	}
	small {
		margin-left: 1.5mm;
		font-size: 12mm;
	}
	.thick {
		font-size: 18mm !important;
	}
	.seconds {
		margin-top: 1.5mm;
		font-size: 5mm;
	}
	.seconds b {
		font-family: var(--font-figure);
		font-stretch: 62.5%;
		font-size: 12mm;
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
		font-size: 9mm;
		line-height: 1.2;
	}
	.line {
		margin-top: 1mm;
		font-size: 3.4mm;
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
