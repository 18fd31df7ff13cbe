<script lang="ts">
	import { encode } from 'uqr';
	import { page } from '$app/state';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** The same place on a phone, by a code to hold the camera to; and the link for a screen that only looks. */
	const bench = getWorkbench();
	let reach = $state.raw<{ origins: string[]; wallPath: string | null } | undefined>();
	let chosen = $state(0);
	$effect(() => {
		fetch('/api/reach')
			.then(async (response) => {
				if (response.ok) reach = (await response.json()) as typeof reach;
			})
			.catch(() => undefined);
	});
	const origin = $derived(reach?.origins[chosen]);
	const address = $derived(origin && `${origin}${page.url.pathname}?${bench.search}`);
	let copied = $state('Copy the link');
	async function copy() {
		// Plain http, as in a shop’s network, has no clipboard: the link stands above to be marked.
		try {
			await navigator.clipboard.writeText(address!);
			copied = 'Copied';
		} catch {
			copied = 'Not copied: mark the link above';
		}
	}
	/** Modules of the code as one path. */
	const code = $derived.by(() => {
		if (!address) return undefined;
		const { data, size } = encode(address, { border: 4 });
		const path = data
			.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : [])))
			.join('');
		return { path, size };
	});
</script>

<section aria-label="On a phone">
	<h2 class="h">On a phone</h2>
	{#if reach && !address}
		<p class="sub">
			This server answers on this machine only. Start it with <code>HOST=0.0.0.0</code> to open it to
			the shop’s network; phones are then asked for a passcode.
		</p>
	{:else if code}
		<div class="flex flex-wrap items-start gap-4">
			<svg
				class="size-[200px] flex-none border border-[var(--rule)]"
				viewBox="0 0 {code.size} {code.size}"
				role="img"
				aria-label="Code that opens {address} on a phone"
				shape-rendering="crispEdges"
			>
				<rect width={code.size} height={code.size} fill="#fff" />
				<path d={code.path} fill="#000" />
			</svg>
			<div class="min-w-[180px] flex-1">
				<p>Hold the phone’s camera to it: this very bench and cut open.</p>
				<p class="break-all"><a class="underline" href={address}>{address}</a></p>
				<button type="button" class="btn mt-2" onclick={() => void copy()}>{copied}</button>
				{#if reach && reach.origins.length > 1}
					<button
						type="button"
						class="btn mt-2"
						onclick={() => (chosen = (chosen + 1) % reach!.origins.length)}
						>Does not open: try the next address</button
					>
				{/if}
				{#if reach?.wallPath}
					<p class="sub mt-2">
						For a screen on the wall that only looks:
						<span class="break-all">{origin}{reach.wallPath}</span>
					</p>
				{/if}
			</div>
		</div>
	{/if}
</section>
