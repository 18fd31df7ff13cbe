import type { Page } from '@playwright/test';

/** Script, style and layout that the page has done so far, ms. */
export async function workMeter(page: Page): Promise<() => Promise<number>> {
	const client = await page.context().newCDPSession(page);
	await client.send('Performance.enable');
	return async () => {
		const { metrics } = await client.send('Performance.getMetrics');
		const of = (name: string) => metrics.find((m) => m.name === name)!.value;
		return (of('ScriptDuration') + of('LayoutDuration') + of('RecalcStyleDuration')) * 1000;
	};
}
