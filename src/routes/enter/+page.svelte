<script lang="ts">
	import { page } from '$app/state';
	import Logo from '$lib/components/Header/Logo.svelte';

	/** Asks for the shop's passcode, or lets the first one who comes choose it. */
	const isNew = $derived(page.url.searchParams.has('new'));
	const WHY: Record<string, string> = {
		wrong: 'That is not the passcode.',
		wait: 'Too many wrong tries. Wait ten minutes, or set a new passcode on the server: npm run passcode.',
		short: 'A passcode has 6 to 64 characters.'
	};
	const why = $derived(WHY[page.url.searchParams.get('why') ?? '']);
</script>

<svelte:head><title>Passcode · Steady Arc</title></svelte:head>

<main class="sheet mx-auto min-h-screen max-w-xl p-6">
	<p class="flex items-center gap-3"><Logo /><span class="fig text-[1.875rem]">Steady Arc</span></p>
	<h1 class="fig mt-6 text-[2.875rem]" style:white-space="normal">
		{isNew ? 'Choose the shop’s passcode' : 'The shop’s passcode'}
	</h1>
	<p class="mt-2">
		{#if isNew}
			Nobody has set one yet. Whoever opens this shop from the network is asked for it from now on;
			this device is not asked again for a year.
		{:else}
			Asked once on each device. The machine that the server runs on needs none.
		{/if}
	</p>
	{#if why}<p class="mt-3 font-semibold" style:color="var(--stops)" role="alert">{why}</p>{/if}
	<form method="POST" action="/enter" class="mt-4 flex flex-wrap items-end gap-3">
		<input type="hidden" name="to" value={page.url.searchParams.get('to') ?? '/'} />
		<label class="grow">
			<span class="sub mb-2 block">Passcode</span>
			<!-- svelte-ignore a11y_autofocus -->
			<input
				class="code"
				name="passcode"
				type="password"
				autocomplete={isNew ? 'new-password' : 'current-password'}
				minlength={isNew ? 6 : undefined}
				maxlength="64"
				required
				autofocus
			/>
		</label>
		<button class="btn btn-primary btn-xl">{isNew ? 'Set it and go in' : 'Go in'}</button>
	</form>
</main>

<style>
	.code {
		width: 100%;
		min-height: 64px;
		padding: 0 14px;
		font-size: 1.75rem;
		color: var(--ink);
		background: var(--card);
		border: 2px solid var(--ink);
		border-radius: 3px;
	}
</style>
