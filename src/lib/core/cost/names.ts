import { named } from '../figure/names';

export const COST_NAMES = {
	'cost.totalPerM': named('Cost of the cut', 'perLength'),
	'cost.labourPerM': named('Cost of the worker', 'perLength'),
	'cost.powerPerM': named('Cost of the power', 'perLength'),
	'cost.airPerM': named('Cost of the air', 'perLength'),
	'cost.kwhPerM': named('Kilowatt-hours', 'perLength')
};
