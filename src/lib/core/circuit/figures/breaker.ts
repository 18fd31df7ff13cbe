import { figuresFor } from '../../figure/define';
import type { CircuitView } from '../workings';

const { several, single } = figuresFor<CircuitView>();

type Curve = 'earliest' | 'latest';

const peak = (curve: Curve) =>
	several(
		(w) => w.session[curve].peak / w.session[curve].node.limit,
		(w) => (w.session[curve].from ? 'run' : w.inputs.work.restS > 0 ? 'cyclic' : 'steady'),
		{ cyclic: 'M', steady: 'M', run: 'M' }
	);

const tripTime = (curve: Curve) =>
	several(
		(w) => w.session[curve].crossing?.atS ?? null,
		(w) => (w.session[curve].crossing ? 'trips' : 'never'),
		{ trips: 'M', never: 'M' }
	);

/** Breaker heat by both curves, and the most amps that run on. */
export const BREAKER_FIGURES = {
	'supply.breakerA': single((w) => w.wiring.breakerA, 'M'),
	'supply.breakerPeak': peak('earliest'),
	'supply.breakerPeakLate': peak('latest'),
	'supply.tripEarliestS': tripTime('earliest'),
	'supply.tripLatestS': tripTime('latest'),
	'supply.runsOnA': several(
		(w) => w.runsOnA ?? null,
		(w) => (w.runsOnA === undefined ? 'none' : w.firstFailingA === undefined ? 'full' : 'solved'),
		{ solved: 'M', full: 'M', none: 'M' }
	),
	'supply.mayRunOnA': several(
		(w) => w.mayRunOnA ?? null,
		(w) => (w.mayRunOnA === undefined ? 'none' : 'solved'),
		{ solved: 'M', none: 'M' }
	)
};
