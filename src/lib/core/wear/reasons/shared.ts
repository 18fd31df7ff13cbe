import { reasonsFor, type Reason } from '../../figure/reason';
import type { Rates } from '../electrode';
import type { PartForecast } from '../forecast';
import type { Basis } from '../../figure/types';
import type { WearView } from '../workings';

export const { given, stated } = reasonsFor<WearView>();
export type Part = 'electrode' | 'nozzle';
export type Inputs = Reason<WearView>['inputs'];
export const of =
	(part: Part, read: (forecast: PartForecast) => number) =>
	({ wearing }: WearView): number =>
		read(wearing[part]);
/** A rate is measured here once anything was. */
export const rate =
	(part: Part, kind: keyof Rates, label: string): Inputs[string] =>
	(w) => {
		const { rates, fitted } = w.wearing[part];
		const basis: Basis = fitted.from > 0 ? 'T' : 'M';
		return { label, quantity: 'microns', basis, value: rates[kind] };
	};

export const RATE_SOURCE =
	'Starting rates (own): 3 µm a start, 6 an arc minute, 2 more a rolled pierce, 6 more a straight one; drawn to the depths that were measured here (non-negative least squares)';
export const BORE_SOURCE =
	'Starting rates (own): a tenth of the electrode’s, pierces three times that; drawn to the bores that were measured here (non-negative least squares)';
export const NOT_MADE: Reason<WearView> = {
	formula: 'true',
	source: 'Such a cut cannot be made: it does not part, or no start goes through',
	inputs: {}
};
export const made = (formula: string, source: string, inputs: Inputs) => ({
	cut: { formula, source, inputs },
	none: NOT_MADE
});
export const limit = (part: Part) =>
	given(
		'change at',
		'microns',
		'R',
		of(part, (p) => p.limitUm)
	);
