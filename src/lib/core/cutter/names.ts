import { named } from '../figure/names';

export const CUTTER_NAMES = {
	'cutter.dutyShare': named('Rated duty at these amps', 'share'),
	'cutter.riseK': named('Would settle above the shop by', 'kelvin'),
	'cutter.peakC': named('Cutter at its hottest', 'temperature'),
	'cutter.lampS': named('Heat lamp comes on after', 'time'),
	'cutter.lampContinuousS': named('Heat lamp, cutting without a pause', 'time'),
	'cutter.recoveryS': named('Then needs to cool', 'time')
};
