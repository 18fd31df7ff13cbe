<script lang="ts">
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import DraftBar from '$lib/components/Bench/DraftBar.svelte';
	import Header from '$lib/components/Header/Header.svelte';
	import Legend from '$lib/components/Header/Legend.svelte';
	import Line from '$lib/components/Line/Line.svelte';
	import Notice from '$lib/components/Notice/Notice.svelte';
	import { rememberTheme, type Theme } from '$lib/state/device';
	import { listenForKeys } from '$lib/state/keys';
	import { flush } from '$lib/state/outbox';
	import { setWorkbench, Workbench } from '$lib/state/workbench.svelte';
	import type KeysDialogType from '$lib/components/Header/KeysDialog.svelte';
	import type WorkingType from '$lib/components/Working/Working.svelte';
	import type { LayoutProps } from './$types';

	let { data, children }: LayoutProps = $props();
	const bench = new Workbench(untrack(() => data.workbench));
	setWorkbench(bench);

	let theme = $state<Theme>(untrack(() => data.theme));
	let keysOpen = $state(false);
	let keysOn = $state(true);

	// Fetched when first asked for, and kept from then on.
	let KeysDialog = $state.raw<typeof KeysDialogType | undefined>();
	let Working = $state.raw<typeof WorkingType | undefined>();
	$effect(() => {
		if (keysOpen && !KeysDialog)
			void import('$lib/components/Header/KeysDialog.svelte').then((m) => (KeysDialog = m.default));
	});
	$effect(() => {
		if (bench.opened && !Working)
			void import('$lib/components/Working/Working.svelte').then((m) => (Working = m.default));
	});

	let taken = untrack(() => data.workbench);
	$effect.pre(() => {
		if (data.workbench === taken) return;
		taken = data.workbench;
		untrack(() => bench.take(data.workbench));
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

	// What could not be sent goes out when the network is back, and once at the start.
	async function sendWaiting() {
		const { sent, waiting, refused } = await flush();
		bench.waiting = waiting;
		if (refused.length > 0) {
			bench.notice = { kind: 'problem', text: `Not taken: ${refused[0]!.message}` };
		} else if (sent > 0) {
			bench.notice = {
				kind: 'done',
				text: `${sent} kept on this device, now sent. Reload to see them.`
			};
		}
	}
	$effect(() => {
		void sendWaiting();
		const again = () => void sendWaiting();
		const timer = setInterval(() => bench.waiting > 0 && again(), 5000);
		window.addEventListener('online', again);
		return () => {
			clearInterval(timer);
			window.removeEventListener('online', again);
		};
	});
</script>

<Header {theme} setTheme={(t) => (theme = t)} keys={() => (keysOpen = true)} />
<Line />
{#if bench.waiting > 0}
	<p class="no-print px-6 py-2 font-semibold" style:background="var(--spark-wash)">
		{bench.waiting} kept on this device, not sent yet. Leave this page open.
	</p>
{/if}
<DraftBar />
<main class="sheet mx-auto min-h-[calc(100vh-184px)] max-w-[1600px]">
	{@render children()}
</main>
<Legend />
{#if Working}<Working />{/if}
<Notice />
{#if KeysDialog}
	<KeysDialog
		open={keysOpen}
		close={() => (keysOpen = false)}
		on={keysOn}
		toggle={() => (keysOn = !keysOn)}
	/>
{/if}
