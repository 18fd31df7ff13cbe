import { ofTheShopReasons } from '../ownAir';
import { reasonsFor, type InputSource, type Reason } from '../../figure/reason';
import { pointsAround } from '../../session/delivery';
import { COUPLING_EQUIVALENT_M } from '../flow';
import { FREE_AIR_BAR } from '../../quantity/units';
import type { AirView } from '../workings';
import type { AIR_FIGURES } from '../figures/air';

const { given, stated } = reasonsFor<AirView>();

const pn = stated('free air pressure', 'pressure', FREE_AIR_BAR, 'S');
const cutIn = given('compressor cut-in', 'pressure', 'D', (w) => w.air.line.tank.cutInBar);

const lineFactor: InputSource<AirView> = (w) => ({
	label: 'your gauge over the model of the line',
	quantity: 'factor',
	basis: w.inputs.evidence.lineFactor ? 'T' : 'M',
	value: w.air.line.lineFactor
});

/** Loss of what dries, or of what filters. */
function elementLoss(coefficient: 'filterCoefficient' | 'dryerCoefficient') {
	return {
		fitted: {
			formula: 'k*c*Q^2',
			source:
				'Loss goes with the square of the flow (common practice), and with 1/(1 − clogged)² (our own)',
			inputs: {
				k: lineFactor,
				c: given(
					'sum of stated loss over flow squared, clogging included',
					'factor',
					'D',
					(w) => w.air.line[coefficient] / w.air.line.lineFactor
				),
				Q: 'air.flowLpm'
			}
		},
		none: { formula: '0', source: 'None in this line', inputs: {} }
	};
}

const around = (w: AirView) =>
	pointsAround(w.inputs.bench.air.compressor.points, w.air.line.tank.cutInBar);

/** The plate's line at cut-in, by what is known of it. */
const delivery = (way: 'plate' | 'displaced' | 'measured', source: string): Reason<AirView> => ({
	formula: 'max(0, k_m*k_d*k_h*(q_1 + (q_2 - q_1)*(p - p_1)/(p_2 - p_1)))',
	source,
	inputs: {
		k_m: given(
			'your timed fill over the plate',
			'factor',
			way === 'measured' ? 'T' : 'D',
			(w) => w.air.line.deliveryFactor
		),
		k_d: given(
			'delivered over what the plate states',
			'factor',
			way === 'displaced' ? 'R' : 'D',
			(w) => w.air.line.displacedShare
		),
		k_h: 'air.altitudeFactor',
		q_1: given('delivery', 'flow', 'D', (w) => around(w)[0].flowLpm),
		q_2: given('delivery', 'flow', 'D', (w) => around(w)[1].flowLpm),
		p: cutIn,
		p_1: given('at', 'pressure', 'D', (w) => around(w)[0].atBar),
		p_2: given('at', 'pressure', 'D', (w) => around(w)[1].atBar)
	}
});

export const AIR_REASONS = ofTheShopReasons<typeof AIR_FIGURES>({
	'air.flowLpm': {
		measured: {
			formula: 'max(1, Q_m - Q_l)',
			source: 'Your timed drain, V·(p₁ − p₂)/(p_n·t), less the leaks; cold flow, so an upper bound',
			inputs: {
				Q_m: given(
					'mean of your timed drains',
					'flow',
					'T',
					(w) => w.inputs.evidence.flowLpm!.mean
				),
				Q_l: (w) => ({
					label: 'leaks',
					quantity: 'flow',
					basis: w.inputs.evidence.leakLpm ? 'T' : 'M',
					value: w.air.line.leakLpm
				})
			}
		},
		plate: {
			formula: 'Q_p',
			source: 'Data plate',
			inputs: {
				Q_p: given('flow on the plate', 'flow', 'D', (w) => w.inputs.bench.cutter.airFlowLpm!)
			}
		},
		bound: {
			formula: 'Q_b',
			source:
				'At least: what the bore alone takes. The whole is more, often three times (common practice); time a drain to know',
			inputs: { Q_b: 'air.boreFlowLpm' }
		}
	},
	'air.boreFlowLpm': {
		only: {
			formula:
				'60000*pi/4*(d/1000)^2*(p + p_n)*1e5*sqrt(1.4/(287.05287*293.15))*(2/2.4)^3/(p_n*1e5/(287.05287*293.15))',
			source: 'Choked isentropic orifice; a lower bound of the cutter’s flow',
			inputs: {
				d: given('bore of the nozzle in the torch', 'small', 'D', (w) => w.fittedNozzle.boreMm),
				p: given('set-point', 'pressure', 'D', (w) => w.inputs.bench.air.setPointBar),
				p_n: pn
			}
		}
	},
	'air.altitudeFactor': {
		only: {
			formula: '(1 - 0.0065*H/288.15)^5.25588',
			source: 'ISO 2533',
			inputs: { H: given('altitude', 'altitude', 'D', (w) => w.inputs.bench.air.altitudeM) }
		}
	},
	'air.deliveryLpm': {
		plate: delivery('plate', 'Straight line between the deliveries on its plate'),
		displaced: delivery(
			'displaced',
			'Displacement is not delivery: a marked estimate, 60 to 75 % (common practice). Time a fill to know'
		),
		measured: delivery('measured', 'The plate’s line, scaled by your timed fill')
	},
	'air.dryerLossBar': elementLoss('dryerCoefficient'),
	'air.filterLossBar': elementLoss('filterCoefficient'),
	'air.hoseLossBar': {
		only: {
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
				D: given(
					'fall of p² along the hose, bar²',
					'factor',
					'H',
					(w) => w.air.line.hoseSquareDropBar2
				)
			}
		}
	},
	'air.afterDryerBar': {
		only: {
			formula: 'p_in - dp',
			source: 'Pressure left on the way to the cutter',
			inputs: { p_in: cutIn, dp: 'air.dryerLossBar' }
		}
	},
	'air.afterFilterBar': {
		only: {
			formula: 'p_d - dp',
			source: 'Pressure left on the way to the cutter',
			inputs: { p_d: 'air.afterDryerBar', dp: 'air.filterLossBar' }
		}
	},
	'air.tankNeededBar': {
		only: {
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
		}
	},
	'air.useLpm': {
		only: {
			formula: 'Q*(t_arc + min(t_post, t_rest))/(t_arc + t_rest)',
			source: 'Arc and post-flow over the pattern',
			inputs: {
				Q: 'air.flowLpm',
				t_arc: given('arc', 'time', 'D', (w) => w.inputs.work.arcS),
				t_rest: given('pause', 'time', 'D', (w) => w.inputs.work.restS),
				t_post: given('post-flow', 'time', 'D', (w) => w.inputs.bench.torch.postFlowS)
			}
		}
	}
});
