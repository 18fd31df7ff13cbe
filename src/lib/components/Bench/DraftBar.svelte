<script lang="ts">
	import { saveBench, takeTheirs } from '$lib/state/saveBench';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Shown while the bench is being edited: everything plans with the draft until it is saved. */
	const bench = getWorkbench();
</script>

{#if bench.draft.theirs}
	<div
		class="no-print flex flex-wrap items-center gap-2 border-b-[1.5px] border-[var(--arc)] bg-[var(--arc-wash)] px-6 py-1.5"
		role="alert"
	>
		<span class="grow"
			><b>Somebody saved this bench in between.</b> Nothing was overwritten. {#if bench.draft.theirs.fields.length}You
				both changed: {bench.draft.theirs.fields.join(', ')}.{:else}Put together the two do not make
				a bench.{/if} Theirs is revision {bench.draft.theirs.revision}.</span
		>
		<button type="button" class="btn" onclick={() => takeTheirs(bench)}>Take theirs</button>
		<button
			type="button"
			class="btn btn-primary"
			onclick={() => void saveBench(bench, bench.draft.theirs!.revision)}>Save mine over it</button
		>
	</div>
{:else if bench.draft.edited}
	<div
		class="no-print flex flex-wrap items-center gap-2 border-b-[1.5px] border-[var(--arc)] bg-[var(--arc-wash)] px-6 py-1.5"
		data-testid="draft-bar"
	>
		<span class="grow"><b>Bench edited, not saved.</b> All figures already follow.</span>
		<button type="button" class="btn" onclick={() => bench.draft.undo()}>Undo</button>
		<button type="button" class="btn" onclick={() => bench.draft.discard()}>Discard</button>
		<button type="button" class="btn btn-primary" onclick={() => void saveBench(bench)}
			>Save bench</button
		>
	</div>
{/if}
