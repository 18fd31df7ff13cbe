import axe from 'axe-core';
import type { Page } from '@playwright/test';
import { expect } from './demo';

/**
 * What axe finds, as one line each. `within`: only there; `rules`: only these.
 *
 * It runs in the page itself and is read there once: its usual way opens an empty page for each answer, which
 * takes longer than the looking, and is needed only for frames of other origins. There are no frames at all.
 */
export async function faultsOf(
	page: Page,
	{ rules, within }: { rules?: string[]; within?: string } = {}
): Promise<string[]> {
	expect(page.frames(), 'frames of the page').toHaveLength(1);
	if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
	return page.evaluate(
		async ([within, rules]) => {
			const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(
				within ?? document,
				{ resultTypes: ['violations'], ...(rules && { runOnly: rules }) }
			);
			return violations.map(
				({ id, impact, nodes }) =>
					`${impact} ${id}: ${nodes.map((n) => n.target.join(' ')).join(', ')}`
			);
		},
		[within, rules] as const
	);
}
/** Of these what keeps somebody out. */
export const serious = (faults: string[]): string[] =>
	faults.filter((fault) => /^(serious|critical) /.test(fault));
