<script lang="ts">
	import { DROSSES, nextCut, judgedBy, readResult, SIGNS, suspectsOf, type Sign } from '$lib/core';
	import Choice from '$lib/components/Fields/Choice.svelte';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { logTestCut, testCut } from '$lib/state/logbook';
	import Check from '$lib/components/Fields/Check.svelte';
	import { inSheet } from '$lib/components/Words/sheet';
	import { SPARKS_READ_FROM_MM } from '$lib/core/speed/speed';
	import { TEST_CUT_RANGES } from '$lib/core/evidence/measured';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import EdgeSketch from './EdgeSketch.svelte';
	import SparkDial from './SparkDial.svelte';
	import { CAUSE_WORDS, correction, seenForFinder, SIGN_WORDS, whyMoved } from './words';

	/** The cut that was just made: what sparks and edge tell, the one correction, and what to look at next. */
	type Dross = (typeof DROSSES)[number];
	const bench = getWorkbench();
	let signs = $state<Partial<Record<Sign, boolean>>>({});
	let read = $state(false);
	let lagDeg = $state(22);
	let held = $state<number | null>(null);
	let counts = $state(true);

	/** What a hand was to hold, which in sheet is less than the amps ask for. */
	const planned = $derived(bench.plan.figures['setup.handMmS'].value ?? 0);
	const heldMmS = $derived(held ?? planned);
	const thin = $derived(inSheet(bench.plan));
	const angle = $derived(read && !thin ? lagDeg : null);
	const reading = $derived(readResult({ signs, lagDeg: angle }, suspectsOf(bench.plan)));
	const best = $derived(reading.beliefs[0]!);
	const nothing = $derived(angle === null && Object.keys(signs).length === 0);
	const percent = (share: number) => bench.say(share, 'share');

	/** Not looked for, seen, not there, and round again. */
	function turn(sign: Sign) {
		const now = signs[sign];
		const rest = { ...signs };
		delete rest[sign];
		signs = now === undefined ? { ...rest, [sign]: true } : now ? { ...rest, [sign]: false } : rest;
	}
	function answer(sign: Sign, is: boolean) {
		signs = { ...signs, [sign]: is };
	}
	const dross = $derived<Dross>(
		signs['soft-dross'] ? 'soft' : signs['hard-dross'] ? 'hard' : 'none'
	);
	/** The cut as it would be taken. */
	const seen = $derived({
		speedMmS: heldMmS,
		lagDeg: angle,
		dross,
		judged: judgedBy(best.cause),
		through: signs['not-through'] !== true
	});
	/** One number: what is advised here is what the card and the practice line then ask. */
	const next = $derived(heldMmS > 0 ? nextCut(bench.inputs, testCut(bench, seen)) : undefined);
	async function take() {
		if (await logTestCut(bench, seen, counts)) {
			signs = {};
			read = false;
			held = null;
		}
	}
	/** What was seen here is answered there. */
	const door = $derived.by(() => {
		const seen = seenForFinder(signs, angle);
		return seen && `&seen=${encodeURIComponent(seen)}`;
	});
	const STATE = { true: 'seen', false: 'not there', undefined: 'not looked for' } as const;
	const stateOf = (sign: Sign) => STATE[String(signs[sign]) as keyof typeof STATE];
</script>

