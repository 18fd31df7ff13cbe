/** Who works at this device: said once, kept on it, and written beside what is logged from it. */
import { recallText, rememberText } from './remembered';
import type { Workbench } from './workbench.svelte';

export const WHO_MOST = 60;
export const WHAT_FOR_MOST = 200;
const KEY = 'steady-arc-who';

export const keptWho = (): string => (recallText(KEY) ?? '').slice(0, WHO_MOST).trim();
export function keepWho(bench: Workbench, who: string): void {
	bench.who = who;
	rememberText(KEY, who);
}
