import type { Settings } from '$lib/core';
import type { Workbench } from './workbench.svelte';
import { lookAgain, write } from './write';

/** Schools and prices of the shop. */
export async function saveSettings(bench: Workbench, change: Partial<Settings>): Promise<void> {
	const settings = { ...bench.settings, ...change };
	const result = await write<{ revision: number; settings: Settings }>(
		bench,
		{
			method: 'PUT',
			path: '/api/settings',
			body: { revision: bench.stored.settingsRevision, settings },
			base: bench.settings,
			words: 'A setting of the shop'
		},
		'The setting counts on this device only until the server answers.'
	);
	if (result.outcome === 'refused') return lookAgain(bench, result);
	bench.settings = settings;
	if (result.outcome !== 'done') return;
	const { revision } = result.data;
	bench.stored = { ...bench.stored, settings, settingsRevision: revision };
	bench.revised({ settings: revision });
}
