/** What each figure of the air comes from, in one plain sentence. */
import type { PlainOf } from '../figure/reason';
import type { AIR_FIGURES } from './figures/air';
import type { LINE_FIGURES } from './figures/line';
import type { TANK_FIGURES } from './figures/tank';
import type { AirView } from './workings';

const DELIVERS = 'Read off between {q_1} and {q_2} at the pressure of {p}, less for height.';

export const AIR_PLAIN = {
	'air.flowLpm': {
		measured: 'You emptied the tank against the clock: {Q_m}, leaks of {Q_l} taken off.',
		plate: 'The label of the cutter says so.',
		bound: 'The label does not say; at least {Q_b} go through the bore.'
	},
	'air.boreFlowLpm': 'As fast as sound through a hole of {d} at {p}.',
	'air.altitudeFactor': 'At {H} each litre holds less air.',
	'air.deliveryLpm': {
		plate: DELIVERS,
		displaced: 'The label tells only what it displaces; it delivers less.',
		measured: 'The label, corrected by your filling time.'
	},
	'air.dryerLossBar': { fitted: '{Q} through the dryer.', none: 'There is no dryer.' },
	'air.filterLossBar': { fitted: '{Q} through the filter.', none: 'There is no filter.' },
	'air.hoseLossBar': 'What the hose takes before {p_min} arrive at its end.',
	'air.afterDryerBar': '{p_in} in the tank, {dp} stay in the dryer.',
	'air.afterFilterBar': '{p_d} come, {dp} stay in the filter.',
	'air.tankNeededBar':
		'The cutter wants {p_min}; hose {dp_hose}, filter {dp_filter} and dryer {dp_dryer} come on top.',
	'air.useLpm': '{Q} while it blows: {t_arc} of arc and the post-flow, in every {t_rest} of pause.'
} satisfies PlainOf<typeof AIR_FIGURES, AirView>;

const FALLS = 'The tank then is down to {p_need}, which the cutter still gets.';

export const TANK_PLAIN = {
	'air.tankLowBar': {
		straight: 'From {p_0}, over {t}: what goes out and what comes in.',
		running: 'From {p_0}, over {t}, the compressor running against it.'
	},
	'air.shortAtS': {
		never: 'The tank stays at {p_low} or above; {p_need} are needed.',
		atOnce: 'There is too little from the first start on.',
		straight: FALLS,
		running: FALLS
	},
	'air.longestCutS': {
		off: 'The tank alone, from {p_out} down to what is needed, at {Q}.',
		bothSteady: 'Tank and compressor together, until {p_need} are reached.',
		both: 'Tank and compressor together, until {p_need} are reached.',
		keepsUp: 'The compressor delivers more than the {Q} it takes: it never runs out.'
	},
	'air.startsPerH': '{n} starts in {t_span}.',
	'air.bottleS': {
		bottle: '{n} bottles of {V} from {p} down to {p_r}, at {Q} while it blows.',
		none: 'The air does not come from bottles.'
	},
	'air.runShare': 'It runs {t_run} of {t_span}.'
} satisfies PlainOf<typeof TANK_FIGURES, AirView>;

export const LINE_PLAIN = {
	'air.inletLowBar': {
		flowing: 'With {p_t} in the tank, filter, dryer and hose taken off; never more than {p_set}.',
		choked: 'With {p_t} in the tank nothing arrives: filter, dryer and hose eat it all.'
	},
	'air.torchBar': {
		flowing: '{p_i} at the cutter, less what the torch lead takes.',
		choked: '{p_i} at the cutter do not get through the torch lead.',
		noInlet: 'Nothing arrives at the cutter.'
	}
} satisfies PlainOf<typeof LINE_FIGURES, AirView>;

export const OWN_AIR_PLAIN = 'The cutter makes its own air: nothing is asked of the shop’s.';
