import { ofTheShopReasons } from '../ownAir';
import { reasonsFor, type InputSource } from '../../figure/reason';
import { FREE_AIR_BAR } from '../../quantity/units';

import type { AirView } from '../workings';
import type { TANK_FIGURES } from '../figures/tank';

const { given, stated } = reasonsFor<AirView>();

const pn = stated('free air pressure', 'pressure', FREE_AIR_BAR, 'S');
const tankL = given('tank', 'volume', 'D', (w) => w.inputs.bench.air.tankL);
const cutIn = given('compressor cut-in', 'pressure', 'D', (w) => w.air.line.tank.cutInBar);
const cutOut = given('compressor cut-out', 'pressure', 'D', (w) => w.air.line.tank.cutOutBar);
const needed = given('pressure needed', 'pressure', 'M', (w) => w.air.line.storeNeededBar);
const tankNeeded = 'air.tankNeededBar' as const;
const TANK_SOURCE = 'Isothermal tank, V·dp/dt = p_n·(delivery − use)';
const SESSION_SOURCE =
	'Tank run exactly between cut-in, cut-out, arc and post-flow, until the pattern repeats';

const law = {
	a: given('bar per second at zero pressure', 'factor', 'M', (w) => w.air.run.lowest.law.a),
	b: given('fall of that per bar', 'factor', 'M', (w) => w.air.run.lowest.law.b),
	p_0: given(
		'tank at the start of the last fall',
		'pressure',
		'M',
		(w) => w.air.run.lowest.fromBar
	),
	t: given('length of that fall', 'time', 'M', (w) => w.air.run.lowest.durationS)
};

const leaks: InputSource<AirView> = (w) => ({
	label: 'leaks',
	quantity: 'flow',
	basis: w.inputs.evidence.leakLpm ? 'T' : 'M',
	value: w.air.line.leakLpm
});
const lastStretch = {
	t_0: given('start of the last stretch', 'time', 'M', (w) => w.air.line.longest.last.startS),
	p_0: given('tank then', 'pressure', 'M', (w) => w.air.line.longest.last.fromBar),
	a: given('bar per second, at zero pressure', 'factor', 'M', (w) => w.air.line.longest.last.law.a)
};

/** Delivery at the level at which an arc that never stops is fed, l/min. */
function keptUpLpm(w: AirView): number {
	return Math.max(w.air.line.deliveryAtNeededLpm, w.air.line.deliveryAtCutInLpm);
}

