import { ofTheShop } from './ownAir';
import { FREE_AIR_BAR } from '../../air/flow';
import { runShare, shortAtS, startsPerH } from '../../session/run';
import type { Workings } from '../workings';
import { given, several, single, stated, type FigureDef, type InputSource } from './define';

const pn = stated('free air pressure', 'pressure', FREE_AIR_BAR, 'S');
const tankL = given('tank', 'volume', 'D', (w) => w.inputs.bench.air.tankL);
const cutIn = given('compressor cut-in', 'pressure', 'D', (w) => w.air.tank.cutInBar);
const cutOut = given('compressor cut-out', 'pressure', 'D', (w) => w.air.tank.cutOutBar);
const needed = given('pressure needed', 'pressure', 'M', (w) => w.air.storeNeededBar);
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

const leaks: InputSource = (w) => ({
	label: 'leaks',
	quantity: 'flow',
	basis: w.inputs.evidence.leakLpm ? 'T' : 'M',
	value: w.air.leakLpm
});
const lastStretch = {
	t_0: given('start of the last stretch', 'time', 'M', (w) => w.air.longest.last.startS),
	p_0: given('tank then', 'pressure', 'M', (w) => w.air.longest.last.fromBar),
	a: given('bar per second, at zero pressure', 'factor', 'M', (w) => w.air.longest.last.law.a)
};

/** Delivery at the level at which an arc that never stops is fed, l/min. */
function keptUpLpm(w: Workings): number {
	return Math.max(w.air.deliveryAtNeededLpm, w.air.deliveryAtCutInLpm);
}

function bottleArcS(w: Workings): number | null {
	const { bottle } = w.inputs.bench.air;
	if (!bottle) return null;
	const { arcS, restS } = w.inputs.work;
	const airS = arcS + Math.min(w.inputs.bench.torch.postFlowS, restS);
	return ((60 * w.air.bottleFreeL) / w.air.flowLpm) * (arcS / airS);
}

/** What the tank does over the pattern. */
export const TANK_FIGURES = ofTheShop({
	'air.tankLowBar': several(
		'Tank at its lowest',
		'pressure',
		(w) => w.air.run.lowestBar,
		(w) => (w.air.run.lowest.law.b === 0 ? 'straight' : 'running'),
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
	'air.shortAtS': several(
		'Air falls short after',
		'time',
		(w) => shortAtS(w.air.run) ?? null,
		(w) => {
			const short = w.air.run.shortFrom;
			if (!short) return 'never';
			if (short.durationS === 0) return 'atOnce';
			return short.law.b === 0 ? 'straight' : 'running';
		},
		{
			never: {
				basis: 'M',
				formula: 'p_low >= p_need - 1e-9',
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
					a: given('bar per second', 'factor', 'M', (w) => w.air.run.shortFrom!.law.a)
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
					a: given(
						'bar per second at zero pressure',
						'factor',
						'M',
						(w) => w.air.run.shortFrom!.law.a
					),
					b: given('fall of that per bar', 'factor', 'M', (w) => w.air.run.shortFrom!.law.b)
				}
			}
		}
	),
	'air.longestCutS': several(
		'Longest single cut from this tank',
		'time',
		(w) => (Number.isFinite(w.air.longest.totalS) ? w.air.longest.totalS : null),
		(w) => {
			const { totalS, onS, last } = w.air.longest;
			if (!Number.isFinite(totalS)) return 'keepsUp';
			if (onS === 0) return 'off';
			return last.law.b === 0 ? 'bothSteady' : 'both';
		},
		{
			off: {
				basis: 'M',
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
				basis: 'M',
				formula: 't_0 + (p_need - p_0)/a',
				source: TANK_SOURCE,
				inputs: { ...lastStretch, p_need: tankNeeded }
			},
			both: {
				basis: 'M',
				formula: 't_0 + log((p_0 - a/b)/(p_need - a/b))/b',
				source: TANK_SOURCE,
				inputs: {
					...lastStretch,
					p_need: tankNeeded,
					b: given('fall of that per bar', 'factor', 'M', (w) => w.air.longest.last.law.b)
				}
			},
			keepsUp: {
				basis: 'M',
				formula: 'q_need >= Q + Q_l',
				source: 'The compressor keeps up with an arc that never stops',
				inputs: {
					q_need: given('delivery there', 'flow', 'D', (w) => keptUpLpm(w)),
					Q: 'air.flowLpm',
					Q_l: leaks
				}
			}
		}
	),
	'air.startsPerH': single('Compressor starts an hour', 'count', (w) => startsPerH(w.air.run), {
		basis: 'M',
		formula: '3600*n/t_span',
		source: SESSION_SOURCE,
		inputs: {
			n: given('starts', 'count', 'M', (w) => w.air.run.starts),
			t_span: given('time looked at', 'time', 'M', (w) => w.air.run.spanS)
		}
	}),
	'air.bottleS': several(
		'Arc time in the bottles',
		'time',
		(w) => bottleArcS(w),
		(w) => (w.inputs.bench.air.bottle ? 'bottle' : 'none'),
		{
			bottle: {
				basis: 'D',
				formula: '60*V*n*(p - p_r)/(p_n*Z*Q)*t_arc/(t_arc + min(t_post, t_rest))',
				source:
					'Water volume times pressure, less by Z (handbook, from memory: 1.06 at 200 bar); post-flow takes its share',
				inputs: {
					V: given('water volume of one', 'volume', 'D', (w) => w.inputs.bench.air.bottle!.waterL),
					n: given('bottles', 'count', 'D', (w) => w.inputs.bench.air.bottle!.count),
					p: given('pressure in them', 'pressure', 'D', (w) => w.inputs.bench.air.bottle!.fillBar),
					p_r: given('left in them', 'pressure', 'D', (w) => w.inputs.bench.air.bottle!.reserveBar),
					p_n: pn,
					Z: given('held less by', 'factor', 'H', (w) => w.air.bottleZ),
					Q: 'air.flowLpm',
					t_arc: given('arc', 'time', 'D', (w) => w.inputs.work.arcS),
					t_post: given('post-flow', 'time', 'D', (w) => w.inputs.bench.torch.postFlowS),
					t_rest: given('pause', 'time', 'D', (w) => w.inputs.work.restS)
				}
			},
			none: { basis: 'D', formula: 'true', source: 'No bottles on this bench', inputs: {} }
		}
	),
	'air.runShare': single('Compressor runs', 'share', (w) => runShare(w.air.run), {
		basis: 'M',
		formula: 't_run/t_span',
		source: SESSION_SOURCE,
		inputs: {
			t_run: given('time it ran', 'time', 'M', (w) => w.air.run.runS),
			t_span: given('time looked at', 'time', 'M', (w) => w.air.run.spanS)
		}
	})
} satisfies Record<string, FigureDef>);
