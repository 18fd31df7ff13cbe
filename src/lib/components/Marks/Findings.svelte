<script lang="ts">
	import type { Station } from '$lib/core';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Refusals, cautions and safety notes of a station. They cannot be dismissed, and
	 * come when a hand that drags rests. */
	let { station }: { station: Station } = $props();
	const bench = getWorkbench();
	const findings = $derived(bench.said.findings.filter((f) => f.station === station));
	const WORDS = { refusal: 'No.', safety: 'Safety.', caution: 'Mind.', advice: 'Tip.' } as const;
	const KINDS = {
		refusal: 'alert-error',
		safety: 'alert-warning',
		caution: 'alert-warning',
		advice: 'alert-info'
	} as const;
</script>

{#each findings as finding, i (i)}
	<p
		class="alert {KINDS[finding.kind]} mt-2.5 block"
		role={finding.kind === 'refusal' ? 'alert' : undefined}
	>
		<b>{WORDS[finding.kind]}</b>
		{bench.sayAll(finding)}
	</p>
{/each}
