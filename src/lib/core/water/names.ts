import { named } from '../figure/names';

export const WATER_NAMES = {
	'water.inhaledGH': named('Water taken in', 'waterRate'),
	'water.tankGH': named('Falls out in the tank', 'waterRate'),
	'water.trapGH': named('Caught before the cutter', 'waterRate'),
	'water.onwardGH': named('Goes on to the torch', 'waterRate'),
	'water.dewC': named('Pressure dew point at the inlet', 'temperature'),
	'water.drainH': named('Drain the tank every', 'hours'),
	'water.gelH': named('Gel is spent after', 'hours')
};
