<script lang="ts">
	import FigureList from '$lib/components/Balloon/FigureList.svelte';
	import Cautions from '$lib/components/Card/Cautions.svelte';
	import { cutTitle, startWord } from '$lib/components/Card/words';
	import BevelSection from '$lib/components/Cut/BevelSection.svelte';
	import CirclePlan from '$lib/components/Cut/CirclePlan.svelte';
	import GuidePanel from '$lib/components/Cut/GuidePanel.svelte';
	import GuidePlan from '$lib/components/Cut/GuidePlan.svelte';
	import { GUIDE_WORDS } from '$lib/components/Cut/guide';
	import Findings from '$lib/components/Marks/Findings.svelte';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Stage from '$lib/components/Stage.svelte';
	import LogButtons from '$lib/components/Wear/LogButtons.svelte';
	import { LINE_CUT_RANGES } from '$lib/core/cut/lineCut';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	const bench = getWorkbench();
	const { guide, circleOf, circleMm, bevelDeg } = $derived(bench.cut);
	const start = $derived(startWord(bench));
	const words = $derived(GUIDE_WORDS[guide]);
	const edged = $derived(guide === 'kept' || guide === 'waste');
	const parts = $derived(bench.plan.figures['cut.offsetMm'].value !== null);
</script>

<svelte:head><title>Cut · {cutTitle(bench, bench.calmInputs.cut)} · Steady Arc</title></svelte:head>

<div class="split">
	<div class="dots px-6 pt-3 pb-2 max-[899px]:px-3">
		<div class="flex flex-wrap items-center gap-x-4 gap-y-1">
			<h1 class="h text-[1.125rem]">Guide</h1>
			<Choice
				label="Guide"
				options={[
					{
						value: 'kept',
						label: 'On the part',
						help: 'The straight edge lies on the piece you keep.'
					},
					{
						value: 'waste',
						label: 'On the waste',
						help: 'The straight edge lies on the piece you throw away.'
					},
					{ value: 'circle', label: 'Circle', help: 'A pivot in the centre: holes and discs.' },
					{
						value: 'roller',
						label: 'Roller',
						help: 'A roller foot holds the torch off the plate; you steer.'
					},
					{
						value: 'freehand',
						label: 'Freehand',
						help: 'Along a chalk line, the torch resting on the plate.'
					}
				]}
				value={guide}
				choose={(g) => bench.setCut({ guide: g })}
			/>
			<div class="ml-auto flex flex-wrap gap-2">
				<a class="btn" href="/template?{bench.search}">Template</a>
				<a class="btn" href="/practice?{bench.search}">Practise the line</a>
				<a class="btn" href="/checks?{bench.search}">Checks</a>
			</div>
		</div>
		{#if guide === 'circle'}
			<div class="mt-2 flex flex-wrap items-end gap-3">
				<Choice
					label="What is kept"
					options={[
						{
							value: 'hole',
							label: 'A hole',
							help: 'The plate round it is kept; the disc drops out.'
						},
						{
							value: 'disc',
							label: 'A disc',
							help: 'The disc is kept; the plate round it is waste.'
						}
					]}
					value={circleOf}
					choose={(c) => bench.setCut({ circleOf: c })}
				/>
				<div class="w-40">
					<QuantityField
						label="Finished diameter"
						quantity="length"
						side
						value={circleMm}
						range={LINE_CUT_RANGES.circleMm}
						commit={(value) => bench.setCut({ circleMm: value! })}
					/>
				</div>
			</div>
		{/if}
		{#if !parts}
			<p class="fig none" data-testid="no-guide">too thick</p>
			<p class="mb-4 text-[1.125rem]">
				There is no guide to set for what does not part.
				<a class="link" href="/setup?{bench.search}">Setup tells what would.</a>
			</p>
		{:else if guide === 'circle'}
			<CirclePlan />
		{:else}
			<GuidePlan />
		{/if}
	</div>
	<GuidePanel />
</div>
{#if bevelDeg > 0 && parts}
	<div class="below">
		<section aria-label="Bevel">
			<h2 class="h text-[1.125rem]">Bevel of {bench.say(bevelDeg, 'angle')}, across the cut</h2>
			<BevelSection />
		</section>
		<section aria-label="Bevel figures">
			<FigureList
				size={29}
				rows={[
					{ id: 'setup.arcMm' },
					{ id: 'cut.kerfTopMm' },
					{ id: 'cut.bevelGapMm' },
					{ id: 'cut.bottomShiftMm' },
					...(edged ? [] : [{ id: 'cut.aimShiftMm' } as const])
				]}
			/>
			<p class="sub">
				{edged
					? 'The shield’s side slides along the face of the guide, so the stand-off does not shift the cut. Dimensions are of the top edge.'
					: 'The arc lands beside the nozzle by the last figure, on the side you lean away from.'}
			</p>
		</section>
	</div>
{/if}
<div class="px-6 max-[899px]:px-3"><Findings station="cut" /></div>
<Stage
	when="before"
	id="start"
	title="The start"
	answer="{start.value.toLowerCase()}; {start.note}"
	load={() => import('$lib/components/Cut/Starts.svelte')}
/>
<div class="below">
	<section aria-label="Before you fire" class="min-w-0">
		<h2 class="h text-[1.125rem]">Before you fire</h2>
		<ul class="mt-1 list-disc space-y-1 pl-5 text-[1rem]">
			<li>{words.guide}</li>
			<li>
				Clear of the bench along the whole line: hang it over, or on slats that lie across. Sparks
				and slag leave below.
			</li>
			<li>
				Work clamp on bright metal, near the cut, on the piece that stays. Never on the one that
				falls.
			</li>
			<li>Dry-run the whole line first, hose and all. Slide, do not press.</li>
			<li>Look behind and under the plate: cables, tyres, fuel, your own leg.</li>
			<li>Call out, wait two or three seconds, then fire.</li>
		</ul>
	</section>
	<div class="min-w-0"><Cautions title="And always" /></div>
</div>
{#if bench.plan.figures['setup.lineS'].value !== null}
	<Stage
		when="while cutting"
		id="finish"
		title="The end of the cut"
		answer="it drops; air runs on {bench.say(bench.bench.torch.postFlowS, 'time')}"
		load={() => import('$lib/components/Cut/Finish.svelte')}
	/>
{/if}
<div class="below log"><LogButtons /></div>
<Stage
	when="after"
	id="read"
	wide
	title="Read the cut"
	answer="sparks, edge and dross say what to change"
	load={() => import('$lib/components/Read/ReadCut.svelte')}
/>
<Stage
	when="besides"
	id="scrap"
	title="Your own kerf and shield radius"
	answer="kerf {bench.sayFigure('setup.kerfMm')}, radius {bench.sayFigure('cut.radiusMm')}"
	load={() => import('$lib/components/Cut/Scrap.svelte')}
/>

<style>
	.split {
		display: grid;
		grid-template-columns: 1fr 352px;
	}
	.none {
		margin: 24px 0 8px;
		font-size: 4.125rem;
		line-height: 1.1;
		color: var(--stops);
	}
	.below {
		grid-template-columns: 1fr 480px;
	}
	.below.log {
		grid-template-columns: minmax(0, 1fr);
	}
	@media (max-width: 1099px) {
		.split,
		.below {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
