import { named } from '../figure/names';

export const COST_NAMES = {
	'cost.totalPerM': named('A metre costs', 'factor'),
	'cost.labourPerM': named('The worker, a metre', 'factor'),
	'cost.powerPerM': named('Power of the cutter, a metre', 'factor'),
	'cost.airPerM': named('Air, a metre', 'factor'),
	'cost.kwhPerM': named('Kilowatt-hours, a metre', 'factor')
};
