import { given, several, single, stated, type FigureDef } from './define';
import { COUPLING_EQUIVALENT_M, FREE_AIR_BAR } from '../../air/flow';
import { BORE_FLOW_MULTIPLE } from '../workings/air';
import { HOT_SPOT_C, HOT_TAU_S, RATED_AMBIENT_C, RESET_C } from '../../cutter/duty';

const pn = stated('free air pressure', 'pressure', FREE_AIR_BAR, 'S');
const tankL = given('tank', 'volume', 'D', (w) => w.inputs.bench.air.tankL);
const cutIn = given('compressor cut-in', 'pressure', 'D', (w) => w.air.compressor.cutInBar);
const cutOut = given('compressor cut-out', 'pressure', 'D', (w) => w.air.compressor.cutOutBar);
const needed = 'air.tankNeededBar' as const;
const TANK_SOURCE = 'Isothermal tank, V·dp/dt = p_n·(delivery − use)';
const SESSION_SOURCE =
	'Tank run exactly between cut-in, cut-out, arc and post-flow, until the pattern repeats';
const HEAT_SOURCE =
	'One-node model, 130 °C hot spot, 5 min, set by the plate’s rated cycle at 40 °C';

function elementLoss(
	label: string,
	part: 'filter' | 'dryer',
	read: 'filterLossBar' | 'dryerLossBar'
): FigureDef {
	return several(
		label,
		'pressure',
		(w) => w.air[read],
		(w) => (w.inputs.bench.air[part] ? 'fitted' : 'none'),
		{
			fitted: {
				basis: 'R',
				formula: 'dp*(Q/Q_r)^2',
				source: 'Loss goes with the square of the flow (common practice)',
				inputs: {
					dp: given(
						'loss at the stated flow',
						'pressure',
						'D',
						(w) => w.inputs.bench.air[part]!.lossBar
					),
					Q: 'air.flowLpm',
					Q_r: given('stated flow', 'flow', 'D', (w) => w.inputs.bench.air[part]!.atLpm)
				}
			},
			none: { basis: 'D', formula: '0', source: 'None in this line', inputs: {} }
		}
	);
}

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

