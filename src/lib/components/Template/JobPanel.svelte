<script lang="ts">
	import type { Contour } from '$lib/core/shape/outline';
	import type { Job } from '$lib/core/studies/job';
	import { PATHS_MOST } from '$lib/core/list/inputs';
	import { toList } from '$lib/state/forList';
	import { logJob } from '$lib/state/logbook';
	import State from '$lib/components/Marks/State.svelte';
	import { sayFreeAir } from '$lib/core/quantity/format';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What the whole job takes. */
	let { job, name, contours }: { job: Job; name: string; contours: readonly Contour[] } = $props();
	const bench = getWorkbench();
	/** Why there is no time; null: there is one. */
	const none = $derived(
		job.arcS !== null
			? null
			: bench.plan.figures['setup.speedMmS'].value === null
				? 'it does not part'
				: 'a hole cannot be pierced'
	);
	const rows = $derived([
		[
			'Starts',
			bench.say(job.starts, 'count'),
			`${bench.say(job.pierces, 'count')} of them pierced`
		],
		['Length', bench.say(job.lengthMm / 1000, 'run'), 'lead-ins too'],
		['Arc time', bench.say(job.arcS, 'time'), none ?? ''],
		['Air', sayFreeAir(job.airL, bench.units), none ? '' : 'post-flow too'],
		[
			'Electrode',
			bench.say(job.wearOfLeft, 'share'),
			job.wearOfLeft === null
				? ''
				: job.wearOfLeft > 1
					? 'more than is left: change it first'
					: 'of what is left'
		]
	]);
	const pauses = $derived(job.pauses?.ok ? job.pauses : undefined);
</script>

<dl class="mt-2" data-testid="job">
	{#each rows as [name, value, note] (name)}
		<div class="flex items-baseline gap-2 border-t py-0.5" style:border-color="var(--rule)">
			<dt class="w-24 text-[0.9375rem]">{name}</dt>
			<dd class="fig text-[1.6875rem]">{value}</dd>
			<dd class="sub grow text-right">{note}</dd>
		</div>
	{/each}
</dl>
<p class="mt-1 text-[0.9375rem]" data-testid="job-pauses">
	{#if job.pauses === null}
		<State verdict="stops" word="It does not go through as planned." />
	{:else if !pauses}
		<State verdict="stops" word="The bench does not carry one of these cuts." /> See Supply.
	{:else if pauses.pauses.length === 0}
		{#if pauses.mayTrip}
			<State verdict="tight" word="The breaker may trip in the longest cut, whatever the pause." />
		{:else}<State verdict="holds" word="No extra pauses needed." />{/if}
		{bench.say(pauses.totalS, 'time')} at the usual pace.
	{:else}
		<State
			verdict="tight"
			word="{pauses.pauses.length} pause{pauses.pauses.length === 1
				? ''
				: 's'} needed{pauses.mayTrip ? ', and the breaker may trip in the longest cut' : ''}."
		/>
		The first before cut {pauses.pauses[0]!.beforeCut}, {bench.say(
			pauses.pauses[0]!.waitS,
			'time'
		)}; {bench.say(pauses.totalS, 'time')} in all.
	{/if}
</p>
{#if job.arcS !== null}
	<button
		type="button"
		class="btn mt-1 btn-primary btn-xl"
		onclick={() => void logJob(bench, job, name)}>Log all {job.starts} cuts as done</button
	>
{/if}
{#if job.arcS !== null && job.cuts.length <= PATHS_MOST}
	<button type="button" class="btn mt-1" onclick={() => toList(bench, job, { name, contours })}
		>Put it on the day’s list</button
	>
{/if}
<p class="sub">
	{#if pauses && pauses.cuts < job.starts}Pauses and time are of the first {pauses.cuts} cuts.{/if}
	Speed, parts and session as planned; the walk between cuts is the pause of “This work”.
</p>
