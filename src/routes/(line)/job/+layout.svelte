<script lang="ts">
	import { untrack } from 'svelte';
	import { DayListView } from '$lib/state/dayList.svelte';
	import { setDayList } from '$lib/state/dayListContext';
	import { getWorkbench } from '$lib/state/workbench.svelte';
	import type { LayoutProps } from './$types';

	/** List, run sheet and quote look at one list. */
	let { data, children }: LayoutProps = $props();
	const bench = getWorkbench();
	const view = new DayListView(
		bench,
		untrack(() => data.dayList)
	);
	setDayList(view);
	let taken = untrack(() => data.dayList);
	$effect.pre(() => {
		const { dayList } = data;
		if (dayList === taken) return;
		taken = dayList;
		untrack(() => view.take(dayList));
	});
	$effect(() => {
		const { forList } = bench;
		if (forList.length === 0) return;
		bench.forList = [];
		untrack(() => view.add(forList));
	});
	$effect(() => view.ask());
	$effect(() => view.askLive());
	$effect(() => view.settle());
	$effect(() => () => view.close());
</script>

{@render children()}
