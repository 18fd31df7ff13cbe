import { figuresFor } from '../figure/define';
import type { CostView, CostWorkings } from './workings';

const { several } = figuresFor<CostView>();
const WAYS = { none: 'M', unpriced: 'M', priced: 'M' } as const;
const wayOf = (value: number | null, { costing }: CostView) =>
	costing.lineS === null ? 'none' : value === null ? 'unpriced' : 'priced';
const perM = (read: (c: CostWorkings) => number | null) =>
	several(
		(w) => read(w.costing),
		(w) => wayOf(read(w.costing), w),
		WAYS
	);

/** What a metre of the planned cut costs. */
export const COST_FIGURES = {
	'cost.totalPerM': perM((c) => c.total),
	'cost.labourPerM': perM((c) => c.labour),
	'cost.powerPerM': perM((c) => c.power),
	'cost.airPerM': several(
		(w) => w.costing.air,
		(w) => {
			const way = wayOf(w.costing.air, w);
			return way === 'priced' && w.inputs.bench.air.source === 'bottle' ? 'bottle' : way;
		},
		{ ...WAYS, bottle: 'M' }
	),
	'cost.kwhPerM': several(
		(w) => w.costing.kwh,
		(w) => (w.costing.lineS === null ? 'none' : 'cut'),
		{ none: 'M', cut: 'M' }
	)
};
