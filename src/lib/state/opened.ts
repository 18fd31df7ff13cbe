import { cutFromSearch } from '$lib/formats/cutUrl';
import type { SentWorkbench } from './sent';
import type { WorkbenchData } from './workbench.svelte';

/** What was sent, with its chart at hand. */
export async function opened<T extends Pick<SentWorkbench, 'chart'>>(
	sent: T
): Promise<Omit<T, 'chart'> & Pick<WorkbenchData, 'chart'>> {
	return { ...sent, chart: (await sent.chart?.open()) ?? null };
}

/** The cut that the address asks for, on the bench that was sent. */
export const asked = (url: URL, sent: SentWorkbench): Pick<WorkbenchData, 'cut' | 'work'> =>
	cutFromSearch(url.searchParams, sent.bench.usual);