<section aria-label="Read the cut">
	<h2 class="h text-[1.125rem]">Read the cut</h2>
	<div class="mt-1 grid gap-x-6 gap-y-3 sm:grid-cols-2">
		<div>
			{#if thin}
				<p class="sub">
					In sheet under {bench.say(SPARKS_READ_FROM_MM, 'small')} the sparks tell nothing; go by the
					edge.
				</p>
			{:else}
				<Choice
					label="Sparks"
					options={[
						{ value: 'no', label: 'Sparks not read', help: 'Only what the edge shows is used.' },
						{
							value: 'yes',
							label: bench.say(lagDeg, 'angle'),
							help: 'How far the sparks below trail behind the torch, from straight down.'
						}
					]}
					value={read ? 'yes' : 'no'}
					choose={(r) => (read = r === 'yes')}
				/>
				<SparkDial
					{lagDeg}
					set={(deg) => ((lagDeg = deg), (read = true))}
					text={(deg) => bench.say(deg, 'angle')}
				/>
			{/if}
			<p class="mt-2"><a class="btn" href="/photo?{bench.search}&of=edge">Edge from a photo</a></p>
			<div class="mt-2 max-w-[200px]">
				<QuantityField
					label="Speed held"
					quantity="speed"
					optional
					placeholder={planned > 0 ? bench.say(planned, 'speed') : ''}
					value={held}
					range={TEST_CUT_RANGES.speedMmS}
					commit={(value) => void (held = value)}
				/>
			</div>
		</div>
		<div class="signs" role="group" aria-label="What the cut shows">
			{#each SIGNS as sign (sign)}
				<button
					type="button"
					class="sign {stateOf(sign).replaceAll(' ', '-')}"
					aria-label="{SIGN_WORDS[sign].name}: {stateOf(sign)}"
					onclick={() => turn(sign)}
				>
					<span aria-hidden="true">{signs[sign] === undefined ? '·' : signs[sign] ? '✓' : '✕'}</span
					>
					<EdgeSketch {sign} />
					{SIGN_WORDS[sign].name}
				</button>
			{/each}
		</div>
	</div>
	{#if signs['not-through']}
		<p class="door" data-testid="not-through">
			<b>Why not through?</b> The finder asks where to look, the cheapest look that tells most
			first.
			<a class="btn btn-primary" href="/fault?{bench.search}&of=not-through{door}">Find out why</a>
		</p>
	{/if}
</section>
<section aria-label="What it means" aria-live="polite" data-testid="reading">
	{#if nothing}
		<p class="sub mt-8">Set the sparks as you saw them, or press what the cut shows.</p>
	{:else}
		<p class="fig cause" style:color={best.cause === 'right' ? 'var(--holds)' : 'var(--arc)'}>
			{CAUSE_WORDS[best.cause]}
		</p>
		<p class="text-[1.125rem] font-semibold">
			{next ? correction(best.cause, bench, { heldMmS, next }) : ''}
		</p>
		{#if next}<p class="text-[0.9375rem]" data-testid="why-moved">{whyMoved(next, bench)}</p>{/if}
		<ul class="mt-2" aria-label="How sure">
			{#each reading.beliefs.slice(0, 4) as { cause, share } (cause)}
				<li class="flex items-center gap-3 text-[0.9375rem]">
					<span class="w-[170px] flex-none">{CAUSE_WORDS[cause]}</span>
					<span class="bar" style:width="{(100 * share).toFixed(1)}%"></span>
					<span class="fig text-[1.125rem]">{percent(share)}</span>
				</li>
			{/each}
		</ul>
		{#if reading.next}
			{@const next = reading.next}
			<div class="mt-3 flex flex-wrap items-center gap-2" data-testid="look-next">
				<span class="grow">Look next: <b>{SIGN_WORDS[next].look}</b></span>
				<button type="button" class="btn" onclick={() => answer(next, true)}>Yes</button>
				<button type="button" class="btn" onclick={() => answer(next, false)}>No</button>
			</div>
		{/if}
		<div class="mt-3 flex flex-wrap gap-2">
			<button
				type="button"
				class="btn btn-primary btn-xl"
				disabled={!(heldMmS > 0)}
				onclick={() => void take()}>Log it as a test cut</button
			>
			<button
				type="button"
				class="btn"
				onclick={() => {
					signs = {};
					read = false;
				}}>Start over</button
			>
		</div>
		<Check bind:on={counts}
			>Counts for the wear of the parts; leave off if you logged the cut already</Check
		>
		<p class="mt-2">
			<a
				class="link"
				href="/fault?{bench.search}&of={signs.sputters ? 'sputters' : 'rough-edge'}{door}"
				>Something else is wrong: find it</a
			>
		</p>
		<p class="sub mt-2">
			Which sign goes with which cause is common practice; how often is our own. What the plan finds
			tight is suspected first.
		</p>
	{/if}
</section>

<style>
	.signs {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 8px;
		align-content: start;
	}
	.sign {
		display: flex;
		align-items: center;
		gap: 8px;
		min-height: 64px;
		padding: 4px 8px;
		font-size: 1rem;
		font-weight: 600;
		text-align: left;
		color: var(--ink);
		border: 1.5px dashed var(--ink2);
		border-radius: 3px;
		cursor: pointer;
	}
	.sign.seen {
		background: var(--arc);
		border: 1.5px solid var(--arc);
		color: var(--color-primary-content);
	}
	.sign.not-there {
		border: 1.5px solid var(--ink);
		color: var(--ink2);
	}
	.door {
		margin-top: 12px;
		padding: 8px 14px;
		border-left: 6px solid var(--stops);
		background: var(--stops-wash);
	}
	.cause {
		font-size: 2.875rem;
	}
	.bar {
		height: 14px;
		max-width: calc(100% - 250px);
		background: var(--arc);
	}
</style>
