<script lang="ts">
	import Check from '$lib/components/Fields/Check.svelte';
	import { lasts } from '$lib/components/List/words';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import Live from '$lib/components/Sensor/Live.svelte';
	import Strip from '$lib/components/Sensor/Strip.svelte';
	import Offers from '$lib/components/Sensor/Offers.svelte';
	import { rateTells } from '$lib/core/arcline/thresholds';
	import { singleKeys } from '$lib/dom/singleKeys';
	import { ArcLineView } from '$lib/state/arcLine.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What does the sensor see, and what of it goes into the log? */
	const bench = getWorkbench();
	const line = new ArcLineView(bench);
	$effect(() => {
		void bench.benchId;
		return line.open();
	});
	const FEW = 12;
	let most = $state(FEW);
	const arcs = $derived(
		(line.state?.lately ?? [])
			.flatMap(({ id, state, seen }) => (seen.kind === 'arc' ? [{ id, state, ...seen }] : []))
			.reverse()
	);
	const clockOf = (ms: number) => new Date(ms).toTimeString().slice(0, 8);
	const STATES = { offered: 'offered', taken: 'in the log', left: 'left, or ticked' } as const;
	const [first] = $derived(line.offers);
	$effect(() =>
		singleKeys({
			y: () =>
				first !== undefined &&
				(void line.take(first.ids, first.entries, 'Taken into the log.'), true)
		})
	);
	let letGo = $state(false);
</script>

<svelte:head><title>Sensor · {bench.bench.name} · Steady Arc</title></svelte:head>

