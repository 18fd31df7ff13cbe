import type { SentPlan, SentWorkbench } from './sent';
import type { WorkbenchData } from './workbenchData';

/** What was sent, with its chart at hand. */
export async function opened<T extends Pick<SentWorkbench, 'chart'>>(
	sent: T
): Promise<Omit<T, 'chart'> & Pick<WorkbenchData, 'chart'>> {
	return { ...sent, chart: (await sent.chart?.open()) ?? null };
}

/** A card as it was sent, with its chart and its plan at hand. */
export async function openedCard<T extends Pick<SentWorkbench, 'chart'> & { spoken: SentPlan }>(
	sent: T
) {
	return { ...(await opened(sent)), spoken: sent.spoken.open() };
}
