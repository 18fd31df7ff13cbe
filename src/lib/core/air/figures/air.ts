import { ofTheShop } from '../ownAir';
import { figuresFor } from '../../figure/define';

import type { AirView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<AirView>();

const elementLoss = (
	label: string,
	read: 'filterLossBar' | 'dryerLossBar',
	coefficient: 'filterCoefficient' | 'dryerCoefficient'
) =>
	several(
		label,
		'pressure',
		(w) => w.air[read],
		(w) => (w.air[coefficient] > 0 ? 'fitted' : 'none'),
		{ fitted: 'R', none: 'D' }
	);

/** What the line takes, carries and loses. */
export const AIR_FIGURES = ofTheShop({
	'air.flowLpm': banded(
		several(
			'Air the cutter takes',
			'flow',
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
	'air.boreFlowLpm': single('Air through the bore alone', 'flow', (w) => w.air.boreFlowLpm, 'H'),
	'air.altitudeFactor': single('Thinner air up here', 'factor', (w) => w.air.altitudeFactor, 'S'),
	'air.deliveryLpm': banded(
		several(
			'Compressor delivers at cut-in',
			'flow',
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
	'air.dryerLossBar': elementLoss('Dryer loses', 'dryerLossBar', 'dryerCoefficient'),
	'air.filterLossBar': elementLoss('Filter loses', 'filterLossBar', 'filterCoefficient'),
	'air.hoseLossBar': single('Hose and couplings lose', 'pressure', (w) => w.air.hoseLossBar, 'H'),
	'air.afterDryerBar': single(
		'After the dryer, tank at cut-in',
		'pressure',
		(w) => w.air.afterDryerBar,
		'M'
	),
	'air.afterFilterBar': single(
		'After the filter, tank at cut-in',
		'pressure',
		(w) => w.air.afterFilterBar,
		'M'
	),
	'air.tankNeededBar': single('Tank needs', 'pressure', (w) => w.air.tankNeededBar, 'M'),
	'air.useLpm': single(
		'Air used on average, post-flow included',
		'flow',
		(w) => w.air.averageUseLpm,
		'M'
	)
});