export const AIR_FIGURES = {
	'air.flowLpm': several(
		'Air the cutter takes',
		'flow',
		(w) => w.air.flowLpm,
		(w) => w.air.flowWay,
		{
			measured: {
				basis: 'T',
				formula: 'Q_m',
				source: 'Your timed drain: V·(p₁ − p₂)/(p_n·t); cold flow, so an upper bound',
				inputs: {
					Q_m: given(
						'mean of your timed drains',
						'flow',
						'T',
						(w) => w.inputs.evidence.flowLpm!.mean
					)
				}
			},
			plate: {
				basis: 'D',
				formula: 'Q_p',
				source: 'Data plate',
				inputs: {
					Q_p: given('flow on the plate', 'flow', 'D', (w) => w.inputs.bench.cutter.airFlowLpm!)
				}
			},
			bore: {
				basis: 'R',
				formula: 'n*Q_b',
				source:
					'The bore passes about a third of the whole (common practice); time a drain to know',
				inputs: {
					n: stated('whole over bore', 'factor', BORE_FLOW_MULTIPLE, 'R'),
					Q_b: 'air.boreFlowLpm'
				}
			}
		}
	),
	'air.boreFlowLpm': single('Air through the bore alone', 'flow', (w) => w.air.boreFlowLpm, {
		basis: 'H',
		formula:
			'60000*pi/4*(d/1000)^2*(p + p_n)*1e5*sqrt(1.4/(287.05287*293.15))*(2/2.4)^3/(p_n*1e5/(287.05287*293.15))',
		source: 'Choked isentropic orifice; a lower bound of the cutter’s flow',
		inputs: {
			d: given('bore of the nozzle in the torch', 'small', 'D', (w) => w.fittedNozzle.boreMm),
			p: given('set-point', 'pressure', 'D', (w) => w.inputs.bench.air.setPointBar),
			p_n: pn
		}
	}),
	'air.altitudeFactor': single('Thinner air up here', 'factor', (w) => w.air.altitudeFactor, {
		basis: 'S',
		formula: '(1 - 0.0065*H/288.15)^5.25588',
		source: 'ISO 2533',
		inputs: { H: given('altitude', 'altitude', 'D', (w) => w.inputs.bench.air.altitudeM) }
	}),
	'air.deliveryLpm': several(
		'Compressor delivers at cut-in',
		'flow',
		(w) => w.air.deliveryAtCutInLpm,
		(w) => (w.inputs.evidence.deliveryFactor ? 'measured' : 'plate'),
		Object.fromEntries(
			(['plate', 'measured'] as const).map((way) => [
				way,
				{
					basis: way === 'plate' ? ('D' as const) : ('T' as const),
					formula: 'k_m*k_h*(q_1 + (q_2 - q_1)*(p - p_1)/(p_2 - p_1))',
					source:
						way === 'plate'
							? 'Straight line between the two deliveries on its plate'
							: 'The plate’s line, scaled by your timed fill',
					inputs: {
						k_m: given(
							'your timed fill over the plate',
							'factor',
							way === 'plate' ? 'D' : 'T',
							(w) => w.air.deliveryFactor
						),
						k_h: 'air.altitudeFactor' as const,
						q_1: given('delivery', 'flow', 'D', (w) => w.inputs.bench.air.compressor.q1Lpm),
						q_2: given('delivery', 'flow', 'D', (w) => w.inputs.bench.air.compressor.q2Lpm),
						p: cutIn,
						p_1: given('at', 'pressure', 'D', (w) => w.inputs.bench.air.compressor.p1Bar),
						p_2: given('at', 'pressure', 'D', (w) => w.inputs.bench.air.compressor.p2Bar)
					}
				}
			])
		)
	),
	'air.dryerLossBar': elementLoss('Dryer loses', 'dryer', 'dryerLossBar'),
	'air.filterLossBar': elementLoss('Filter loses', 'filter', 'filterLossBar'),
	'air.hoseLossBar': single('Hose and couplings lose', 'pressure', (w) => w.air.hoseLossBar, {
		basis: 'H',
		formula: 'sqrt((p_min + p_n)^2 + D) - (p_min + p_n)',
		source: `Darcy-Weisbach, isothermal, Swamee-Jain friction; a coupling counts as ${COUPLING_EQUIVALENT_M} m of hose (common practice)`,
		inputs: {
			p_min: given(
				'inlet at the lower limit of the window',
				'pressure',
				'D',
				(w) => w.inputs.bench.cutter.airMinBar
			),
			p_n: pn,
			D: given('fall of p² along the hose, bar²', 'factor', 'H', (w) => w.air.hoseSquareDropBar2)
		}
	}),
	'air.afterDryerBar': single(
		'After the dryer, tank at cut-in',
		'pressure',
		(w) => w.air.afterDryerBar,
		{
			basis: 'M',
			formula: 'p_in - dp',
			source: 'Pressure left on the way to the cutter',
			inputs: { p_in: cutIn, dp: 'air.dryerLossBar' }
		}
	),
	'air.afterFilterBar': single(
		'After the filter, tank at cut-in',
		'pressure',
		(w) => w.air.afterFilterBar,
		{
			basis: 'M',
			formula: 'p_d - dp',
			source: 'Pressure left on the way to the cutter',
			inputs: { p_d: 'air.afterDryerBar', dp: 'air.filterLossBar' }
		}
	),
	'air.tankNeededBar': single('Tank needs', 'pressure', (w) => w.air.tankNeededBar, {
		basis: 'M',
		formula: 'p_min + dp_hose + dp_filter + dp_dryer',
		source: 'Lower limit of the plate’s window and the losses before it',
		inputs: {
			p_min: given(
				'lower limit of the window',
				'pressure',
				'D',
				(w) => w.inputs.bench.cutter.airMinBar
			),
			dp_hose: 'air.hoseLossBar',
			dp_filter: 'air.filterLossBar',
			dp_dryer: 'air.dryerLossBar'
		}
	}),
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
	}),
	'air.useLpm': single(
		'Air used on average, post-flow included',
		'flow',
		(w) => w.air.averageUseLpm,
		{
			basis: 'M',
			formula: 'Q*(t_arc + min(t_post, t_rest))/(t_arc + t_rest)',
			source: 'Arc and post-flow over the pattern',
			inputs: {
				Q: 'air.flowLpm',
				t_arc: given('arc', 'time', 'D', (w) => w.inputs.work.arcS),
				t_rest: given('pause', 'time', 'D', (w) => w.inputs.work.restS),
				t_post: given('post-flow', 'time', 'D', (w) => w.inputs.bench.torch.postFlowS)
			}
		}
	)
} satisfies Record<string, FigureDef>;

