<script lang="ts">
	import type { AbleBench } from '$lib/formats/bodies/planned';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Too thick here: which other bench of the shop parts it, and how fast. */
	const bench = getWorkbench();
	let able = $state.raw<AbleBench[] | undefined>();
	const asked = $derived(JSON.stringify([bench.calmInputs.cut, bench.benchId]));

	$effect(() => {
		const body = JSON.stringify({
			benchId: bench.benchId,
			cut: (JSON.parse(asked) as unknown[])[0]
		});
		const stop = new AbortController();
		const headers = { 'content-type': 'application/json' };
		fetch('/api/elsewhere', { method: 'POST', headers, body, signal: stop.signal })
			.then(
				async (r) => (able = r.ok ? ((await r.json()) as { benches: AbleBench[] }).benches : [])
			)
			// Without the server nothing is known of the other benches, and nothing is said.
			.catch(() => (able = undefined));
		return () => stop.abort();
	});
</script>

{#if able?.length}
	<ul class="text-[0.9375rem]" data-testid="elsewhere">
		{#each able as one (one.id)}
			<li>
				<a class="underline" href="/setup?{bench.searchOn(one.id)}"><b>{one.name}</b></a>
				parts it: {bench.say(one.outputA, 'current')}, {bench.say(one.speedMmS, 'speed')}
			</li>
		{/each}
	</ul>
{:else if able}
	<p class="sub">No other bench of this shop parts it.</p>
{/if}
