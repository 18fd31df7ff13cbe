<script lang="ts">
	import Choice from '$lib/components/Fields/Choice.svelte';
	import Select from '$lib/components/Fields/Select.svelte';
	import TextField from '$lib/components/Fields/TextField.svelte';
	import type { ListId } from '$lib/core/preflight/item';
	import { OWN_MOST } from '$lib/core/preflight/own';
	import { newOpId } from '$lib/state/ids';
	import type { Preflight } from '$lib/state/preflight.svelte';
	import { LIST_WORDS } from './words';

	/** Checks that this shop adds to the lists. */
	let { view }: { view: Preflight } = $props();
	const own = $derived(view.own?.own ?? []);
	let list = $state<ListId>('day');
	let ask = $state('');
	let why = $state('');
	let verdict = $state<'tight' | 'stops'>('tight');
	const lists = (['day', 'cut', 'groove'] as const).map((value) => ({
		value,
		label: LIST_WORDS[value].name
	}));
	const full = $derived(own.filter((o) => o.list === list).length >= OWN_MOST);
	function takeAsk(text: string) {
		if (text.trim().length > 60) return '60 characters at most';
		ask = text;
	}
	function takeWhy(text: string) {
		if (text.trim().length > 160) return '160 characters at most';
		why = text;
	}
	async function add() {
		const id = `own-${newOpId()
			.toLowerCase()
			.replace(/[^a-z0-9]/g, '')
			.slice(0, 20)}`;
		if (await view.saveOwn([...own, { id, list, ask: ask.trim(), why: why.trim(), verdict }])) {
			ask = '';
			why = '';
		}
	}
</script>

<section aria-label="Checks of this shop">
	{#if view.own === undefined}
		<p class="sub">The server does not answer: the shop’s own checks are not known here.</p>
	{:else}
		<ul>
			{#each own as one (one.id)}
				<li>
					<span
						><b>{one.ask}</b>
						<span class="sub"
							>{LIST_WORDS[one.list].name}, {one.verdict === 'stops'
								? 'stops the arc when not so'
								: 'may be gone on with'}</span
						></span
					>
					<button
						type="button"
						class="btn"
						onclick={() => void view.saveOwn(own.filter(({ id }) => id !== one.id))}
						>Take away<span class="sr-only"> {one.ask}</span></button
					>
				</li>
			{:else}
				<li class="sub">None yet: a permit, a gate key, a phone that works down there.</li>
			{/each}
		</ul>
		<div class="mt-2 grid items-end gap-2 desk:grid-cols-[10rem_2fr_2fr_auto_auto]">
			<Select label="In which list" options={lists} value={list} choose={(l) => (list = l)} />
			<TextField label="What has to be so" value={ask} commit={(t) => takeAsk(t)} />
			<TextField label="Why" value={why} commit={(t) => takeWhy(t)} />
			<Choice
				label="When it is not so"
				options={[
					{ value: 'tight', label: 'May go on', help: 'It is told, and may be gone on with.' },
					{ value: 'stops', label: 'Stops', help: 'No arc before it is mended.' }
				]}
				value={verdict}
				choose={(v) => (verdict = v)}
			/>
			<button
				type="button"
				class="btn"
				disabled={full || ask.trim() === ''}
				onclick={() => void add()}>Add</button
			>
		</div>
		{#if full}<p class="sub">At most {OWN_MOST} of your own in one list.</p>{/if}
	{/if}
</section>

<style>
	li {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 12px;
		min-height: 48px;
		border-bottom: 1px solid var(--rule);
	}
</style>
