/** What eats the parts: the growth of the electrode by kind of use. */
import { growthByKindUm, type Rates, type Use } from './electrode';
import type { PartRecord } from './forecast';
import { fitRates, KINDS } from './rates';

export interface Eaten {
	kind: (typeof KINDS)[number];
	share: number;
}

/** Shares of the growth, greatest first; none: nothing was done yet. */
export function eatenBy(use: Use, rates: Rates): Eaten[] {
	const by = growthByKindUm(use, rates);
	const whole = KINDS.reduce((sum, kind) => sum + by[kind], 0);
	if (whole <= 0) return [];
	return KINDS.map((kind) => ({ kind, share: by[kind] / whole }))
		.filter(({ share }) => share > 0)
		.sort((x, y) => y.share - x.share);
}

/** Of the electrode in the torch, by this shop's own rates. */
export const whatEats = ({ total, measured }: PartRecord): Eaten[] =>
	eatenBy(total, fitRates(measured).rates);
