import { ofTheShop } from '../ownAir';
import { figuresFor } from '../../figure/define';

import type { AirView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<AirView>();

const elementLoss = (
	read: 'filterLossBar' | 'dryerLossBar',
	coefficient: 'filterCoefficient' | 'dryerCoefficient'
) =>
	several(
		(w) => w.air.line[read],
		(w) => (w.air.line[coefficient] > 0 ? 'fitted' : 'none'),
		{ fitted: 'R', none: 'D' }
	);

/** What the line takes, carries and loses. */
export const AIR_FIGURES = ofTheShop({
	'air.flowLpm': banded(
		several(
			(w) => w.air.line.flowLpm,
			(w) => (w.air.line.flowWay === 'built-in' ? 'bound' : w.air.line.flowWay),
			{ measured: 'T', plate: 'D', bound: 'S' }
		),
		measuredBand(
			(w) => w.inputs.evidence.flowLpm,
			() => 1,
			(w) => w.air.line.flowLpm
		)
	),
	'air.boreFlowLpm': single((w) => w.air.line.boreFlowLpm, 'H'),
	'air.altitudeFactor': single((w) => w.air.line.altitudeFactor, 'S'),
	'air.deliveryLpm': banded(
		several(
			(w) => w.air.line.deliveryAtCutInLpm,
			(w) =>
				w.inputs.evidence.deliveryFactor
					? 'measured'
					: w.air.line.displacedShare < 1
						? 'displaced'
						: 'plate',
			{ plate: 'D', displaced: 'R', measured: 'T' }
		),
		measuredBand(
			(w) => w.inputs.evidence.deliveryFactor,
			(w) => w.air.line.deliveryAtCutInLpm / w.air.line.deliveryFactor,
			(w) => w.air.line.deliveryAtCutInLpm
		)
	),
	'air.dryerLossBar': elementLoss('dryerLossBar', 'dryerCoefficient'),
	'air.filterLossBar': elementLoss('filterLossBar', 'filterCoefficient'),
	'air.hoseLossBar': single((w) => w.air.line.hoseLossBar, 'H'),
	'air.afterDryerBar': single((w) => w.air.line.afterDryerBar, 'M'),
	'air.afterFilterBar': single((w) => w.air.line.afterFilterBar, 'M'),
	'air.tankNeededBar': single((w) => w.air.line.tankNeededBar, 'M'),
	'air.useLpm': single((w) => w.air.averageUseLpm, 'M')
});
