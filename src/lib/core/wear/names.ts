import { named } from '../figure/names';

export const WEAR_NAMES = {
	'cut.startWearUm': named('This start takes', 'microns'),
	'wear.factor': named('This shop against the starting rates', 'factor'),
	'wear.pitMm': named('Electrode pit now', 'small'),
	'wear.boreMm': named('Nozzle bore now', 'small'),
	'wear.load': named('Load on the nozzle', 'factor'),
	'wear.perCutUm': named('One such cut takes of the electrode', 'microns'),
	'wear.borePerCutUm': named('One such cut widens the bore', 'microns'),
	'wear.electrodeLeft': named('Such cuts left in the electrode', 'count'),
	'wear.nozzleLeft': named('Such cuts left in the nozzle', 'count'),
	'wear.electrodeShare': named('Life left in the electrode', 'share'),
	'wear.nozzleShare': named('Life left in the nozzle', 'share'),
	'wear.cutsLeft': named('Such cuts left', 'count'),
	'wear.metresLeft': named('Metres left', 'run'),
	'wear.ringLeft': named('Starts left in the swirl ring', 'count'),
	'wear.capLeft': named('Starts left in the retaining cap', 'count'),
	'wear.shieldLeft': named('Starts left in the shield', 'count'),
	'wear.oRingLeft': named('Starts left in the o-ring', 'count'),
	'wear.gougeNozzleLeft': named('Gouging starts left in its nozzle', 'count'),
	'wear.costPerM': named('Cost of electrode and nozzle', 'perLength')
};
