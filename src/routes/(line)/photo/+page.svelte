<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { page } from '$app/state';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import FileButton from '$lib/components/Fields/FileButton.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import Edge from '$lib/components/Photo/Edge.svelte';
	import End from '$lib/components/Photo/End.svelte';
	import HowTo from '$lib/components/Photo/HowTo.svelte';
	import Kerf from '$lib/components/Photo/Kerf.svelte';
	import Kept from '$lib/components/Photo/Kept.svelte';
	import Rule from '$lib/components/Photo/Rule.svelte';
	import Nozzle from '$lib/components/Photo/Nozzle.svelte';
	import { PHOTO_HEADS, PHOTO_KINDS, STAGE_WORDS } from '$lib/components/Photo/words';
	import { FACE_MM } from '$lib/core/torch/inputs';
	import { PHOTO_ACCEPT } from '$lib/formats/photoAccept';
	import { PhotoReading } from '$lib/state/photo.svelte';
	import { edit } from '$lib/state/edit';
	import { RuleScale } from '$lib/state/ruleScale.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** What a phone's camera reads: the bore of a nozzle, the lag of an edge. */
	const bench = getWorkbench();
	const photo = new PhotoReading();
	onMount(() => () => photo.clear());
	let of = $state(PHOTO_KINDS.find((one) => one === page.url.searchParams.get('of')) ?? 'nozzle');
	const fitted = $derived(
		bench.bench.torch.nozzles.findIndex(
			(n) => n.kind === 'cut' && n.ratingA === bench.bench.torch.fittedA
		)
	);
	/** Of the drawn nozzle: nobody has to tell it to try that one. */
	let drawnFaceMm = $state<number | null>(null);
	const toldFaceMm = $derived(bench.bench.torch.nozzles[fitted]?.faceMm ?? null);
	const faceMm = $derived(drawnFaceMm ?? toldFaceMm);
	/** What the arc went through, as the log has it. */
	const thicknessMm = $derived(bench.plan.figures['setup.arcMm'].value ?? bench.cut.thicknessMm);
	let missing = $state(false);
	const question = () =>
		of === 'nozzle'
			? { of, faceMm: faceMm! }
			: of === 'edge'
				? { of, thicknessMm }
				: of === 'kerf'
					? { of, tickMm: rule.tickMm! }
					: { of };
	const rule = new RuleScale(untrack(() => (bench.units === 'metric' ? '1' : '32')));
	onMount(() => rule.recall());
	$effect(() => {
		const { tickMm } = rule;
		untrack(() => {
			if (of !== 'kerf' || tickMm === null) return;
			missing = false;
			if (photo.told?.of === 'kerf') photo.ask({ of: 'kerf', tickMm });
		});
	});
	function take(file: File) {
		missing = (of === 'nozzle' && faceMm === null) || (of === 'kerf' && rule.tickMm === null);
		if (missing) return;
		photo.take(file, question());
	}
	// Another scale, typed or taken back, reads the same picture anew; another bench has other parts.
	$effect(() => {
		if (faceMm === null) return;
		const asked = { of: 'nozzle' as const, faceMm };
		untrack(() => of === 'nozzle' && photo.told?.of === 'nozzle' && photo.ask(asked));
	});
	let benchId = untrack(() => bench.benchId);
	$effect(() => {
		if (bench.benchId === benchId) return;
		benchId = bench.benchId;
		drawnFaceMm = null;
		photo.clear();
	});
	const DRAWN_FACE_MM = 9;
	async function example() {
		drawnFaceMm = of === 'nozzle' ? DRAWN_FACE_MM : null;
		rule.drawn = of === 'kerf';
		const name = `${of}.jpg`;
		const answer = await fetch(`/examples/${name}`).catch(() => undefined);
		if (!answer?.ok) {
			photo.problem = 'The drawn picture did not come: the server does not answer.';
			return;
		}
		take(new File([await answer.blob()], name, { type: 'image/jpeg' }));
	}
</script>

<svelte:head><title>From a photo · {bench.bench.name} · Steady Arc</title></svelte:head>

