import { FREE_AIR_BAR } from '../../air/flow';
import { given, several, single, stated, type FigureDef } from './define';

const pn = stated('free air pressure', 'pressure', FREE_AIR_BAR, 'S');
const tankL = given('tank', 'volume', 'D', (w) => w.inputs.bench.air.tankL);
const cutIn = given('compressor cut-in', 'pressure', 'D', (w) => w.air.compressor.cutInBar);
const cutOut = given('compressor cut-out', 'pressure', 'D', (w) => w.air.compressor.cutOutBar);
const needed = 'air.tankNeededBar' as const;
const TANK_SOURCE = 'Isothermal tank, V·dp/dt = p_n·(delivery − use)';
const SESSION_SOURCE =
	'Tank run exactly between cut-in, cut-out, arc and post-flow, until the pattern repeats';

const law = {
	a: given('bar per second at zero pressure', 'factor', 'M', (w) => w.air.run.lowest.a),
	b: given('fall of that per bar', 'factor', 'M', (w) => w.air.run.lowest.b),
	p_0: given(
		'tank at the start of the last fall',
		'pressure',
		'M',
		(w) => w.air.run.lowest.fromBar
	),
	t: given('length of that fall', 'time', 'M', (w) => w.air.run.lowest.durationS)
};

/** What the tank does over the pattern. */
export const TANK_FIGURES = {
	'air.tankLowBar': several(
		'Tank at its lowest',
		'pressure',
		(w) => w.air.run.lowestBar,
		(w) => (w.air.run.lowest.b === 0 ? 'straight' : 'running'),
		{
			straight: {
				basis: 'M',
				formula: 'p_0 + a*t',
				source: SESSION_SOURCE,
				inputs: { p_0: law.p_0, a: law.a, t: law.t }
			},
			running: {
				basis: 'M',
				formula: 'a/b + (p_0 - a/b)*exp(-b*t)',
				source: SESSION_SOURCE,
				inputs: law
			}
		}
	),
	'air.inletLowBar': several(
		'Inlet at its lowest, air flowing',
		'pressure',
		(w) => w.air.inletLowBar ?? null,
		(w) => (w.air.inletLowBar === undefined ? 'choked' : 'flowing'),
		{
			flowing: {
				basis: 'M',
				formula: 'min(p_set, sqrt((p_t - dp_f - dp_d + p_n)^2 - D) - p_n)',
				source: 'Regulator, or what the line leaves of the tank, whichever is less',
				inputs: {
					p_set: given('set-point', 'pressure', 'D', (w) => w.inputs.bench.air.setPointBar),
					p_t: 'air.tankLowBar',
					dp_f: 'air.filterLossBar',
					dp_d: 'air.dryerLossBar',
					p_n: pn,
					D: given(
						'fall of p² along the hose, bar²',
						'factor',
						'H',
						(w) => w.air.hoseSquareDropBar2
					)
				}
			},
			choked: {
				basis: 'M',
				formula: '(p_t - dp_f - dp_d + p_n)^2 - D <= p_n^2',
				source: 'The hose cannot pass the flow at all',
				inputs: {
					p_t: 'air.tankLowBar',
					dp_f: 'air.filterLossBar',
					dp_d: 'air.dryerLossBar',
					p_n: pn,
					D: given(
						'fall of p² along the hose, bar²',
						'factor',
						'H',
						(w) => w.air.hoseSquareDropBar2
					)
				}
			}
		}
	),
	'air.shortAtS': several(
		'Air falls short after',
		'time',
		(w) => w.air.run.shortAtS ?? null,
		(w) => {
			const short = w.air.run.shortFrom;
			if (!short) return 'never';
			if (short.durationS === 0) return 'atOnce';
			return short.b === 0 ? 'straight' : 'running';
		},
		{
			never: {
				basis: 'M',
				formula: 'p_low >= p_need',
				source: SESSION_SOURCE,
				inputs: { p_low: 'air.tankLowBar', p_need: needed }
			},
			atOnce: {
				basis: 'M',
				formula: 't_0',
				source: 'Even a full tank is below what the line needs',
				inputs: { t_0: given('start of the fall', 'time', 'M', (w) => w.air.run.shortFrom!.startS) }
			},
			straight: {
				basis: 'M',
				formula: 't_0 + (p_need - p_0)/a',
				source: SESSION_SOURCE,
				inputs: {
					t_0: given('start of the last fall', 'time', 'M', (w) => w.air.run.shortFrom!.startS),
					p_0: given('tank then', 'pressure', 'M', (w) => w.air.run.shortFrom!.fromBar),
					p_need: needed,
					a: given('bar per second', 'factor', 'M', (w) => w.air.run.shortFrom!.a)
				}
			},
			running: {
				basis: 'M',
				formula: 't_0 + log((p_0 - a/b)/(p_need - a/b))/b',
				source: SESSION_SOURCE,
				inputs: {
					t_0: given('start of the last fall', 'time', 'M', (w) => w.air.run.shortFrom!.startS),
					p_0: given('tank then', 'pressure', 'M', (w) => w.air.run.shortFrom!.fromBar),
					p_need: needed,
					a: given('bar per second at zero pressure', 'factor', 'M', (w) => w.air.run.shortFrom!.a),
					b: given('fall of that per bar', 'factor', 'M', (w) => w.air.run.shortFrom!.b)
				}
			}
		}
	),
	'air.longestCutS': several(
		'Longest single cut',
		'time',
		(w) => (Number.isFinite(w.air.longest.totalS) ? w.air.longest.totalS : null),
		(w) => {
			if (!Number.isFinite(w.air.longest.totalS)) return 'keepsUp';
			if (w.air.longest.onS === 0) return 'off';
			return w.air.running.b === 0 ? 'bothSteady' : 'both';
		},
		{
			off: {
				basis: 'M',
				formula: 'max(0, 60*V*(p_out - max(p_in, p_need))/(p_n*Q))',
				source: TANK_SOURCE,
				inputs: { V: tankL, p_out: cutOut, p_in: cutIn, p_need: needed, p_n: pn, Q: 'air.flowLpm' }
			},
			bothSteady: {
				basis: 'M',
				formula: '60*V*(p_out - p_in)/(p_n*Q) + (p_need - p_in)/a',
				source: TANK_SOURCE,
				inputs: {
					V: tankL,
					p_out: cutOut,
					p_in: cutIn,
					p_need: needed,
					p_n: pn,
					Q: 'air.flowLpm',
					a: given('bar per second, compressor running', 'factor', 'M', (w) => w.air.running.a)
				}
			},
			both: {
				basis: 'M',
				formula: '60*V*(p_out - p_in)/(p_n*Q) + log((p_in - a/b)/(p_need - a/b))/b',
				source: TANK_SOURCE,
				inputs: {
					V: tankL,
					p_out: cutOut,
					p_in: cutIn,
					p_need: needed,
					p_n: pn,
					Q: 'air.flowLpm',
					a: given('bar per second at zero pressure', 'factor', 'M', (w) => w.air.running.a),
					b: given('fall of that per bar', 'factor', 'M', (w) => w.air.running.b)
				}
			},
			keepsUp: {
				basis: 'M',
				formula: 'q_need >= Q',
				source: 'The compressor keeps up with an arc that never stops',
				inputs: {
					q_need: given(
						'delivery at the pressure needed',
						'flow',
						'D',
						(w) => w.air.deliveryAtNeededLpm
					),
					Q: 'air.flowLpm'
				}
			}
		}
	),
	'air.runShare': single('Compressor runs', 'share', (w) => w.air.run.runShare, {
		basis: 'M',
		formula: 't_run/t_span',
		source: SESSION_SOURCE,
		inputs: {
			t_run: given('time it ran', 'time', 'M', (w) => w.air.run.runS),
			t_span: given('time looked at', 'time', 'M', (w) => w.air.run.spanS)
		}
	})
} satisfies Record<string, FigureDef>;
