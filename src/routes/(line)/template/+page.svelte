<script lang="ts">
	import { onMount } from 'svelte';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Drawing from '$lib/components/Template/Drawing.svelte';
	import Export from '$lib/components/Template/Export.svelte';
	import JobPanel from '$lib/components/Template/JobPanel.svelte';
	import Order from '$lib/components/Template/Order.svelte';
	import Source from '$lib/components/Template/Source.svelte';
	import { cutTitle } from '$lib/components/Card/words';
	import { PARTS_MOST, TemplateDraft } from '$lib/state/templateDraft.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { PageProps } from './$types';

	/** A template that the shield rides on: where its edge goes, what comes out, in which order to cut. */
	let { data }: PageProps = $props();
	const bench = getWorkbench();
	const draft = new TemplateDraft();
	let ready = $state(false);
	onMount(() => {
		void draft.restore().then(() => (ready = true));
		return () => draft.leave();
	});

	const torch = $derived({
		shieldRadiusMm: bench.plan.figures['cut.radiusMm'].value!,
		kerfMm: bench.plan.figures['setup.kerfMm'].value!
	});
	const { drawing } = $derived(draft);
	const hasHoles = $derived(drawing?.order.some(({ edge }) => edge === 'hole') ?? false);
	const hasOutside = $derived(drawing?.order.some(({ edge }) => edge === 'outside') ?? true);
	$effect(() => {
		if (ready) draft.make(bench.inputs, torch);
	});
	const sides = [
		{ value: 'kept', label: 'on the part', help: 'It lies on the piece you keep.' },
		{ value: 'waste', label: 'on the waste', help: 'It lies on the piece you throw away.' }
	] as const;
</script>

<svelte:head><title>Template · {draft.name} · Steady Arc</title></svelte:head>

<div class="px-6 pt-3 max-[899px]:px-3">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-1">
		<h1 class="fig text-[2.5rem]">Template</h1>
		<p class="sub grow">
			For {cutTitle(bench)}: shield radius {bench.sayFigure('cut.radiusMm')}, kerf {bench.sayFigure(
				'setup.kerfMm'
			)}. All dimensions are of the finished top edge.
		</p>
		<a class="btn" href="/cut?{bench.search}">Back to Cut</a>
	</div>
	<div class="mt-2"><Source {draft} saved={data.outlines} /></div>
</div>
<div class="split">
	<div class="dots px-6 py-2 max-[899px]:px-3" class:dim={!drawing}>
		{#if drawing}
			<Drawing
				{drawing}
				check={draft.check}
				label="{draft.name} with its template, {drawing.order.length} cuts in order"
			/>
			<p class="flex flex-wrap gap-x-5 text-[0.875rem]">
				<span><i style:background="var(--copper)"></i>edge of the template</span>
				<span><i style:background="var(--arc)"></i>torch centre</span>
				<span><i style:background="var(--ink)"></i>finished edge</span>
				{#if draft.check?.lost}<span><i style:background="var(--stops)"></i>cut away too much</span
					>{/if}
				{#if draft.check?.left}<span><i style:background="var(--spark)"></i>left standing</span
					>{/if}
			</p>
			{#if draft.check?.unchecked}
				<p class="sub">
					An outline of this many points: what comes out in its corners is not drawn.
				</p>
			{/if}
		{:else}
			<p class="sub py-24 text-center">working</p>
		{/if}
	</div>
	<aside class="panel">
		<div class="flex flex-wrap items-end gap-3">
			<Choice
				label="What is kept"
				showLabel
				options={[
					{ value: 'part', label: 'the piece', help: 'The shape is cut out and kept.' },
					{
						value: 'plate',
						label: 'the plate round it',
						help: 'The shape is an opening in the plate.'
					}
				]}
				value={draft.keep}
				choose={(keep) => draft.change({ keep })}
			/>
			{#if hasOutside}
				<Choice
					label="Template outside lies"
					showLabel
					options={sides}
					value={draft.outside}
					choose={(outside) => draft.change({ outside })}
				/>
			{/if}
			{#if hasHoles}
				<Choice
					label="Template in holes lies"
					showLabel
					options={sides}
					value={draft.holes}
					choose={(holes) => draft.change({ holes })}
				/>
			{/if}
			<div class="w-28">
				<QuantityField
					label="Equal parts"
					quantity="count"
					value={draft.parts}
					commit={(value) => {
						if (value === null || !Number.isInteger(value) || value < 1 || value > PARTS_MOST)
							return `a whole number from 1 to ${PARTS_MOST} is accepted`;
						draft.change({ parts: value });
					}}
				/>
			</div>
		</div>
		{#if draft.job}<JobPanel job={draft.job} name={draft.name} contours={draft.contours} />{/if}
		<Export {draft} {torch} />
	</aside>
</div>
{#if drawing && draft.job}
	<div class="below"><Order {drawing} check={draft.check} job={draft.job} asked={draft} /></div>
{/if}

<style>
	.split {
		display: grid;
		grid-template-columns: 1fr 420px;
		margin-top: 8px;
	}
	.panel {
		padding: 8px 24px 12px 20px;
		border-left: 2px solid var(--ink);
	}
	.below {
		grid-template-columns: 1fr 420px;
	}
	.dim {
		color: var(--ink2);
	}
	i {
		display: inline-block;
		width: 22px;
		height: 6px;
		margin-right: 6px;
		vertical-align: middle;
	}
	@media (max-width: 1099px) {
		.split,
		.below {
			grid-template-columns: minmax(0, 1fr);
		}
		.panel {
			border-left: 0;
			border-top: 2px solid var(--ink);
			padding: 12px;
		}
	}
</style>
