<script lang="ts">
	import Power from '@lucide/svelte/icons/power';
	import { assemblySteps, FAMILY_WORDS, PART_WORDS } from '$lib/core';
	import { edit } from '$lib/state/edit';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import PartShape from './PartShape.svelte';

	/** What goes into the torch for this cut, what to change first, and in which order it goes together. */
	const bench = getWorkbench();
	const torch = $derived(bench.bench.torch);
	const changes = $derived(bench.calmPlan.choices.changes);
	const hasShield = $derived(torch.dragShield || torch.shieldIn !== 'none');
	const steps = $derived(assemblySteps(torch.family, hasShield));
	const wanted = $derived<Partial<Record<string, string>>>({
		nozzle: `${bench.sayFigure('setup.nozzleA', bench.calmPlan)}, ${bench.sayFigure('setup.boreMm', bench.calmPlan)} bore`
	});
	const contact = $derived(
		bench.calmPlan.choices.standoff === 'drag'
			? 'The shield rests on the plate.'
			: bench.calmPlan.choices.standoff === 'touch'
				? `The bare nozzle may touch: it bears that up to ${bench.say(torch.bareTouchA, 'current')}.`
				: `Hold it ${bench.sayFigure('setup.standoffMm', bench.calmPlan)} off: a bare nozzle that touches above ${bench.say(torch.bareTouchA, 'current')} is ruined.`
	);
	const must = (part: string) => changes.some((c) => c.part === part && c.need === 'must');
	const better = (part: string) => changes.some((c) => c.part === part);
	async function fitNozzle() {
		const nozzleA = bench.plan.figures['setup.nozzleA'].value!;
		const refused = await edit(bench, 'torch.fittedA', nozzleA);
		const problem = { kind: 'problem', text: refused ?? '' } as const;
		const text = `${bench.say(nozzleA, 'current')} nozzle is in the torch. Save the bench to keep it.`;
		bench.notice = refused ? problem : { kind: 'done', text, undo: () => bench.draft.undo() };
	}
</script>

<section aria-label="Parts in the torch">
	<h2 class="h">Parts in the torch</h2>
	<p class="off">
		<Power size={20} aria-hidden="true" /> Power off before you touch torch or parts.
	</p>
	{#if changes.length === 0}
		<p class="mt-2" data-testid="changes">Nothing to change: what is in it fits this cut.</p>
	{:else}
		<ul class="mt-2" data-testid="changes">
			{#each changes as change (change.part)}
				<li class="change" class:must={change.need === 'must'}>
					<span class="grow"
						><b>{change.need === 'must' ? 'Fit' : 'Better'} {change.fit}</b>: {change.reason}.</span
					>
					{#if change.part === 'nozzle'}
						<button type="button" class="btn" onclick={fitNozzle}>It is in</button>
					{/if}
				</li>
			{/each}
		</ul>
	{/if}
	<p class="mt-2 text-[0.9375rem]">
		{contact} Cap finger-tight, never by a tool. Never fire the pilot arc into the air. After the cut
		air flows on for about {bench.say(torch.postFlowS, 'time')}: it cools the parts, let it.
	</p>
	<h3 class="mt-3 font-semibold">
		How this torch goes together <span class="sub font-normal">{FAMILY_WORDS[torch.family]}</span>
	</h3>
	<ol class="steps">
		{#each steps as { part, caution }, i (part)}
			<li class:must={must(part)} class:better={better(part)}>
				<span class="fig number" aria-hidden="true">{i + 1}</span>
				<PartShape {part} />
				<div>
					<b>{PART_WORDS[part]}</b>{#if wanted[part]}<span>, {wanted[part]}</span>{/if}
					<p class="sub leading-tight">{caution}</p>
				</div>
			</li>
		{/each}
	</ol>
	<a class="btn btn-ghost px-0 underline" href="/bench?{bench.search}">Parts of this torch</a>
</section>

<style>
	.off {
		display: flex;
		align-items: center;
		gap: 8px;
		margin-top: 4px;
		padding: 8px 12px;
		font-weight: 600;
		background: var(--spark-wash);
		border-left: 6px solid var(--tight);
	}
	.change {
		display: flex;
		align-items: center;
		gap: 12px;
		min-height: 52px;
		padding: 4px 12px;
		border-left: 6px solid var(--arc);
	}
	.change.must {
		background: var(--stops-wash);
		border-left-color: var(--stops);
	}
	.steps {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
		gap: 4px 16px;
	}
	.steps li {
		display: flex;
		align-items: center;
		gap: 8px;
		min-height: 68px;
		padding: 4px 8px;
		border-top: 1px solid var(--rule);
		line-height: 1.25;
	}
	.steps li.better {
		background: var(--arc-wash);
	}
	.steps li.must {
		background: var(--stops-wash);
	}
	.steps :global(svg) {
		flex: none;
	}
	.number {
		width: 18px;
		font-size: 1.375rem;
	}
</style>
