import type { SentWorkbench } from './sent';
import type { WorkbenchData } from './workbench.svelte';

/** What was sent, with its chart at hand. */
export async function opened<T extends Pick<SentWorkbench, 'chart'>>(
	sent: T
): Promise<Omit<T, 'chart'> & Pick<WorkbenchData, 'chart'>> {
	return { ...sent, chart: (await sent.chart?.open()) ?? null };
}
