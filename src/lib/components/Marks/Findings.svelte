<script lang="ts">
	import type { Station } from '$lib/core';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Refusals, cautions and safety notes of a station. They cannot be dismissed, and
	 * come when a hand that drags rests. */
	let { station }: { station: Station } = $props();
	const bench = getWorkbench();
	const findings = $derived(bench.calmPlan.findings.filter((f) => f.station === station));
	const WORDS = { refusal: 'No.', safety: 'Safety.', caution: 'Mind.', advice: 'Tip.' } as const;
</script>

{#each findings as finding, i (i)}
	<p class="note {finding.kind}" role={finding.kind === 'refusal' ? 'alert' : undefined}>
		<b>{WORDS[finding.kind]}</b>
		{bench.sayAll(finding)}
	</p>
{/each}

<style>
	.note {
		margin-top: 10px;
		padding: 8px 12px;
		font-size: 15px;
		line-height: 1.3;
		background: var(--spark-wash);
		border-left: 6px solid var(--tight);
	}
	.note.refusal {
		background: var(--stops-wash);
		border-left-color: var(--stops);
	}
	.note.advice {
		background: var(--arc-wash);
		border-left-color: var(--arc);
	}
</style>
