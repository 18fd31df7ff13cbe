import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from './demo';

/**
 * What axe finds, as one line each. `within`: only there; `rules`: only these.
 *
 * Run in the page itself ("legacy"): the other way opens an empty page for each answer, which takes longer
 * than the looking, and is needed only for frames of other origins. There are no frames at all.
 */
export async function faultsOf(
	page: Page,
	{ rules, within }: { rules?: string[]; within?: string } = {}
): Promise<string[]> {
	expect(page.frames(), 'frames of the page').toHaveLength(1);
	const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
	if (rules) axe.withRules(rules);
	if (within) axe.include(within);
	const { violations } = await axe.analyze();
	return violations.map(
		({ id, impact, nodes }) => `${impact} ${id}: ${nodes.map((n) => n.target.join(' ')).join(', ')}`
	);
}
/** Of these what keeps somebody out. */
export const serious = (faults: string[]): string[] =>
	faults.filter((fault) => /^(serious|critical) /.test(fault));