<div class="sensor" data-testid="sensor">
	{#if !line.state}
		<p class="p-6" role="status">{line.problem || 'Asking the sensor …'}</p>
	{:else if !line.paired}
		<div class="px-6 py-4">
			<h1 class="word">No sensor at this cutter</h1>
			<p class="mt-2 max-w-3xl text-[1.125rem]">
				A clamp round the insulated work lead, outside the case, counts the arcs by itself; a gauge
				before the regulator, one at the tank, a clamp round the mains cord and an eye on the lamp
				tell more. What it sees is offered to the log and ticked on the run sheet, by one thumb.
			</p>
			<button type="button" class="btn mt-3 btn-primary btn-xl" onclick={() => void line.pair()}
				>Pair a sensor</button
			>
			<p class="sub mt-3 max-w-3xl">
				A clamp on the work lead reads nothing while only the pilot burns: failed starts need the
				gauge at the inlet, or the clamp at the cord. Fit nothing inside the case; what is connected
				to the mains is for a licensed electrician. No sensor yet? <code>npm run device</code>
				plays one.
			</p>
		</div>
	{:else}
		<div class="two">
			<div class="main">
				<h1 class="sr-only">Sensor at {bench.bench.name}</h1>
				<Live {line} />
				<Strip {line} />
				<div class="mt-4"><Offers {line} /></div>
			</div>
			<div class="beside">
				<section aria-labelledby="lately-head">
					<h2 id="lately-head" class="h">
						Arcs <span class="sub font-normal">of the last three hours</span>
					</h2>
					{#if arcs.length === 0}<p>None was seen.</p>
					{:else}
						<table class="w-full" data-testid="sensor-arcs">
							<thead>
								<tr
									><th>At</th><th>Lasted</th><th>Amps</th><th>Inlet</th><th class="sub">Became</th
									></tr
								>
							</thead>
							<tbody>
								{#each arcs.slice(0, most) as arc (arc.id)}
									<tr>
										<td class="fig">{clockOf(arc.fromMs)}</td>
										<td class="fig"
											>{arc.arcS.toFixed(1)} s{#if !arc.whole}&nbsp;<span class="sub"
													>cut short</span
												>{/if}</td
										>
										<td class="fig">{arc.meanA === null ? '–' : bench.say(arc.meanA, 'current')}</td
										>
										<td class="fig"
											>{arc.inletBar === null ? '–' : bench.say(arc.inletBar, 'pressure')}</td
										>
										<td class="sub">{STATES[arc.state]}</td>
									</tr>
								{/each}
							</tbody>
						</table>
						{#if arcs.length > most}<button
								type="button"
								class="btn mt-1"
								onclick={() => (most += 100)}>{arcs.length - most} before</button
							>{/if}
					{/if}
				</section>
				<section aria-labelledby="health-head" class="mt-3 border-t-2 border-[var(--ink)] pt-2">
					<h2 id="health-head" class="h">How well it sees</h2>
					{#if line.now?.intervalS}
						<p>
							{(1 / line.now.intervalS).toFixed(1)} readings a second: an arc is told to ± {rateTells(
								line.now.intervalS
							).arcErrorS.toFixed(2)} s.
						</p>
					{/if}
					{#each line.faults as fault (fault)}
						<p class="mt-1 flex items-start gap-2"><Mark verdict="tight" size={16} />{fault}</p>
					{:else}
						<p class="mt-1 flex items-start gap-2">
							<Mark verdict="holds" size={16} />{line.now
								? 'Nothing is missing.'
								: 'Nothing came yet.'}
						</p>
					{/each}
					{#if line.silentS !== undefined}
						<p class="mt-1 flex items-start gap-2" role="status">
							<Mark verdict="stops" size={16} />Silent for {lasts(line.silentS)}: its power, the
							network, its token?
						</p>
					{/if}
				</section>
				<section aria-labelledby="pair-head" class="mt-3 border-t-2 border-[var(--ink)] pt-2">
					<h2 id="pair-head" class="h">Its line</h2>
					{#if line.token}
						<p><b>Its token, told once:</b></p>
						<p class="token" data-testid="sensor-token">{line.token}</p>
						<p class="sub mt-1">
							Batches go by <code>POST {location.origin}/api/line/{bench.benchId}</code> with
							<code>Authorization: Bearer …</code>; what stands in them is told in the README. Or
							play one:
							<code class="break-all"
								>npm run device -- --bench "{bench.bench.name}" --token {line.token}</code
							>
						</p>
					{/if}
					<Check on={line.state.line?.byRule ?? false} set={(on) => void line.setRule(on)}
						>On the run sheet, tick what fits the piece by itself</Check
					>
					<p class="mt-1 flex flex-wrap gap-2">
						<button type="button" class="btn" onclick={() => void line.pair()}>New token</button>
						{#if letGo}
							<button
								type="button"
								class="btn"
								onclick={() => {
									letGo = false;
									void line.unpair();
								}}>Yes, with its raw readings</button
							>
							<button type="button" class="btn" onclick={() => (letGo = false)}>No</button>
						{:else}
							<button type="button" class="btn" onclick={() => (letGo = true)}>Let it go</button>
						{/if}
					</p>
				</section>
			</div>
		</div>
		{#if line.problem}<p class="px-6 pb-4 font-semibold" role="alert">{line.problem}</p>{/if}
	{/if}
</div>

<style>
	.word {
		font-family: var(--font-figure);
		font-stretch: 62.5%;
		font-weight: 620;
		font-size: 3.25rem;
		line-height: 1;
	}
	.two {
		display: grid;
		grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
	}
	.main {
		padding: 14px 24px 24px;
		border-right: 2px solid var(--ink);
	}
	.beside {
		padding: 14px 24px 24px;
	}
	th {
		text-align: left;
		font-weight: 600;
	}
	td {
		padding: 4px 6px 4px 0;
		border-top: 1px solid var(--rule);
	}
	td.fig {
		font-size: 1.25rem;
		white-space: nowrap;
	}
	.token {
		padding: 8px;
		border: 2px solid var(--ink);
		font-family: monospace;
		overflow-wrap: anywhere;
	}
	@media (max-width: 899px) {
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
		.main {
			padding: 10px 12px 16px;
			border-right: 0;
			border-bottom: 2px solid var(--ink);
		}
		.beside {
			padding: 10px 12px 16px;
		}
		.word {
			font-size: 2.5rem;
		}
	}
</style>