/** What the tank does over the pattern. */
export const TANK_REASONS = ofTheShopReasons<typeof TANK_FIGURES>({
	'air.tankLowBar': {
		straight: {
			formula: 'p_0 + a*t',
			source: SESSION_SOURCE,
			inputs: { p_0: law.p_0, a: law.a, t: law.t }
		},
		running: {
			formula: 'a/b + (p_0 - a/b)*exp(-b*t)',
			source: SESSION_SOURCE,
			inputs: law
		}
	},
	'air.shortAtS': {
		never: {
			formula: 'p_low >= p_need - 1e-9',
			source: SESSION_SOURCE,
			inputs: { p_low: 'air.tankLowBar', p_need: needed }
		},
		atOnce: {
			formula: 't_0',
			source: 'Even a full tank is below what the line needs',
			inputs: { t_0: given('start of the fall', 'time', 'M', (w) => w.air.run.shortFrom!.startS) }
		},
		straight: {
			formula: 't_0 + (p_need - p_0)/a',
			source: SESSION_SOURCE,
			inputs: {
				t_0: given('start of the last fall', 'time', 'M', (w) => w.air.run.shortFrom!.startS),
				p_0: given('tank then', 'pressure', 'M', (w) => w.air.run.shortFrom!.fromBar),
				p_need: needed,
				a: given('bar per second', 'factor', 'M', (w) => w.air.run.shortFrom!.law.a)
			}
		},
		running: {
			formula: 't_0 + log((p_0 - a/b)/(p_need - a/b))/b',
			source: SESSION_SOURCE,
			inputs: {
				t_0: given('start of the last fall', 'time', 'M', (w) => w.air.run.shortFrom!.startS),
				p_0: given('tank then', 'pressure', 'M', (w) => w.air.run.shortFrom!.fromBar),
				p_need: needed,
				a: given(
					'bar per second at zero pressure',
					'factor',
					'M',
					(w) => w.air.run.shortFrom!.law.a
				),
				b: given('fall of that per bar', 'factor', 'M', (w) => w.air.run.shortFrom!.law.b)
			}
		}
	},
	'air.longestCutS': {
		off: {
			formula: 'max(0, 60*V*(p_out - max(p_in, p_need))/(p_n*(Q + Q_l)))',
			source: TANK_SOURCE,
			inputs: {
				V: tankL,
				p_out: cutOut,
				p_in: cutIn,
				p_need: tankNeeded,
				p_n: pn,
				Q: 'air.flowLpm',
				Q_l: leaks
			}
		},
		bothSteady: {
			formula: 't_0 + (p_need - p_0)/a',
			source: TANK_SOURCE,
			inputs: { ...lastStretch, p_need: tankNeeded }
		},
		both: {
			formula: 't_0 + log((p_0 - a/b)/(p_need - a/b))/b',
			source: TANK_SOURCE,
			inputs: {
				...lastStretch,
				p_need: tankNeeded,
				b: given('fall of that per bar', 'factor', 'M', (w) => w.air.line.longest.last.law.b)
			}
		},
		keepsUp: {
			formula: 'q_need >= Q + Q_l',
			source: 'The compressor keeps up with an arc that never stops',
			inputs: {
				q_need: given('delivery there', 'flow', 'M', (w) => keptUpLpm(w)),
				Q: 'air.flowLpm',
				Q_l: leaks
			}
		}
	},
	'air.startsPerH': {
		only: {
			formula: '3600*n/t_span',
			source: SESSION_SOURCE,
			inputs: {
				n: given('starts', 'count', 'M', (w) => w.air.run.starts),
				t_span: given('time looked at', 'time', 'M', (w) => w.air.run.spanS)
			}
		}
	},
	'air.bottleS': {
		bottle: {
			formula: '60*V*n*(p - p_r)/(p_n*Z*Q)*t_arc/(t_arc + min(t_post, t_rest))',
			source:
				'Water volume times pressure, less by Z (handbook, from memory: 1.06 at 200 bar); post-flow takes its share',
			inputs: {
				V: given('water volume of one', 'volume', 'D', (w) => w.inputs.bench.air.bottle!.waterL),
				n: given('bottles', 'count', 'D', (w) => w.inputs.bench.air.bottle!.count),
				p: given('pressure in them', 'pressure', 'D', (w) => w.inputs.bench.air.bottle!.fillBar),
				p_r: given('left in them', 'pressure', 'D', (w) => w.inputs.bench.air.bottle!.reserveBar),
				p_n: pn,
				Z: given('held less by', 'factor', 'H', (w) => w.air.line.bottleZ),
				Q: 'air.flowLpm',
				t_arc: given('arc', 'time', 'D', (w) => w.inputs.work.arcS),
				t_post: given('post-flow', 'time', 'D', (w) => w.inputs.bench.torch.postFlowS),
				t_rest: given('pause', 'time', 'D', (w) => w.inputs.work.restS)
			}
		},
		none: { formula: 'true', source: 'No bottles on this bench', inputs: {} }
	},
	'air.runShare': {
		only: {
			formula: 't_run/t_span',
			source: SESSION_SOURCE,
			inputs: {
				t_run: given('time it ran', 'time', 'M', (w) => w.air.run.runS),
				t_span: given('time looked at', 'time', 'M', (w) => w.air.run.spanS)
			}
		}
	}
});
