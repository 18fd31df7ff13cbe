import { reasonsFor, type InputSource, type ReasonsOf } from '../../figure/reason';
import type { CircuitView } from '../workings';
import type { BREAKER_FIGURES } from '../figures/breaker';

const { given } = reasonsFor<CircuitView>();

const BREAKER_SOURCE =
	'One-node model through the published points of UL 489 and IEC 60898-1 (points from memory)';
const arcS = given('arc', 'time', 'D', (w) => w.inputs.work.arcS);
const restS = given('pause', 'time', 'D', (w) => w.inputs.work.restS);
type Curve = 'earliest' | 'latest';

function curveInputs(curve: Curve): Record<string, InputSource<CircuitView>> {
	const basis = (w: CircuitView) => (w.inputs.evidence.trip ? ('T' as const) : ('M' as const));
	return {
		tau: (w) => ({
			label: 'time constant of the bimetal',
			quantity: 'time',
			basis: basis(w),
			value: w.wiring.curves[curve].tauS
		}),
		trip: (w) => ({
			label: 'heat at which it trips, (I/In)²',
			quantity: 'factor',
			basis: w.inputs.evidence.trip ? 'T' : 'S',
			value: w.wiring.curves[curve].tripHeat
		})
	};
}

/** The peak of the heat by one curve, over the heat at which it trips. */
function peak(curve: Curve) {
	const inputs: Record<string, InputSource<CircuitView>> = {
		...curveInputs(curve),
		E: given(
			'heat towards which it goes, (I/In)²',
			'factor',
			'M',
			(w) => w.session[curve].node.targets[2]
		),
		F: given('the same between cuts', 'factor', 'M', (w) => w.session[curve].node.targets[0]),
		t_on: arcS,
		t_off: restS
	};
	return {
		cyclic: {
			formula:
				'(E*(1 - exp(-t_on/tau)) + F*exp(-t_on/tau)*(1 - exp(-t_off/tau)))/(1 - exp(-(t_on + t_off)/tau))/trip',
			source: BREAKER_SOURCE,
			inputs
		},
		steady: { formula: 'E/trip', source: BREAKER_SOURCE, inputs },
		run: {
			formula: '(E + (theta_0 - E)*exp(-t/tau))/trip',
			source: `${BREAKER_SOURCE}; run exactly from event to event, compressor and breaks included`,
			inputs: {
				...curveInputs(curve),
				E: given('heat towards which it went', 'factor', 'M', (w) => w.session[curve].from!.target),
				theta_0: given(
					'heat before the last rise',
					'factor',
					'M',
					(w) => w.session[curve].from!.level
				),
				t: given('length of that rise', 'time', 'M', (w) => w.session[curve].from!.durationS)
			}
		}
	};
}

function tripTime(curve: Curve, peakId: 'supply.breakerPeak' | 'supply.breakerPeakLate') {
	return {
		trips: {
			formula: 't_0 + tau*log((E - theta_0)/(E - trip))',
			source: BREAKER_SOURCE,
			inputs: {
				...curveInputs(curve),
				E: given(
					'heat towards which it goes, (I/In)²',
					'factor',
					'M',
					(w) => w.session[curve].crossing!.target
				),
				t_0: given(
					'start of the stretch in which it trips',
					'time',
					'M',
					(w) => w.session[curve].crossing!.startS
				),
				theta_0: given(
					'heat at that moment',
					'factor',
					'M',
					(w) => w.session[curve].crossing!.level
				)
			}
		},
		never: { formula: 'peak <= 1', source: BREAKER_SOURCE, inputs: { peak: peakId } }
	};
}

/** Breaker heat by both curves, and the most amps that run on. */
export const BREAKER_REASONS = {
	'supply.breakerA': {
		only: {
			formula: 'I_n*sqrt(1 - (T - T_ref)/100)',
			source:
				'Our own correction, about 0.5 % per kelvin from the standard’s reference temperature',
			inputs: {
				I_n: given(
					'rating on the breaker',
					'current',
					'D',
					(w) => w.inputs.bench.supply.breaker.ratingA
				),
				T: given('around the breaker', 'temperature', 'D', (w) => w.inputs.bench.supply.ambientC),
				T_ref: given('reference temperature', 'temperature', 'S', (w) =>
					w.inputs.bench.supply.breaker.standard === 'ul489' ? 40 : 30
				)
			}
		}
	},
	'supply.breakerPeak': peak('earliest'),
	'supply.breakerPeakLate': peak('latest'),
	'supply.tripEarliestS': tripTime('earliest', 'supply.breakerPeak'),
	'supply.tripLatestS': tripTime('latest', 'supply.breakerPeakLate'),
	'supply.runsOnA': {
		solved: {
			formula: 'I_fail - 1',
			source:
				'Solved: whole amps, tried against the earliest trip curve, volts, plug fuse and cutter heat for this work',
			inputs: {
				I_fail: given('lowest amps that may be stopped', 'current', 'M', (w) => w.firstFailingA!)
			}
		},
		full: {
			formula: 'floor(I_max)',
			source: 'Solved: nothing stops it at full amps',
			inputs: {
				I_max: given('full amps on the plate', 'current', 'D', (w) => w.wiring.plate.outputMaxA)
			}
		},
		none: {
			formula: 'true',
			source: 'Solved: not even the fewest amps that part it surely run on',
			inputs: {}
		}
	},
	'supply.mayRunOnA': {
		solved: {
			formula: 'I_m',
			source: 'Solved: the same by the latest trip curve; a breaker in between may trip',
			inputs: {
				I_m: given('tried in whole amps', 'current', 'M', (w) => w.mayRunOnA ?? NaN)
			}
		},
		none: { formula: 'true', source: 'Solved: every setting is stopped', inputs: {} }
	}
} satisfies ReasonsOf<typeof BREAKER_FIGURES, CircuitView>;
