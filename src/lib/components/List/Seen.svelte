<script lang="ts">
	import Live from '$lib/components/Sensor/Live.svelte';
	import { piecesIn } from '$lib/core/arcline/propose';
	import type { ListItem } from '$lib/core/list/inputs';
	import type { ItemPlan } from '$lib/core/studies/list/items';
	import { ArcLineView } from '$lib/state/arcLine.svelte';
	import type { DayListView } from '$lib/state/dayList.svelte';
	import { getWorkbench } from '$lib/state/workbench.svelte';

	/** Beside the keys of the run sheet: what the sensor sees, and the pieces that it saw whole. */
	let { view, item, plan }: { view: DayListView; item: ListItem; plan: ItemPlan } = $props();
	const bench = getWorkbench();
	const line = new ArcLineView(bench);
	$effect(() => {
		void bench.benchId;
		return line.open();
	});
	$effect(() => {
		line.cut = view.asked.find((one) => one.item.id === item.id)?.cut;
	});
	/** What burnt before the list was begun is no piece of it. */
	const since = $derived(view.startedMs ?? Infinity);
	const found = $derived.by(() => {
		const arcs = line.offeredArcs.filter(({ fromMs }) => fromMs >= since);
		const { pieces } = piecesIn(
			arcs,
			plan.arcs.map(({ arcS }) => arcS)
		);
		return pieces.slice(0, view.left(item));
	});
	const failed = $derived(line.offeredFailed.filter(({ fromMs }) => fromMs >= since));
	let ticking = $state(false);

	type Mark = { id: number; toMs: number };
	/** The tick has the name of what was seen: pressed on two devices it still counts once. */
	const named = (of: readonly Mark[]) => ({
		opId: `seen-arc-${of[0]!.id}-tick`,
		at: new Date(of.at(-1)!.toMs).toISOString()
	});
	async function tickThem() {
		if (ticking) return;
		ticking = true;
		// The item that comes now is another one as soon as the last of this one is ticked.
		const [of, pieces, misses] = [item, found, failed];
		const ids: number[] = [];
		for (const piece of pieces) {
			if (!(await view.tick('done', of, { ...named(piece), arcs: piece }))) break;
			ids.push(...piece.map(({ id }) => id));
		}
		for (const miss of misses) {
			if (!(await view.tick('failed', of, { ...named([miss]), arcs: [] }))) break;
			ids.push(miss.id);
		}
		const told = `${of.name}: ${pieces.length} done${misses.length ? `, ${misses.length} failed` : ''}, as the sensor saw.`;
		if (ids.length) await line.take(ids, [], told);
		// The way back is the run sheet’s own: each tick by itself.
		if (bench.notice?.kind === 'done') bench.notice = { kind: 'done', text: told };
		ticking = false;
	}
	$effect(() => {
		if (line.state?.line?.byRule && !view.paused && found.length + failed.length > 0)
			void tickThem();
	});
</script>

{#if line.paired}
	<Live {line} small />
	{#if found.length + failed.length > 0}
		<button
			type="button"
			class="btn mt-2 h-auto min-h-16 w-full py-2 btn-primary"
			disabled={ticking || view.paused}
			data-testid="seen-tick"
			onclick={() => void tickThem()}
			>It saw {found.length}
			{found.length === 1 ? 'piece' : 'pieces'}{failed.length
				? ` and ${failed.length} failed ${failed.length === 1 ? 'start' : 'starts'}`
				: ''}: tick {found.length + failed.length === 1 ? 'it' : 'them'}</button
		>
	{/if}
{/if}
