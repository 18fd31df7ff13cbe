<script lang="ts">
	import Select from '$lib/components/Fields/Select.svelte';
	import { fitNewSet, fitPart, type WhyOut } from '$lib/state/parts';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { Why } from '$lib/core/wear/parts';

	/** What was put into the torch, and why the one before came out: two choices and one press. */
	const bench = getWorkbench();
	const WHAT = [
		{ value: 'pair', label: 'Electrode and nozzle, the pair' },
		{ value: 'electrode', label: 'Electrode alone' },
		{ value: 'nozzle', label: 'Nozzle alone' },
		{ value: 'ring', label: 'Swirl ring' },
		{ value: 'cap', label: 'Retaining cap' },
		{ value: 'shield', label: 'Shield' },
		{ value: 'o-ring', label: 'O-ring' },
		{ value: 'gouge-nozzle', label: 'Gouging nozzle' }
	] as const;
	type What = (typeof WHAT)[number]['value'];
	const NAMES = {
		nozzle: 'nozzle',
		ring: 'swirl ring',
		cap: 'retaining cap',
		shield: 'shield',
		'o-ring': 'o-ring',
		'gouge-nozzle': 'gouging nozzle'
	};
	const PAIR_WHY: readonly { value: string; label: string; why: WhyOut }[] = [
		{
			value: 'electrode',
			label: 'the electrode was worn',
			why: { electrode: 'worn', nozzle: 'partner' }
		},
		{
			value: 'nozzle',
			label: 'the nozzle was worn',
			why: { electrode: 'partner', nozzle: 'worn' }
		},
		{ value: 'both', label: 'both were worn', why: { electrode: 'worn', nozzle: 'worn' } },
		{ value: 'blown', label: 'they were blown', why: { electrode: 'blown', nozzle: 'blown' } },
		{ value: 'none', label: 'no reason told', why: {} }
	];
	const ONE_WHY: readonly { value: Why | 'none'; label: string }[] = [
		{ value: 'worn', label: 'it was worn' },
		{ value: 'blown', label: 'it was blown' },
		{ value: 'cracked', label: 'it was cracked' },
		{ value: 'lost', label: 'it was lost' },
		{ value: 'none', label: 'no reason told' }
	];
	let what = $state<What>('pair');
	let pairWhy = $state('electrode');
	let oneWhy = $state<Why | 'none'>('worn');

	function nextName(): string {
		const letter = /Pair ([A-Y])$/.exec(bench.partSet?.name ?? '')?.[1];
		return letter ? `Pair ${String.fromCharCode(letter.charCodeAt(0) + 1)}` : 'New pair';
	}
	function change() {
		const one = oneWhy === 'none' ? undefined : oneWhy;
		if (what === 'pair') {
			void fitNewSet(bench, nextName(), { why: PAIR_WHY.find((w) => w.value === pairWhy)!.why });
		} else if (what === 'electrode') {
			void fitNewSet(bench, nextName(), { alone: true, ...(one && { why: { electrode: one } }) });
		} else void fitPart(bench, what, NAMES[what], one);
	}
</script>

<section aria-label="Changed parts">
	<h2 class="h">Changed parts</h2>
	<div class="mt-1 grid gap-2">
		<Select label="Put in" options={WHAT} value={what} choose={(to) => (what = to)} />
		{#if what === 'pair'}
			<Select label="because" options={PAIR_WHY} value={pairWhy} choose={(w) => (pairWhy = w)} />
		{:else}
			<Select label="because" options={ONE_WHY} value={oneWhy} choose={(w) => (oneWhy = w)} />
		{/if}
		<button type="button" class="btn btn-xl" onclick={change}
			>{what === 'pair' ? 'A new pair is in' : 'A new one is in'}</button
		>
	</div>
	<p class="sub mt-1">
		Only “worn” ends a life in the forecast: a part that was lost or came out with its partner tells
		only that it came so far.
	</p>
</section>
