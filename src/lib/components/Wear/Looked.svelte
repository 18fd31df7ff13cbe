<script lang="ts">
	import { LOOKS } from '$lib/core/evidence/entries/looks';
	import { logEntry } from '$lib/state/logbook';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import { LOOK_WORDS } from './words';

	/** What the parts looked like: one press, and what it tells of. */
	const bench = getWorkbench();
	const MEANS = {
		clean: 'Good: the air swirls as it should.',
		smeared: 'Moisture: drain, and look at the gel.',
		cracked: 'Arcing at the side: change the cup, and see that the parts sit tight.',
		blue: 'Too hot: more air, fewer amps or longer pauses.',
		nicked: 'Change the nozzle: the arc wanders and the edge slants.'
	} as const;
	let last = $state<(typeof LOOKS)[number] | undefined>();
	async function look(seen: (typeof LOOKS)[number]) {
		if (await logEntry(bench, { kind: 'look', seen }, `Looked: ${LOOK_WORDS[seen]} logged.`))
			last = seen;
	}
</script>

<section aria-label="Looked at the parts">
	<h2 class="h">Looked</h2>
	<div class="mt-1 flex flex-wrap gap-2">
		{#each LOOKS as seen (seen)}
			<button type="button" class="btn" onclick={() => void look(seen)}>{LOOK_WORDS[seen]}</button>
		{/each}
	</div>
	<p class="sub mt-1 min-h-5" aria-live="polite">
		{last ? `${MEANS[last]} (common practice)` : 'What the electrode and nozzle show by eye.'}
	</p>
</section>
