import { named } from '../figure/names';

export const GOUGE_NAMES = {
	'gouge.strings': named('Strings', 'count'),
	'gouge.currentA': named('Gouging amps', 'current'),
	'gouge.stringS': named('Seconds of the longest string', 'time'),
	'gouge.pieceS': named('Arc for one piece', 'time'),
	'gouge.jobMin': named('Arc for all pieces', 'minutes'),
	'gouge.speedMmS': named('Slowest travel', 'speed'),
	'gouge.fastMmS': named('Fastest travel', 'speed'),
	'gouge.widestMm': named('Widest string', 'small'),
	'gouge.wholeMm2': named('Section of the whole of it', 'area'),
	'gouge.areaMm2': named('Section gouged out', 'area'),
	'gouge.standsMm': named('Left to grind', 'small'),
	'gouge.keepMm': named('Must stay of the plate', 'small'),
	'gouge.leftMm': named('Stays of the plate', 'small'),
	'gouge.removalKgH': named('Metal thrown out', 'removal'),
	'gouge.slagG': named('Slag of all pieces', 'mass'),
	'gouge.heatKJm': named('Arc heat, by length', 'heat'),
	'gouge.airBar': named('Gouging air', 'pressure'),
	'gouge.shade': named('Filter shade to gouge', 'shade'),
	'gouge.piecesLeft': named('Such pieces left in the electrode', 'count')
};
