<script lang="ts">
	import type { Snippet } from 'svelte';

	/** What is wanted now and then, behind its own heading. */
	let {
		summary,
		open = $bindable(false),
		testid,
		children
	}: { summary: string; open?: boolean; testid?: string; children: Snippet } = $props();
</script>

<details class="collapse-plus collapse" bind:open data-testid={testid}>
	<summary class="collapse-title">{summary}</summary>
	<div class="collapse-content">{@render children()}</div>
</details>
