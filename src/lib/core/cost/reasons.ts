import { reasonsFor, type Reason, type ReasonsOf } from '../figure/reason';
import type { COST_FIGURES } from './figures';
import type { CostView } from './workings';

const { given } = reasonsFor<CostView>();
const NONE: Reason<CostView> = {
	formula: 'true',
	source: 'It does not go through: there is nothing to pay for',
	inputs: {}
};
const UNPRICED: Reason<CostView> = {
	formula: 'true',
	source: 'Nobody has said the price yet: Wear, what the cut costs',
	inputs: {}
};
const time = 'setup.lineS';
const perM = { l: 'setup.lineMm' };
const power = given('power from the wire', 'power', 'M', (w) => w.draw.activeW);
const kwh = given('a kilowatt-hour', 'factor', 'D', (w) => w.inputs.settings.pricePerKwh ?? NaN);
const air = given('air of the cut', 'volume', 'M', (w) => w.costing.airL);
const perLpm = given(
	'compressor, kW for a litre a minute',
	'factor',
	'R',
	(w) => w.costing.kwPerLpm
);
const COMPRESSOR =
	'Small piston compressors take 7 to 13 kW for a cubic metre a minute (rule of thumb, from memory)';

export const COST_REASONS = {
	'cost.totalPerM': {
		none: NONE,
		unpriced: UNPRICED,
		priced: {
			formula: 'a + b + c + d',
			source: 'Labour usually decides (common practice)',
			inputs: {
				a: 'cost.labourPerM',
				b: 'wear.costPerM',
				c: 'cost.powerPerM',
				d: 'cost.airPerM'
			}
		}
	},
	'cost.labourPerM': {
		none: NONE,
		unpriced: UNPRICED,
		priced: {
			formula: '(t + h)/3600*r*1000/l',
			source: 'Time under arc and between cuts, at the shop’s own rate',
			inputs: {
				t: time,
				h: given('between two cuts', 'time', 'D', (w) => w.inputs.settings.handlingS),
				r: given('an hour', 'factor', 'D', (w) => w.inputs.settings.labourPerH ?? NaN),
				...perM
			}
		}
	},
	'cost.powerPerM': {
		none: NONE,
		unpriced: UNPRICED,
		priced: {
			formula: 'P*t/3.6e6*p*1000/l',
			source: 'Power from the wire under arc; idling is left out',
			inputs: { P: power, t: time, p: kwh, ...perM }
		}
	},
	'cost.airPerM': {
		none: NONE,
		unpriced: UNPRICED,
		priced: {
			formula: 'q*k/60*p*1000/l',
			source: COMPRESSOR,
			inputs: { q: air, k: perLpm, p: kwh, ...perM }
		},
		bottle: {
			formula: 'q/b*p_b*1000/l',
			source: 'Air of the cut over what one bottle gives',
			inputs: {
				q: air,
				b: given('one bottle gives', 'volume', 'M', (w) => w.costing.bottleL),
				p_b: given('a bottle', 'factor', 'D', (w) => w.inputs.settings.bottlePrice ?? NaN),
				...perM
			}
		}
	},
	'cost.kwhPerM': {
		none: NONE,
		cut: {
			formula: '(P*t/3.6e6 + q*k/60)*1000/l',
			source: COMPRESSOR,
			inputs: { P: power, t: time, q: air, k: perLpm, ...perM }
		}
	}
} satisfies ReasonsOf<typeof COST_FIGURES, CostView>;
