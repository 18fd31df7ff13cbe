<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { afterNavigate, beforeNavigate, goto, invalidate, preloadCode } from '$app/navigation';
	import { page } from '$app/state';
	import Header from '$lib/components/Header/Header.svelte';
	import Legend from '$lib/components/Header/Legend.svelte';
	import Line from '$lib/components/Line/Line.svelte';
	import Notice from '$lib/components/Notice/Notice.svelte';
	import Waiting from '$lib/components/Waiting/Waiting.svelte';
	import When from '$lib/components/When.svelte';
	import { rememberPage, rememberTheme, type Theme } from '$lib/state/device';
	import { keptWho } from '$lib/state/who';
	import { listenForKeys } from '$lib/state/keys';
	import { planner } from '$lib/state/planner.svelte';
	import { savesData } from '$lib/dom/savesData';
	import { theRest } from '$lib/dom/theRest';
	import { untilHere } from '$lib/dom/untilHere';
	import { setWorkbench, Workbench, type Notice as Told } from '$lib/state/workbench.svelte';
	import type { Sync } from '$lib/state/sync.svelte';
	import type { LayoutProps } from './$types';

	let { data, children }: LayoutProps = $props();
	const bench = new Workbench(
		untrack(() => ({ ...data.workbench, cut: data.cut, work: data.work, spoken: data.spoken }))
	);
	setWorkbench(bench);

	let theme = $state<Theme>(untrack(() => data.theme));
	let keysOpen = $state(false);
	let keysOn = $state(true);
	let phoneOpen = $state(false);

	// What is seldom there, by name: fetched when it is asked for, or ahead of it.
	const keysDialog = () => import('$lib/components/Header/KeysDialog.svelte');
	const phoneDialog = () => import('$lib/components/Header/PhoneDialog.svelte');
	const working = () => import('$lib/components/Working/Working.svelte');
	const draftBar = () => import('$lib/components/Bench/DraftBar.svelte');
	const elsewhere = () => import('$lib/components/Setup/Elsewhere.svelte');

	// What the server sent is taken when it is new; from station to station only the address changes.
	let taken = untrack(() => data.sent);
	$effect.pre(() => {
		const { sent, cut, work, spoken, workbench } = data;
		if (sent === taken) return;
		taken = sent;
		untrack(() => bench.take({ ...workbench, cut, work, spoken }));
	});

	$effect(() =>
		listenForKeys({
			bench,
			pathname: () => page.url.pathname,
			enabled: () => keysOn && !keysOpen,
			toggleTheme: () => {
				theme = theme === 'bench-day' ? 'hood-down' : 'bench-day';
				rememberTheme(theme);
			},
			showKeys: () => (keysOpen = true)
		})
	);

	// Pages with keys of their own go by it too.
	$effect(() => void (document.documentElement.dataset.keys = keysOn ? 'on' : 'off'));
	onMount(() => {
		bench.who = keptWho();
	});
	/** The page is no longer there: nothing that it waited for is wanted. */
	let gone = false;
	onMount(() => () => void (gone = true));
	const wanted = <T,>(load: () => Promise<T>) => untilHere(load, () => gone);
	// What was ticked today stands on the line of every page.
	$effect(() => {
		const { benchId } = bench;
		void theRest()
			.then(() => wanted(() => import('$lib/state/ticks')))
			.then((ticks) => {
				if (ticks && bench.benchId === benchId) bench.ticked = ticks.keptTicks(benchId).shown;
			});
	});
	// The page answers to hands first; then it learns to plan, before anything else comes.
	onMount(() => {
		const plan = () => import('$lib/state/plansHere');
		const timer = setTimeout(() => planner() || void wanted(plan));
		return () => clearTimeout(timer);
	});
	const refresh = () => invalidate('steady:workbench');
	bench.refresh = () => void refresh();
	let sync: Sync | undefined;
	// What others do meanwhile comes after what plans.
	onMount(() => {
		const timer = setTimeout(() => {
			void wanted(() => import('$lib/state/sync.svelte')).then((loaded) => {
				if (!loaded || gone) return;
				sync = new loaded.Sync(bench, refresh);
				stop = sync.start();
			});
		});
		let stop = () => clearTimeout(timer);
		return () => stop();
	});
	// Until then a browser saves them by itself.
	onMount(() => {
		let stop = () => {};
		void theRest()
			.then(() => wanted(() => import('$lib/state/fileLinks')))
			.then((files) => {
				if (!files || gone) return;
				const tell = (notice: Told) => (bench.notice = notice);
				stop = files.listenForFiles(tell, () => bench.waiting.length);
			});
		return () => stop();
	});
	$effect(() => {
		void bench.benchId;
		void untrack(() => bench.draft.restore());
	});

	const STATIONS = [
		'/supply',
		'/setup',
		'/cut',
		'/gouge',
		'/wear',
		'/bench',
		'/chart',
		'/template',
		'/checks',
		'/fault',
		'/job',
		'/job/run',
		'/job/quote',
		'/job/plates',
		'/sensor',
		'/photo'
	];
	afterNavigate(({ to, type }) => {
		if (!to) return;
		rememberPage(to.url.pathname);
		const { search } = bench;
		if (type === 'enter' || to.url.search === `?${search}`) return;
		const { usual } = data.sent.bench;
		void import('$lib/formats/readSearch').then(({ cutFromSearch }) => {
			// Whoever has gone on meanwhile, to another page or cut, is not called back.
			if (bench.search === search) bench.takeCut(cutFromSearch(to.url.searchParams, usual));
		});
	});
	// The first screen has the sentences of the server.
	onMount(() => {
		void theRest()
			.then(() => wanted(() => import('$lib/core/plan/said')))
			.then((loaded) => loaded && (bench.speak = loaded.said));
	});
	// The code of every station is here before the server goes away, unless somebody pays for it by the byte.
	let whole = false;
	$effect(() => {
		const ahead = savesData() ? [] : STATIONS;
		const loads: (() => Promise<unknown>)[] = [
			...ahead.map((path) => () => preloadCode(path)),
			...[keysDialog, working, draftBar, elsewhere],
			() => import('$lib/formats/readSearch'),
			() => import('$lib/state/editBench'),
			() => import('$lib/state/logbook')
		];
		Promise.all(loads.map((load) => theRest().then(load))).then(
			() => {
				whole = ahead.length > 0;
				if (whole) document.documentElement.dataset.whole = 'true';
			},
			// The server went away meanwhile: what is missing is asked for when it is needed.
			() => {}
		);
	});
	// Without the server a page that comes from it cannot be opened; the one that is open stays.
	function stay() {
		bench.notice = {
			kind: 'problem',
			text: 'The server does not answer, and that page comes from it. This one stays open.'
		};
	}
	// A station is left for once its code is here: that the server is gone may not be known yet.
	let fetched: string[] = [];
	/** Where somebody is about to go; a later press goes elsewhere. */
	let leaving: URL | undefined;
	async function leaveFor(url: URL) {
		leaving = url;
		try {
			await preloadCode(url.pathname);
		} catch {
			if (leaving === url) stay();
			return;
		}
		fetched = [...fetched, url.pathname];
		if (leaving === url) await goto(url);
	}
	beforeNavigate(({ to, type, willUnload, cancel }) => {
		leaving = undefined;
		const station = to && STATIONS.find((path) => to.url.pathname === path);
		const here = station && (whole || station === page.url.pathname || fetched.includes(station));
		const sameBench = (to?.url.searchParams.get('bench') ?? bench.benchId) === bench.benchId;
		if (bench.away && !(here && sameBench && !willUnload)) {
			cancel();
			stay();
		} else if (station && !here && !willUnload && type !== 'popstate') {
			cancel();
			void leaveFor(to.url);
		} else {
			// Where it goes was told by the last step already.
			bench.still();
		}
	});
</script>

<Header
	{theme}
	setTheme={(t) => (theme = t)}
	keys={() => (keysOpen = true)}
	phone={() => (phoneOpen = true)}
/>
<Line />
<Waiting again={() => void sync?.now()} />
<When on={bench.draft.edited || bench.draft.theirs !== undefined} load={draftBar} />
<main
	aria-busy={bench.behind}
	data-bench={bench.benchId}
	class="sheet mx-auto min-h-[calc(100vh-184px)] max-w-[1600px]"
>
	{@render children()}
</main>
<Legend />
<When on={bench.opened !== undefined} load={working} />
<Notice />
<When
	on={keysOpen}
	load={keysDialog}
	props={{
		open: keysOpen,
		close: () => (keysOpen = false),
		on: keysOn,
		toggle: () => (keysOn = !keysOn)
	}}
/>
<When
	on={phoneOpen}
	load={phoneDialog}
	props={{ open: phoneOpen, close: () => (phoneOpen = false) }}
/>
