import { ofTheShopReasons } from '../ownAir';
import { reasonsFor, type InputSource } from '../../figure/reason';
import { FREE_AIR_BAR } from '../../quantity/units';
import type { AirView } from '../workings';
import type { LINE_FIGURES } from '../figures/line';

const { given, stated } = reasonsFor<AirView>();

const pn = stated('free air pressure', 'pressure', FREE_AIR_BAR, 'S');
const setPoint = given('set-point', 'pressure', 'D', (w) => w.inputs.bench.air.setPointBar);
const leadDrop = given(
	'fall of p² along the lead, bar²',
	'factor',
	'H',
	(w) => w.air.line.leadSquareDropBar2
);
const enters = given('enters the lead', 'pressure', 'M', (w) =>
	Math.min(w.air.inletLowBar ?? NaN, w.air.line.workingBar ?? Infinity)
);
const throughLine = {
	p_t: ((w) => ({
		label:
			w.inputs.bench.air.source === 'bottle' ? 'regulator on the bottle' : 'tank at its lowest',
		quantity: 'pressure',
		basis: w.inputs.bench.air.source === 'bottle' ? 'D' : 'M',
		value: w.air.lineLowBar
	})) as InputSource<AirView>,
	dp_f: 'air.filterLossBar' as const,
	dp_d: 'air.dryerLossBar' as const,
	p_n: pn,
	D: given('fall of p² along the hose, bar²', 'factor', 'H', (w) => w.air.line.hoseSquareDropBar2)
};

/** What the line leaves of the pressure: at the inlet, and at the torch. */
export const LINE_REASONS = ofTheShopReasons<typeof LINE_FIGURES>({
	'air.inletLowBar': {
		flowing: {
			formula: 'min(p_set, sqrt((p_t - dp_f - dp_d + p_n)^2 - D) - p_n)',
			source: 'Regulator, or what the line leaves of the tank, whichever is less',
			inputs: {
				p_set: setPoint,
				...throughLine
			}
		},
		choked: {
			formula: 'p_t - dp_f - dp_d + p_n <= 0 or (p_t - dp_f - dp_d + p_n)^2 - D <= p_n^2',
			source: 'The line cannot pass the flow at all',
			inputs: throughLine
		}
	},
	'air.torchBar': {
		flowing: {
			formula: 'sqrt((p_i + p_n)^2 - D) - p_n',
			source: 'Darcy-Weisbach along the torch lead; a longer lead wants more at the inlet',
			inputs: { p_i: enters, p_n: pn, D: leadDrop }
		},
		choked: {
			formula: '(p_i + p_n)^2 - D <= p_n^2',
			source: 'The lead cannot pass the flow at all',
			inputs: { p_i: enters, p_n: pn, D: leadDrop }
		},
		noInlet: { formula: 'true', source: 'No pressure reaches the inlet', inputs: {} }
	}
});
