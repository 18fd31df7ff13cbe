<script lang="ts">
	import { METALS } from '$lib/core';
	import type { HotWork, Watch } from '$lib/core/preflight/hotWork';
	import { CLEAR_WORDS, SPARKS_WORDS } from '$lib/core/safety/shade';
	import { preflight } from '$lib/core/preflight/list';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** A4, black on white; what has to be written by hand has its line. */
	let {
		sheet,
		watch,
		started,
		day
	}: { sheet: HotWork; watch: Watch; /** The clock is known. */ started: boolean; day: string } =
		$props();
	const bench = getWorkbench();
	const time = (ms: number) => (started ? new Date(ms).toTimeString().slice(0, 5) : '__:__');
	const FIRE = ['around', 'behind', 'vessel', 'fume', 'under', 'fire', 'fan'];
	const items = $derived(
		[...preflight('day', bench.inputs, bench.plan), ...preflight('cut', bench.inputs, bench.plan)]
			.filter(({ id }) => FIRE.includes(id))
			.sort((x, y) => FIRE.indexOf(x.id) - FIRE.indexOf(y.id))
	);
	const { cut } = $derived(bench);
</script>

<article class="a4" aria-label="Hot-work sheet" data-testid="hot-work">
	<h1>Hot work: plasma cutting</h1>
	<p class="big">
		Clear to {CLEAR_WORDS} · watch until <b data-testid="watch-until">{time(sheet.watchUntilMs)}</b>
	</p>
	<table>
		<tbody>
			<tr
				><th scope="row">Day</th><td>{day}</td><th scope="row">Bench</th><td>{bench.bench.name}</td
				></tr
			>
			<tr
				><th scope="row">Work</th><td colspan="3"
					>{bench.say(cut.thicknessMm, 'thickness')}
					{METALS[cut.metal].label.toLowerCase()}, {bench.say(cut.lengthMm, 'length')}, {bench.sayFigure(
						'setup.currentA'
					)}, shade {bench.sayFigure('setup.shade')}{cut.gouge.asked
						? `; gouging at ${bench.sayFigure('gouge.currentA')}, shade ${bench.sayFigure('gouge.shade')}`
						: ''}</td
				></tr
			>
			<tr
				><th scope="row">Place</th><td class="line"></td><th scope="row">Cutter</th><td class="line"
					>{bench.who}</td
				></tr
			>
			<tr
				><th scope="row">Arc out by</th><td>{time(sheet.arcOutMs)}</td><th scope="row"
					>Fire watch</th
				><td class="line"></td></tr
			>
		</tbody>
	</table>
	<h2>Before the arc</h2>
	<ul>
		{#each items as item (item.id)}
			<li>
				<span class="box"></span>
				<span
					><b>{bench.sayAll(item.ask)}</b>{#if item.more}, {bench.sayAll(item.more)}{/if}.
					<small>{item.why}</small></span
				>
			</li>
		{/each}
		<li>
			<span class="box"></span>
			<span
				><b>Floors swept and wetted, cracks and openings covered, walls and ducts thought of</b>.
				<small>Sparks were seen to carry {SPARKS_WORDS} (common practice).</small></span
			>
		</li>
		<li>
			<span class="box"></span>
			<span><b>Sprinklers working, alarms of this room dealt with as the site says</b></span>
		</li>
		<li>
			<span class="box"></span>
			<span><b>Somebody watches who does nothing else, with extinguisher and telephone</b></span>
		</li>
	</ul>
	<h2>Afterwards</h2>
	<ul>
		<li>
			<span class="box"></span><span
				><b>Arc out at</b> ______ , watched {sheet.watchMin} minutes until ______</span
			>
		</li>
		<li>
			<span class="box"></span><span
				><b>Looked again</b>, the floor below and behind the wall too, at ______</span
			>
		</li>
	</ul>
	<p class="sign"><span>Allowed by</span><span>Watched by</span></p>
	<footer>
		Clear radius: NFPA 51B, 35 ft. Watch: {watch === 'nfpa51b'
			? '60 minutes, NFPA 51B (2019 and later)'
			: '30 minutes, OSHA 29 CFR 1910.252'}, both from memory. Local rules, insurer and site come
		first.
	</footer>
</article>

<style>
	.a4 {
		box-sizing: border-box;
		width: 210mm;
		min-height: 290mm;
		max-width: 100%;
		padding: 14mm 16mm;
		background: #fff;
		color: #000;
		font-size: 4.2mm;
	}
	h1 {
		font-size: 9mm;
		font-weight: 700;
	}
	.big {
		font-size: 7mm;
		margin: 2mm 0 4mm;
	}
	table {
		width: 100%;
		border-collapse: collapse;
	}
	th,
	td {
		border: 0.3mm solid #000;
		padding: 2mm;
		text-align: left;
		height: 11mm;
	}
	th {
		width: 26mm;
		font-weight: 600;
	}
	h2 {
		font-size: 5.5mm;
		font-weight: 700;
		margin: 5mm 0 1mm;
	}
	li {
		display: flex;
		gap: 3mm;
		padding: 1.4mm 0;
		border-bottom: 0.2mm solid #999;
	}
	small {
		font-size: 3.5mm;
	}
	.box {
		flex: none;
		width: 6mm;
		height: 6mm;
		border: 0.5mm solid #000;
	}
	.sign {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 10mm;
		margin-top: 16mm;
	}
	.sign span {
		border-top: 0.4mm solid #000;
		padding-top: 1mm;
	}
	footer {
		margin-top: 5mm;
		font-size: 3.2mm;
	}
	@media (max-width: 600px) {
		.a4 {
			padding: 12px;
			font-size: 16px;
		}
		h1 {
			font-size: 26px;
		}
		.big {
			font-size: 20px;
		}
		small,
		footer {
			font-size: 14px;
		}
		th {
			width: auto;
		}
	}
</style>
