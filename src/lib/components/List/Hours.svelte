<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import QuantityField from '$lib/components/Fields/QuantityField.svelte';
	import { BREAKS_MOST, type DayList } from '$lib/core/list/inputs';
	import type { DayListView } from '$lib/state/dayList.svelte';

	/** When somebody works: begin, end of the day, breaks. */
	let { view, list }: { view: DayListView; list: DayList } = $props();
	type Break = DayList['breaks'][number];
	const setBreak = (at: number, change: Partial<Break>) =>
		view.edit((l) => ({
			...l,
			breaks: l.breaks.map((one, k) => (k === at ? { ...one, ...change } : one))
		}));
	const timeOf = (e: Event & { currentTarget: HTMLInputElement }) =>
		e.currentTarget.value.slice(0, 5);
</script>

<div>
	<label class="sub mb-0.5 block" for="starts-at">Begins at</label>
	<input
		id="starts-at"
		type="time"
		class="input w-full"
		value={list.startsAt}
		onchange={(e) => {
			const to = timeOf(e);
			if (to) view.edit((l) => ({ ...l, startsAt: to }));
		}}
	/>
</div>
<div>
	<label class="sub mb-0.5 block" for="ends-at">Day ends at, if it does</label>
	<input
		id="ends-at"
		type="time"
		class="input w-full"
		value={list.endsAt ?? ''}
		onchange={(e) => {
			const to = timeOf(e);
			view.edit((l) => ({ ...l, endsAt: to || null }));
		}}
	/>
</div>
<fieldset class="sm:col-span-2">
	<legend class="sub mb-0.5">Breaks, every day: no arc is begun that would not be over</legend>
	<ul class="flex flex-wrap gap-2">
		{#each list.breaks as one, k (k)}
			<li class="flex items-end gap-1">
				<input
					type="time"
					class="input w-32"
					aria-label="Break {k + 1} at"
					value={one.at}
					onchange={(e) => {
						const at = timeOf(e);
						if (at) setBreak(k, { at });
					}}
				/>
				<div class="w-28">
					<QuantityField
						label="lasts"
						quantity="time"
						value={one.forMin * 60}
						range={[60, 240 * 60]}
						commit={(s) => setBreak(k, { forMin: (s ?? 900) / 60 })}
					/>
				</div>
				<button
					type="button"
					class="btn btn-square"
					aria-label="Take break {k + 1} out"
					onclick={() =>
						view.edit((l) => ({ ...l, breaks: l.breaks.filter((_, other) => other !== k) }))}
					><X size={20} aria-hidden="true" /></button
				>
			</li>
		{/each}
		{#if list.breaks.length < BREAKS_MOST}
			<li class="self-end">
				<button
					type="button"
					class="btn"
					onclick={() =>
						view.edit((l) => ({
							...l,
							breaks: [...l.breaks, { at: l.breaks.length ? '12:00' : '10:00', forMin: 15 }]
						}))}>Add a break</button
				>
			</li>
		{/if}
	</ul>
</fieldset>
