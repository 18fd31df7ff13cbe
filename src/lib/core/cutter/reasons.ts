import { reasonsFor, type InputSource, type Reason, type ReasonsOf } from '../figure/reason';
import type { Basis } from '../figure/types';
import { HOT_SPOT_C, RATED_AMBIENT_C, RESET_C } from './duty';
import type { CutterView } from './heat';
import type { CUTTER_FIGURES } from './figures';

const { given, stated } = reasonsFor<CutterView>();

const HEAT_SOURCE =
	'One-node model, 130 °C hot spot, 5 min, set by the plate’s rated cycle at 40 °C';

const heat = {
	T_a: given('shop', 'temperature', 'D', (w) => w.inputs.work.shopC),
	dT: 'cutter.riseK' as const,
	tau: ((w) => ({
		label: 'time constant',
		quantity: 'time',
		basis: w.inputs.evidence.heat?.tauS ? 'T' : 'M',
		value: w.heat.tauS
	})) as InputSource<CutterView>,
	T_lim: stated('hot spot limit', 'temperature', HOT_SPOT_C)
};

const rise = (basis: Basis, source: string): Reason<CutterView> => ({
	formula: 'f*(T_lim - T_r)*(1 - exp(-600/tau))/(1 - exp(-600*X_r/tau))*(I/I_r)^2',
	source,
	inputs: {
		f: given('your timed lamp over the model', 'factor', basis, (w) => w.heat.riseFactor),
		T_lim: heat.T_lim,
		T_r: stated('rated at', 'temperature', RATED_AMBIENT_C, 'S'),
		tau: heat.tau,
		X_r: given('duty on the plate', 'share', 'D', (w) => w.heat.pair.dutyShare),
		I_r: given('at these amps', 'current', 'D', (w) => w.heat.pair.outputA),
		I: 'setup.currentA'
	}
});

export const CUTTER_REASONS = {
	'cutter.dutyShare': {
		only: {
			formula: 'min(1, X_r*(I_r/I)^2)',
			source: 'Data plate, I²·X constant between its pairs (IEC 60974-1), at 40 °C',
			inputs: {
				X_r: given('duty on the plate', 'share', 'D', (w) => w.heat.pair.dutyShare),
				I_r: given('at these amps', 'current', 'D', (w) => w.heat.pair.outputA),
				I: 'setup.currentA'
			}
		}
	},
	'cutter.riseK': {
		plate: rise('M', HEAT_SOURCE),
		measured: rise('T', 'Your timed lamp, over the model set by the plate’s rated cycle')
	},
	'cutter.peakC': {
		cyclic: {
			formula: 'T_a + dT*(1 - exp(-t_on/tau))/(1 - exp(-(t_on + t_off)/tau))',
			source: HEAT_SOURCE,
			inputs: {
				T_a: heat.T_a,
				dT: heat.dT,
				tau: heat.tau,
				t_on: given('arc', 'time', 'D', (w) => w.inputs.work.arcS),
				t_off: given('pause', 'time', 'D', (w) => w.inputs.work.restS)
			}
		},
		steady: {
			formula: 'T_a + dT',
			source: HEAT_SOURCE,
			inputs: { T_a: heat.T_a, dT: heat.dT }
		},
		run: {
			formula: 'E + (T_0 - E)*exp(-t/tau)',
			source: `${HEAT_SOURCE}; run exactly from event to event, breaks included`,
			inputs: {
				tau: heat.tau,
				E: given('it went towards', 'temperature', 'M', (w) => w.session.cutter.from!.target),
				T_0: given('before the last rise', 'temperature', 'M', (w) => w.session.cutter.from!.level),
				t: given('length of that rise', 'time', 'M', (w) => w.session.cutter.from!.durationS)
			}
		}
	},
	'cutter.lampS': {
		lights: {
			formula: 't_0 + tau*log((T_a + dT - T_0)/(T_a + dT - T_lim))',
			source: HEAT_SOURCE,
			inputs: {
				...heat,
				t_0: given(
					'start of the cut in which it lights',
					'time',
					'M',
					(w) => w.session.cutter.crossing!.startS
				),
				T_0: given(
					'cutter at that moment',
					'temperature',
					'M',
					(w) => w.session.cutter.crossing!.level
				)
			}
		},
		never: {
			formula: 'T_peak <= T_lim',
			source: HEAT_SOURCE,
			inputs: { T_peak: 'cutter.peakC', T_lim: heat.T_lim }
		}
	},
	'cutter.lampContinuousS': {
		lights: {
			formula: 'tau*log(dT/(dT - (T_lim - T_a)))',
			source: HEAT_SOURCE,
			inputs: heat
		},
		never: {
			formula: 'T_a + dT <= T_lim',
			source: HEAT_SOURCE,
			inputs: { T_a: heat.T_a, dT: heat.dT, T_lim: heat.T_lim }
		}
	},
	'cutter.recoveryS': {
		only: {
			formula: 'tau*log((T_lim - T_a)/(T_reset - T_a))',
			source: HEAT_SOURCE,
			inputs: {
				T_a: heat.T_a,
				tau: heat.tau,
				T_lim: heat.T_lim,
				T_reset: stated('lamp goes out at', 'temperature', RESET_C)
			}
		}
	}
} satisfies ReasonsOf<typeof CUTTER_FIGURES, CutterView>;
