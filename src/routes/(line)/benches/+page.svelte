<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';
	import { AIMS, METAL_IDS, METALS, thicknessStepMm } from '$lib/core';
	import { LINE_CUT_RANGES } from '$lib/core/cut/lineCut';
	import BenchRow from '$lib/components/Benches/BenchRow.svelte';
	import Manage from '$lib/components/Benches/Manage.svelte';
	import { scaleOf } from '$lib/components/Benches/scale';
	import { askedOf, shopAnswer } from '$lib/components/Benches/words';
	import { AIM_WORDS } from '$lib/components/Card/words';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import Mark from '$lib/components/Marks/Mark.svelte';
	import { CanCutQuestion } from '$lib/state/canCut.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { PageProps } from './$types';

	/** One question, all benches of the shop; and the benches themselves. */
	let { data }: PageProps = $props();
	const bench = getWorkbench();
	let once = $state(true);
	const question = new CanCutQuestion(untrack(() => data.answers));
	onMount(() => () => question.close());

	const cut = $derived(bench.calmInputs.cut);
	let known = untrack(() => JSON.stringify([data.asked, true]));
	$effect(() => {
		const now = JSON.stringify([cut, once]);
		if (now === known) return;
		known = now;
		untrack(() => question.ask(cut, once));
	});
	const again = () => question.ask(cut, once);

	const { answers } = $derived(question);
	const best = $derived(answers[0]!);
	const told = $derived(shopAnswer(answers, cut, bench));
	const scale = $derived(scaleOf(answers, cut.layers * cut.thicknessMm, bench.units));
	const metals = METAL_IDS.map((value) => ({ value, label: METALS[value].label }));
	const aims = AIMS.map((value) => ({
		value,
		label: AIM_WORDS[value].replace(/^./, (c) => c.toUpperCase())
	}));
	const stepMm = $derived(thicknessStepMm(bench.units));
	function step(by: 1 | -1) {
		const [least, most] = LINE_CUT_RANGES.thicknessMm;
		const next = (Math.round(bench.cut.thicknessMm / stepMm) + by) * stepMm;
		bench.setCut({ thicknessMm: Math.min(most, Math.max(least, next)) });
	}
</script>

<svelte:head><title>Can I cut this? · Steady Arc</title></svelte:head>

<div class="px-6 pt-3 max-[899px]:px-3">
	<div class="flex flex-wrap items-end gap-x-4 gap-y-2">
		<h1 class="fig mr-2 text-[2.5rem] whitespace-normal">Can I cut this?</h1>
		<Select
			label="Metal"
			options={metals}
			value={cut.metal}
			choose={(metal) => bench.setCut({ metal })}
		/>
		<div class="flex items-end gap-2">
			<button type="button" class="btn" aria-label="Thinner" onclick={() => step(-1)}
				><Minus size={22} aria-hidden="true" /></button
			>
			<div class="w-28">
				<QuantityField
					label="Thickness"
					quantity="thickness"
					value={cut.thicknessMm}
					range={LINE_CUT_RANGES.thicknessMm}
					commit={(thicknessMm) => bench.setCut({ thicknessMm: thicknessMm! })}
				/>
			</div>
			<button type="button" class="btn" aria-label="Thicker" onclick={() => step(1)}
				><Plus size={22} aria-hidden="true" /></button
			>
		</div>
		<Select
			label="What matters"
			options={aims}
			value={cut.aim}
			choose={(aim) => bench.setCut({ aim })}
		/>
		<Choice
			label="How often"
			showLabel
			options={[
				{
					value: 'once',
					label: `${bench.say(cut.lengthMm, 'length')}, once`,
					help: 'One cut from cold, then a rest.'
				},
				{
					value: 'over',
					label: 'over and over',
					help: 'Again and again with the bench’s usual pause.'
				}
			]}
			value={once ? 'once' : 'over'}
			choose={(often) => (once = often === 'once')}
		/>
		<p class="sub min-w-40 flex-1 text-right max-[899px]:text-left">
			Each bench as it stands now, at its full amps
		</p>
	</div>
	<div aria-live="polite" class:old={question.waiting}>
		<p
			class="mt-3 flex items-center gap-3 border-t-2 pt-3"
			style:border-color="var(--ink)"
			data-testid="shop-answer"
		>
			<Mark verdict={told.verdict} size={34} />
			<span class="fig text-[2.5rem] leading-none whitespace-normal">{told.text}</span>
		</p>
		{#if question.problem}<p class="mt-2 alert alert-error" role="alert">{question.problem}</p>{/if}
	</div>
	<div class="scale" aria-hidden="true">
		<span class="sub">{answers.length} benches, best answer first</span>
		<div class="marks">
			{#each scale.marksMm as mm (mm)}
				<span class="fig" style:left="{(100 * mm) / scale.mostMm}%"
					>{bench.show(mm, 'thickness').text}</span
				>
			{/each}
		</div>
		<span class="sub">{bench.show(1, 'thickness').unit}</span>
	</div>
	<ul aria-label="Benches and {askedOf(cut, bench)}" class:old={question.waiting}>
		{#each answers as answer (answer.id)}
			<BenchRow {answer} {best} mostMm={scale.mostMm}>
				{#snippet manage()}
					<Manage {answer} others={answers.filter(({ id }) => id !== answer.id)} changed={again} />
				{/snippet}
			</BenchRow>
		{/each}
	</ul>
	<div class="flex flex-wrap items-center gap-3 border-t-2 py-3" style:border-color="var(--ink)">
		<a class="btn btn-neutral" href="/start">New bench</a>
		<a class="btn" href="/bench?{bench.search}">This bench, part by part</a>
		<p class="sub">A bench from a file is taken in on “This bench”.</p>
	</div>
</div>

<style>
	.old {
		color: var(--ink2);
	}
	.scale {
		display: grid;
		/* As the rows: one scale for all bars. */
		grid-template-columns: minmax(0, 17fr) minmax(0, 21fr) minmax(0, 11fr) minmax(0, 11fr) minmax(
				0,
				15fr
			);
		column-gap: 24px;
		align-items: end;
		padding: 8px 0 4px;
	}
	.marks {
		position: relative;
		height: 24px;
	}
	.marks span {
		position: absolute;
		transform: translateX(-50%);
		font-size: 1.125rem;
		line-height: 24px;
	}
	@media (max-width: 1099px) {
		.scale {
			display: none;
		}
	}
</style>
