<script lang="ts">
	import type { Verdict } from '$lib/core';
	import Mark from './Mark.svelte';
	import { VERDICT_INK } from './ink';

	/** Mark and word together. */
	let { verdict, word, size = 15 }: { verdict: Verdict; word?: string; size?: number } = $props();
</script>

<span
	class="inline-flex items-center gap-1.5 font-bold whitespace-nowrap"
	style:color={VERDICT_INK[verdict]}
	style:font-size="{size}px"
>
	<Mark {verdict} size={size + 3} />{word ?? verdict}
</span>