const heat = {
	T_a: given('shop', 'temperature', 'D', (w) => w.inputs.work.shopC),
	dT: 'cutter.riseK' as const,
	tau: stated('time constant', 'time', HOT_TAU_S),
	T_lim: stated('hot spot limit', 'temperature', HOT_SPOT_C)
};

export const CUTTER_FIGURES = {
	'cutter.dutyShare': single('Rated duty at these amps', 'share', (w) => w.heat.dutyShare, {
		basis: 'D',
		formula: 'min(1, X_r*(I_r/I)^2)',
		source: 'Data plate, I²·X constant between its pairs (IEC 60974-1), at 40 °C',
		inputs: {
			X_r: given('duty on the plate', 'share', 'D', (w) => w.heat.pair.dutyShare),
			I_r: given('at these amps', 'current', 'D', (w) => w.heat.pair.outputA),
			I: 'setup.currentA'
		}
	}),
	'cutter.riseK': single('Would settle above the shop by (K)', 'factor', (w) => w.heat.riseK, {
		basis: 'M',
		formula: '(T_lim - T_r)*(1 - exp(-600/tau))/(1 - exp(-600*X_r/tau))*(I/I_r)^2',
		source: HEAT_SOURCE,
		inputs: {
			T_lim: heat.T_lim,
			T_r: stated('rated at', 'temperature', RATED_AMBIENT_C, 'S'),
			tau: heat.tau,
			X_r: given('duty on the plate', 'share', 'D', (w) => w.heat.pair.dutyShare),
			I_r: given('at these amps', 'current', 'D', (w) => w.heat.pair.outputA),
			I: 'setup.currentA'
		}
	}),
	'cutter.peakC': several(
		'Cutter at its hottest',
		'temperature',
		(w) => w.heat.peakC,
		(w) => (w.inputs.work.restS > 0 ? 'cyclic' : 'steady'),
		{
			cyclic: {
				basis: 'M',
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
				basis: 'M',
				formula: 'T_a + dT',
				source: HEAT_SOURCE,
				inputs: { T_a: heat.T_a, dT: heat.dT }
			}
		}
	),
	'cutter.lampS': several(
		'Lamp lights after',
		'time',
		(w) => w.heat.lamp?.atS ?? null,
		(w) => (w.heat.lamp ? 'lights' : 'never'),
		{
			lights: {
				basis: 'M',
				formula: 't_0 + tau*log((T_a + dT - T_0)/(T_a + dT - T_lim))',
				source: HEAT_SOURCE,
				inputs: {
					...heat,
					t_0: given(
						'start of the cut in which it lights',
						'time',
						'M',
						(w) => w.heat.lamp!.phaseStartS
					),
					T_0: given(
						'cutter at that moment',
						'temperature',
						'M',
						(w) => w.heat.lamp!.phaseStartLevel
					)
				}
			},
			never: {
				basis: 'M',
				formula: 'T_peak <= T_lim',
				source: HEAT_SOURCE,
				inputs: { T_peak: 'cutter.peakC', T_lim: heat.T_lim }
			}
		}
	),
	'cutter.lampContinuousS': several(
		'Lamp, with no pause at all',
		'time',
		(w) => w.heat.lampContinuous?.atS ?? null,
		(w) => (w.heat.lampContinuous ? 'lights' : 'never'),
		{
			lights: {
				basis: 'M',
				formula: 'tau*log(dT/(dT - (T_lim - T_a)))',
				source: HEAT_SOURCE,
				inputs: heat
			},
			never: {
				basis: 'M',
				formula: 'T_a + dT <= T_lim',
				source: HEAT_SOURCE,
				inputs: { T_a: heat.T_a, dT: heat.dT, T_lim: heat.T_lim }
			}
		}
	),
	'cutter.recoveryS': single('Then needs to cool', 'time', (w) => w.heat.recoveryS, {
		basis: 'M',
		formula: 'tau*log((T_lim - T_a)/(T_reset - T_a))',
		source: HEAT_SOURCE,
		inputs: {
			T_a: heat.T_a,
			tau: heat.tau,
			T_lim: heat.T_lim,
			T_reset: stated('lamp goes out at', 'temperature', RESET_C)
		}
	})
} satisfies Record<string, FigureDef>;