<div class="photo" data-testid="photo">
	<div class="bar">
		<h1 class="head">
			{PHOTO_HEADS[of]}
		</h1>
		<Choice
			label="What is in it"
			options={[
				{ value: 'nozzle', label: 'Nozzle', help: 'How far its bore has grown.' },
				{ value: 'edge', label: 'Cut edge', help: 'Lag and dross: was the speed right?' },
				{ value: 'end', label: 'From its end', help: 'How far it leans out of square.' },
				{ value: 'kerf', label: 'Kerf', help: 'How wide the cut is: guide and template go by it.' }
			]}
			value={of}
			choose={(to) => {
				of = to;
				missing = false;
				photo.clear();
			}}
		/>
		{#if of === 'nozzle'}
			<div class="w-[210px]">
				<QuantityField
					label="Flat face, across"
					quantity="small"
					optional
					placeholder="caliper or drawing"
					value={toldFaceMm}
					range={FACE_MM}
					commit={async (mm) => {
						const refused = await edit(bench, `torch.nozzles.${fitted}.faceMm`, mm);
						if (refused === undefined && mm !== null) {
							missing = false;
							drawnFaceMm = null;
						}
						return refused;
					}}
				/>
			</div>
		{:else if of === 'edge'}
			<p>
				<span class="sub">Plate</span><br /><b>{bench.say(thicknessMm, 'thickness')}</b>
				<a class="link" href="/setup?{bench.search}">another one</a>
			</p>
		{:else if of === 'kerf'}
			<Rule {rule} />
		{/if}
		<FileButton
			label={photo.file ? 'Another picture' : 'Take or choose a picture'}
			accept={PHOTO_ACCEPT}
			take={(file) => ((drawnFaceMm = null), (rule.drawn = false), take(file))}
			big
		/>
		{#if photo.stage}
			<p role="status" class="flex items-center gap-3">
				{STAGE_WORDS[photo.stage]}
				<button type="button" class="btn" onclick={() => photo.cancel()}>Stop</button>
			</p>
		{/if}
	</div>
	{#if missing || (of === 'kerf' && rule.tickMm === null && photo.file)}
		<p role="alert" class="note">
			{#if of === 'kerf'}How long is the paper rule from its 0 to its 100? Printers are not true:
				hold a steel rule to it once, and type what it measures.{:else}How wide is the flat face of
				this nozzle? It is the scale: it lies in the plane of the bore. Measure it once with a
				caliper, or take it from the part’s drawing.{/if}
		</p>
	{/if}
	{#if photo.problem}<p role="alert" class="note">{photo.problem}</p>{/if}
	{#if photo.told?.of === 'nozzle' && of === 'nozzle' && faceMm !== null}
		{#key photo.url}<Nozzle {photo} {faceMm} />{/key}
	{:else if photo.told?.of === 'edge' && of === 'edge'}
		{#key photo.url}<Edge {photo} {thicknessMm} />{/key}
	{:else if photo.told?.of === 'end' && of === 'end'}
		{#key photo.url}<End {photo} />{/key}
	{:else if photo.told?.of === 'kerf' && of === 'kerf' && rule.tickMm !== null}
		{#key `${photo.url} ${rule.tickMm}`}<Kerf {photo} tickMm={rule.tickMm} />{/key}
	{:else if !photo.busy}
		<HowTo {of} tryDrawn={() => void example()} />
	{/if}
	<Kept count={photo.kept} />
</div>

<style>
	.photo {
		padding: 12px 24px 32px;
	}
	.head {
		font-size: 1.75rem;
		font-weight: 700;
		align-self: center;
	}
	.bar {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 16px;
		margin-bottom: 16px;
	}
	.note {
		padding: 8px 14px;
		margin-bottom: 12px;
		border-left: 6px solid var(--stops);
		background: var(--stops-wash);
	}
	.photo :global(.sides) {
		display: grid;
		grid-template-columns: minmax(0, 3fr) minmax(300px, 2fr);
		gap: 28px;
		align-items: start;
	}
	@media (max-width: 899px) {
		.photo {
			padding-inline: 12px;
		}
		.photo :global(.sides) {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
