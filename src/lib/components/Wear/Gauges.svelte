<script lang="ts">
	import { onMount } from 'svelte';
	import ScreenMatch from '$lib/components/Drawing/ScreenMatch.svelte';
	import { fittedNozzle } from '$lib/core/torch/nozzle';
	import { boreLimitUm } from '$lib/core/wear/nozzle';
	import { keepScreenScale, NOMINAL_PX_PER_MM, screenScale } from '$lib/state/screenScale';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Pin and depth gauge in true size once the screen is matched to a rule, and what to look at. */
	const bench = getWorkbench();
	let pxPerMm = $state(NOMINAL_PX_PER_MM);
	let matched = $state(false);
	onMount(() => {
		({ pxPerMm, matched } = screenScale());
	});
	const newMm = $derived(fittedNozzle(bench.bench.torch).boreMm);
	const changeMm = $derived(newMm + boreLimitUm(newMm) / 1000);
	const pins = $derived([
		{ mm: newMm, told: 'new bore: this shank slides in' },
		{ mm: changeMm, told: 'goes in: change the nozzle' }
	]);
	const limitMm = $derived(bench.settings.pitLimitMm);
	const SHANK_MM = 24;
	const ROD_MM = 20;
</script>

<div data-testid="gauges">
	<p>
		Cutter off and cold, nozzle out, wiped clean. Push drill shanks or pin gauges through the bore
		from the face: the largest that slides without force is the reading. Turn it a quarter: what
		slides one way and not the other is an oval bore.
	</p>
	<ul class="mt-1">
		{#each pins as { mm, told } (told)}
			<li class="flex items-center gap-3">
				<svg
					width={SHANK_MM * pxPerMm}
					height={Math.max(4, 3 * pxPerMm)}
					role="img"
					aria-label="Pin of {bench.say(mm, 'small')}"
				>
					<rect
						x="0"
						y={(Math.max(4, 3 * pxPerMm) - mm * pxPerMm) / 2}
						width={SHANK_MM * pxPerMm}
						height={mm * pxPerMm}
						fill="var(--ink)"
					/>
				</svg>
				<span><b>{bench.say(mm, 'small')}</b> <span class="sub">{told}</span></span>
			</li>
		{/each}
	</ul>
	<p class="mt-1">
		Depth: the foot of the gauge on the rim of the electrode, its rod in the middle of the pit. Read
		it three times, turning it between.
	</p>
	<div class="flex items-center gap-3">
		<svg
			width={14 * pxPerMm}
			height={(ROD_MM + limitMm) * pxPerMm * 0.5 + 8}
			role="img"
			aria-label="Rod that stands {bench.say(limitMm, 'small')} under its foot"
		>
			<path
				d="M{pxPerMm} 2H{13 * pxPerMm}V{5 * pxPerMm}H{pxPerMm}Z"
				fill="var(--steel2)"
				stroke="var(--ink)"
				stroke-width="1.5"
			/>
			<rect
				x={6.5 * pxPerMm}
				y={5 * pxPerMm}
				width={pxPerMm}
				height={limitMm * pxPerMm}
				fill="var(--stops)"
			/>
		</svg>
		<span
			>rod this far under the foot: <b>{bench.say(limitMm, 'small')}</b>
			<span class="sub">change the electrode</span></span
		>
	</div>
	<p class="sub mt-1">
		Look as well: a bright even swirl is good; smeared marks tell of water, a blue face of heat, a
		nick at the bore’s edge slants the cut (common practice).
	</p>
	{#if !matched}<p class="sub">True size only after the screen was matched to a rule:</p>{/if}
	<ScreenMatch
		{pxPerMm}
		match={(px) => {
			pxPerMm = px;
			matched = true;
			keepScreenScale(px);
		}}
	/>
</div>
