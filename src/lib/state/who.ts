/** Who works at this device: said once, kept on it, and written beside what is logged from it. */
import type { Workbench } from './workbench.svelte';

export const WHO_MOST = 60;
const KEY = 'steady-arc-who';

export function keptWho(): string {
	try {
		return (localStorage.getItem(KEY) ?? '').slice(0, WHO_MOST).trim();
	} catch {
		return '';
	}
}
export function keepWho(bench: Workbench, who: string): void {
	bench.who = who;
	try {
		localStorage.setItem(KEY, who);
	} catch {
		// A browser that keeps nothing forgets it with the page.
	}
}
