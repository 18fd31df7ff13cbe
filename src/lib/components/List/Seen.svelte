<script lang="ts">
	import Live from '$lib/components/Sensor/Live.svelte';
	import { FAILED_MOST, failedOf, piecesIn } from '$lib/core/arcline/propose';
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
	const since = $derived(view.pressed.startedMs ?? Infinity);
	/** Ticked here already: without the server they go on being offered until it answers. */
	let ticked = $state.raw<readonly number[]>([]);
	const open = <T extends { id: number; fromMs: number }>(all: readonly T[]) =>
		all.filter(({ id, fromMs }) => fromMs >= since && !ticked.includes(id));
	const found = $derived(
		piecesIn(
			open(line.offeredArcs),
			plan.arcs.map(({ arcS }) => arcS)
		).pieces.slice(0, view.left(item))
	);
	/** A start that failed is no piece that failed: it goes into the log alone. */
	const failed = $derived(open(line.offeredFailed).slice(0, FAILED_MOST));
	let ticking = $state(false);

	/** The tick has the name of what was seen: pressed on two devices it still counts once. */
	async function tickPiece(of: ListItem, arcs: typeof line.offeredArcs): Promise<boolean> {
		const ids = arcs.map(({ id }) => id);
		const at = new Date(arcs.at(-1)!.toMs).toISOString();
		if (!(await view.tick('done', of, { opId: `seen-arc-${ids[0]}-tick`, at, arcs }))) return false;
		ticked = [...ticked, ...ids];
		await line.take(ids, [], `${of.name}: as the sensor saw`);
		return true;
	}
	async function tickThem() {
		if (ticking) return;
		ticking = true;
		// The item that comes now is another one as soon as the last of this one is ticked.
		const [of, pieces, misses] = [item, found, failed];
		let done = 0;
		for (const piece of pieces) {
			if (!(await tickPiece(of, piece))) break;
			done++;
		}
		const missed = failedOf(misses, line.planned.start);
		if (missed) {
			ticked = [...ticked, ...misses.map(({ id }) => id)];
			await line.take(
				misses.map(({ id }) => id),
				[missed],
				'Failed starts, as the sensor saw'
			);
		}
		// The way back is the run sheet’s own: each tick by itself.
		const starts = misses.length
			? `, ${misses.length} failed ${misses.length === 1 ? 'start' : 'starts'} logged`
			: '';
		if (bench.notice?.kind === 'done')
			bench.notice = {
				kind: 'done',
				text: `${of.name}: ${done} done${starts}, as the sensor saw.`
			};
		ticking = false;
	}
	$effect(() => {
		if (line.state?.line?.byRule && !view.pressed.paused && found.length + failed.length > 0)
			void tickThem();
	});
</script>

{#if line.paired}
	<Live {line} small />
	{#if found.length + failed.length > 0}
		<button
			type="button"
			class="btn mt-2 h-auto min-h-16 w-full py-2 btn-primary"
			disabled={ticking || view.pressed.paused}
			data-testid="seen-tick"
			onclick={() => void tickThem()}
			>It saw {found.length}
			{found.length === 1 ? 'piece' : 'pieces'}{failed.length
				? ` and ${failed.length} failed ${failed.length === 1 ? 'start' : 'starts'}`
				: ''}: tick {found.length + failed.length === 1 ? 'it' : 'them'}</button
		>
	{/if}
{/if}
