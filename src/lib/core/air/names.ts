import { named } from '../figure/names';

export const AIR_NAMES = {
	'air.flowLpm': named('Air the cutter takes', 'flow'),
	'air.boreFlowLpm': named('Air through the bore alone', 'flow'),
	'air.altitudeFactor': named('Thinner air up here', 'factor'),
	'air.deliveryLpm': named('Compressor delivers at cut-in', 'flow'),
	'air.dryerLossBar': named('Dryer loses', 'pressure'),
	'air.filterLossBar': named('Filter loses', 'pressure'),
	'air.hoseLossBar': named('Hose and couplings lose', 'pressure'),
	'air.afterDryerBar': named('After the dryer, tank at cut-in', 'pressure'),
	'air.afterFilterBar': named('After the filter, tank at cut-in', 'pressure'),
	'air.tankNeededBar': named('Tank needs', 'pressure'),
	'air.useLpm': named('Air used on average, post-flow included', 'flow'),
	'air.tankLowBar': named('Tank at its lowest', 'pressure'),
	'air.shortAtS': named('Air falls short after', 'time'),
	'air.longestCutS': named('Longest single cut from this tank', 'time'),
	'air.startsPerH': named('Compressor starts an hour', 'count'),
	'air.bottleS': named('Arc time in the bottles', 'time'),
	'air.runShare': named('Compressor runs', 'share'),
	'air.inletLowBar': named('Inlet at its lowest, air flowing', 'pressure'),
	'air.torchBar': named('At the torch, air flowing', 'pressure')
};
