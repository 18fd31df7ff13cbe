<script lang="ts">
	import { lasts } from '$lib/components/List/words';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import type { ArcLineView } from '$lib/state/arcLine.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** As it stands this second; small beside the run sheet. */
	let { line, small = false }: { line: ArcLineView; small?: boolean } = $props();
	const bench = getWorkbench();
	const last = $derived(line.now?.now.last);
	const heat = $derived(line.heat);
	const silent = $derived(line.silentS !== undefined);
	const word = $derived(
		line.problem
			? 'No server'
			: !line.now
				? 'Waiting for its first reading'
				: silent
					? `Silent for ${lasts(line.silentS!)}`
					: line.easeOff
						? 'Ease off now'
						: line.arcS !== undefined
							? `Arc on ${lasts(line.arcS)}`
							: line.now.now.flowing
								? 'Air flows, no arc'
								: 'Arc off'
	);
	const verdict = $derived(
		line.problem || !line.now || silent
			? ('not set' as const)
			: line.easeOff || line.now.now.hotSinceMs !== null
				? ('stops' as const)
				: line.inlet?.under
					? ('tight' as const)
					: ('holds' as const)
	);
</script>

<div class="live" class:small data-testid="sensor-live">
	<p class="flex items-center gap-3" role={line.easeOff ? 'alert' : undefined}>
		<Mark {verdict} size={small ? 24 : 44} />
		<span class="fig word" data-testid="sensor-word">{word}</span>
	</p>
	{#if line.now && !silent}
		<dl>
			<div>
				<dt>Work lead</dt>
				<dd class="fig">
					{line.arcS !== undefined && last?.arcA != null ? bench.say(last.arcA, 'current') : '–'}
				</dd>
			</div>
			{#if line.inlet}
				<div>
					<dt>Inlet{line.inlet.flowing ? ', air flows' : ', at rest'}</dt>
					<dd class="fig" style:color={line.inlet.under ? 'var(--stops)' : undefined}>
						{bench.say(line.inlet.bar, 'pressure')}
					</dd>
				</div>
			{/if}
			{#if last?.tankBar != null && !small}
				<div>
					<dt>Tank</dt>
					<dd class="fig">{bench.say(last.tankBar, 'pressure')}</dd>
				</div>
			{/if}
			{#if heat}
				<div>
					<dt>{small ? 'An arc may last' : 'Heat, lamp at 100 %'}</dt>
					<dd class="fig">
						{#if small}{heat.leftS === null ? 'on' : lasts(heat.leftS)}{:else}{Math.round(
								100 * Math.max(0, heat.share)
							)} %{/if}
					</dd>
				</div>
			{/if}
			{#if !small}
				<div>
					<dt>Arc in ten minutes</dt>
					<dd class="fig">{Math.round(100 * line.runShare)} %</dd>
				</div>
			{/if}
		</dl>
		{#if line.now.now.hotSinceMs !== null}
			<p class="tell" style:color="var(--stops)">
				<b>The lamp is on.</b> Let the fan run; do not switch off.
			</p>
		{:else if line.easeOff}
			<p class="tell" style:color="var(--stops)">
				<b>End this arc.</b> By the arcs so far the lamp comes in {lasts(heat!.leftS!)}.
			</p>
		{:else if line.inlet?.under}
			<p class="tell" style:color="var(--tight-ink)">
				<b>Under the window</b> of the plate, {bench.say(line.inlet.airMinBar, 'pressure')}, while
				air flows: rest until the tank is up. Is it full, the line takes too much: Supply says
				where.
			</p>
		{:else if !small && heat}
			<p class="tell">
				{heat.leftS === null
					? 'By its heat an arc from now on may go on.'
					: `An arc from now on may last ${lasts(heat.leftS)} before the lamp, by the plan’s own model.`}
			</p>
		{/if}
	{/if}
</div>

<style>
	.word {
		font-size: 3.25rem;
		line-height: 1;
	}
	dl {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 28px;
		margin-top: 10px;
	}
	dd {
		font-size: 2.25rem;
		line-height: 1.1;
	}
	.tell {
		margin-top: 6px;
		font-size: 1.125rem;
	}
	.small {
		margin-top: 10px;
		padding: 8px 12px;
		border: 2px solid var(--ink);
	}
	.small .word {
		font-size: 1.75rem;
	}
	.small dd {
		font-size: 1.5rem;
	}
	.small dl {
		margin-top: 4px;
	}
	.small .tell {
		font-size: 1rem;
	}
	@media (max-width: 899px) {
		.word {
			font-size: 2.5rem;
		}
	}
</style>
