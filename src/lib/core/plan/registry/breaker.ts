import type { Workings } from '../workings';
import { given, several, single, type FigureDef, type InputSource } from './define';

const BREAKER_SOURCE =
	'One-node model through the published points of UL 489 and IEC 60898-1 (points from memory)';
const arcS = given('arc', 'time', 'D', (w) => w.inputs.work.arcS);
const restS = given('pause', 'time', 'D', (w) => w.inputs.work.restS);

function heatInputs(curve: 'earliest' | 'latest'): Record<string, InputSource> {
	return {
		E: given(
			'heat towards which it goes, (I/In)²',
			'factor',
			'M',
			(w) => w.draw[curve].pattern.onTarget
		),
		F: given('the same between cuts', 'factor', 'M', (w) => w.draw[curve].pattern.offTarget),
		tau: given('time constant of the bimetal', 'time', 'M', (w) => w.wiring.curves[curve].tauS),
		trip: given(
			'heat at which it trips, (I/In)²',
			'factor',
			'S',
			(w) => w.wiring.curves[curve].tripHeat
		),
		t_on: arcS,
		t_off: restS
	};
}

const PEAK_FORMULA =
	'(E*(1 - exp(-t_on/tau)) + F*exp(-t_on/tau)*(1 - exp(-t_off/tau)))/(1 - exp(-(t_on + t_off)/tau))/trip';

function peak(curve: 'earliest' | 'latest', label: string): FigureDef {
	const steady = (w: Workings) => w.inputs.work.restS <= 0;
	return several(
		label,
		'share',
		(w) => w.draw[curve].peakShare,
		(w) => (steady(w) ? 'steady' : 'cyclic'),
		{
			cyclic: {
				basis: 'M',
				formula: PEAK_FORMULA,
				source: BREAKER_SOURCE,
				inputs: heatInputs(curve)
			},
			steady: { basis: 'M', formula: 'E/trip', source: BREAKER_SOURCE, inputs: heatInputs(curve) }
		}
	);
}

function tripTime(
	curve: 'earliest' | 'latest',
	label: string,
	peakId: 'supply.breakerPeak' | 'supply.breakerPeakLate'
): FigureDef {
	return several(
		label,
		'time',
		(w) => w.draw[curve].trip?.atS ?? null,
		(w) => (w.draw[curve].trip ? 'trips' : 'never'),
		{
			trips: {
				basis: 'M',
				formula: 't_0 + tau*log((E - theta_0)/(E - trip))',
				source: BREAKER_SOURCE,
				inputs: {
					...heatInputs(curve),
					t_0: given(
						'start of the cut in which it trips',
						'time',
						'M',
						(w) => w.draw[curve].trip!.phaseStartS
					),
					theta_0: given(
						'heat at that moment',
						'factor',
						'M',
						(w) => w.draw[curve].trip!.phaseStartLevel
					)
				}
			},
			never: { basis: 'M', formula: 'peak <= 1', source: BREAKER_SOURCE, inputs: { peak: peakId } }
		}
	);
}

/** Breaker heat by both curves, and the most amps that run on. */
export const BREAKER_FIGURES = {
	'supply.breakerA': single('Breaker, at its surroundings', 'current', (w) => w.wiring.breakerA, {
		basis: 'M',
		formula: 'I_n*sqrt(1 - (T - T_ref)/100)',
		source: 'Our own correction, about 0.5 % per kelvin from the standard’s reference temperature',
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
	}),
	'supply.breakerPeak': peak('earliest', 'Breaker heat, touchiest'),
	'supply.breakerPeakLate': peak('latest', 'Breaker heat, laziest'),
	'supply.tripEarliestS': tripTime('earliest', 'May trip after', 'supply.breakerPeak'),
	'supply.tripLatestS': tripTime('latest', 'Will trip within', 'supply.breakerPeakLate'),
	'supply.runsOnA': several(
		'Most amps the circuit and cutter run on',
		'current',
		(w) => w.runsOnA ?? null,
		(w) => (w.runsOnA === undefined ? 'none' : w.firstFailingA === undefined ? 'full' : 'solved'),
		{
			solved: {
				basis: 'M',
				formula: 'I_fail - 1',
				source: 'Solved: whole amps, tried against breaker, volts and cutter heat for this pattern',
				inputs: {
					I_fail: given('lowest amps that something stops', 'current', 'M', (w) => w.firstFailingA!)
				}
			},
			full: {
				basis: 'M',
				formula: 'floor(I_max)',
				source: 'Solved: nothing stops it at full amps',
				inputs: {
					I_max: given('full amps on the plate', 'current', 'D', (w) => w.wiring.plate.outputMaxA)
				}
			},
			none: {
				basis: 'M',
				formula: 'I_fail <= ceil(I_min)',
				source: 'Solved: even the smallest setting is stopped',
				inputs: {
					I_fail: given(
						'lowest amps that something stops',
						'current',
						'M',
						(w) => w.firstFailingA!
					),
					I_min: given('smallest setting', 'current', 'D', (w) => w.inputs.bench.cutter.outputMinA)
				}
			}
		}
	)
} satisfies Record<string, FigureDef>;
