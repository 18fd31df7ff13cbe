import { ofTheShop } from '../ownAir';
import { figuresFor } from '../../figure/define';

import type { AirView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<AirView>();

const elementLoss = (
	read: 'filterLossBar' | 'dryerLossBar',
	coefficient: 'filterCoefficient' | 'dryerCoefficient'
) =>
	several(
		(w) => w.air[read],
		(w) => (w.air[coefficient] > 0 ? 'fitted' : 'none'),
		{ fitted: 'R', none: 'D' }
	);

/** What the line takes, carries and loses. */
export const AIR_FIGURES = ofTheShop({
	'air.flowLpm': banded(
		several(
			(w) => w.air.flowLpm,
			(w) => (w.air.flowWay === 'built-in' ? 'bound' : w.air.flowWay),
			{ measured: 'T', plate: 'D', bound: 'S' }
		),
		measuredBand(
			(w) => w.inputs.evidence.flowLpm,
			() => 1,
			(w) => w.air.flowLpm
		)
	),
	'air.boreFlowLpm': single((w) => w.air.boreFlowLpm, 'H'),
	'air.altitudeFactor': single((w) => w.air.altitudeFactor, 'S'),
	'air.deliveryLpm': banded(
		several(
			(w) => w.air.deliveryAtCutInLpm,
			(w) =>
				w.inputs.evidence.deliveryFactor
					? 'measured'
					: w.air.displacedShare < 1
						? 'displaced'
						: 'plate',
			{ plate: 'D', displaced: 'R', measured: 'T' }
		),
		measuredBand(
			(w) => w.inputs.evidence.deliveryFactor,
			(w) => w.air.deliveryAtCutInLpm / w.air.deliveryFactor,
			(w) => w.air.deliveryAtCutInLpm
		)
	),
	'air.dryerLossBar': elementLoss('dryerLossBar', 'dryerCoefficient'),
	'air.filterLossBar': elementLoss('filterLossBar', 'filterCoefficient'),
	'air.hoseLossBar': single((w) => w.air.hoseLossBar, 'H'),
	'air.afterDryerBar': single((w) => w.air.afterDryerBar, 'M'),
	'air.afterFilterBar': single((w) => w.air.afterFilterBar, 'M'),
	'air.tankNeededBar': single((w) => w.air.tankNeededBar, 'M'),
	'air.useLpm': single((w) => w.air.averageUseLpm, 'M')
});
