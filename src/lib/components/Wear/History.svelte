<script lang="ts">
	import { fittedNozzle } from '$lib/core/torch/nozzle';
	import { boreLimitUm } from '$lib/core/wear/nozzle';
	import { legible } from '$lib/dom/legible';
	import Fold from '$lib/components/Fields/Fold.svelte';
	import type { WearHistory } from '$lib/formats/wearHistory';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { HISTORY, historyDrawing } from './history';
	import { dayAndTime } from '$lib/formats/days';

	/** What was read on the parts in the torch, and when each comes to its limit. */
	const bench = getWorkbench();
	let history = $state.raw<WearHistory | undefined>();
	let problem = $state(false);
	// What was logged, taken back or put in moves it.
	$effect(() => {
		void bench.revisions.log;
		void bench.revisions.parts;
		const asked = bench.benchId;
		fetch(`/api/wear?bench=${asked}`)
			.then(async (response) => {
				if (!response.ok) throw new Error(String(response.status));
				const found = (await response.json()) as WearHistory;
				if (asked !== bench.benchId) return;
				history = found;
				problem = false;
			})
			.catch(() => (problem = true));
	});
	const { figures } = $derived(bench.plan);
	const { wear } = $derived(bench.evidence);
	const newMm = $derived(fittedNozzle(bench.bench.torch).boreMm);
	const rows = $derived([
		{
			name: 'Pit of the electrode',
			zeroMm: 0,
			limitUm: 1000 * bench.settings.pitLimitMm,
			readings: history?.electrode ?? [],
			now: {
				starts: wear.electrode.total.starts,
				grownUm: 1000 * figures['wear.pitMm'].value!
			},
			left: figures['wear.electrodeLeft']
		},
		{
			name: 'Bore of the nozzle',
			zeroMm: newMm,
			limitUm: boreLimitUm(newMm),
			readings: history?.nozzle ?? [],
			now: {
				starts: wear.nozzle.total.starts,
				grownUm: 1000 * (figures['wear.boreMm'].value! - newMm)
			},
			left: figures['wear.nozzleLeft']
		}
	]);
	const mm = (zeroMm: number, um: number) => bench.say(zeroMm + um / 1000, 'small');
</script>

<section aria-label="When it is worn out">
	<h2 class="h">When it is worn out</h2>
	{#if problem}<p class="sub">
			The server does not answer: what was read before is not known here.
		</p>{/if}
	{#each rows as { name, zeroMm, limitUm, readings, now, left } (name)}
		{@const drawing = historyDrawing({
			readings,
			now,
			limitUm,
			// A cut is one start.
			left: left.value,
			band: left.band
		})}
		<svg
			{@attach legible}
			viewBox="0 0 {HISTORY.width} {HISTORY.height}"
			class="mt-1 block w-full"
			role="img"
			aria-label="{name}: {mm(zeroMm, now.grownUm)} after {now.starts} starts, change at {mm(
				zeroMm,
				limitUm
			)}"
		>
			{#if drawing.fan}<path d={drawing.fan} fill="var(--arc)" opacity="0.18" />{/if}
			<path
				d="M{HISTORY.left} {drawing.limitY}H{HISTORY.width - HISTORY.right}"
				stroke="var(--stops)"
				stroke-width="2"
				stroke-dasharray="7 4"
			/>
			<path
				d="M{HISTORY.left} {HISTORY.height - HISTORY.bottom}H{HISTORY.width - HISTORY.right}"
				stroke="var(--rule)"
			/>
			<path d={drawing.line} fill="none" stroke="var(--ink)" stroke-width="2.2" />
			{#if drawing.forecast}<path d={drawing.forecast} stroke="var(--arc)" stroke-width="3" />{/if}
			{#each drawing.dots as dot, i (i)}
				<circle
					cx={dot.x}
					cy={dot.y}
					r="5"
					fill="var(--sheet)"
					stroke="var(--ink)"
					stroke-width="2"
				/>
			{/each}
			<circle cx={drawing.now.x} cy={drawing.now.y} r="6" fill="var(--ink)" />
			<text x={HISTORY.left} y={drawing.limitY - 5} font-size="14" style:fill="var(--stops)"
				>{name}: change at {mm(zeroMm, limitUm)}</text
			>
			<text
				x={Math.min(drawing.now.x + 10, HISTORY.width - 110)}
				y={drawing.now.y + 16}
				font-size="14"
				font-weight="700"
				style:fill="var(--ink)">{mm(zeroMm, now.grownUm)} now</text
			>
			{#each drawing.ticks as tick, i (tick.starts)}
				<text
					x={tick.x}
					y={HISTORY.height - 8}
					font-size="14"
					text-anchor={i === 0 ? 'start' : 'middle'}
					style:fill="var(--ink2)">{tick.starts}{i === 0 ? ' starts' : ''}</text
				>
			{/each}
		</svg>
	{/each}
	<Fold summary="The same as a table">
		<table class="table">
			<thead><tr><th>Read</th><th>Part</th><th>Starts</th><th>Read as</th></tr></thead>
			<tbody>
				{#each rows as { name, zeroMm, readings } (name)}
					{#each readings as one, i (i)}
						<tr>
							<td>{dayAndTime(one.at)}</td><td>{name}</td><td>{one.starts}</td><td
								>{mm(zeroMm, one.grownUm)}</td
							>
						</tr>
					{/each}
				{/each}
			</tbody>
		</table>
		{#if rows.every(({ readings }) => readings.length === 0)}<p class="sub">
				Nothing was measured on these parts yet.
			</p>{/if}
	</Fold>
</section>
