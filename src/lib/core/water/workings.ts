import type { ShopBench } from '../air/inputs';
import type { AirView, AirWorkings } from '../air/workings';
import type { Work } from '../session/inputs';
import { type WaterLine, waterLine } from './line';
import { SEA_LEVEL_HPA } from './humidity';

/** A separator at the cutter's end has the hose to cool the air before it. */
export function coolingM(bench: ShopBench): number {
	const { stages, coolingM: pipeM, hose } = bench.air;
	const first = stages.find((stage) => stage.kind !== 'desiccant');
	return pipeM + (first?.where === 'cutter' ? hose.lengthM : 0);
}

/** Free air at the shop's own temperature and pressure, l/min. */
export function shopFlowLpm(flowLpm: number, shopC: number, altitude: number): number {
	return (flowLpm * (shopC + 273.15)) / 293.15 / altitude;
}

/** undefined: the air does not come from the shop's compressor. */
export function waterWorkings(
	bench: ShopBench,
	work: Work,
	{ line, averageUseLpm, inletLowBar }: AirWorkings
): WaterLine | undefined {
	const { air } = bench;
	const { leakLpm, altitudeFactor: altitude } = line;
	if (air.source !== 'compressor') return undefined;
	return waterLine({
		flowLpm: shopFlowLpm(averageUseLpm + leakLpm, work.shopC, altitude),
		shopC: work.shopC,
		humidity: work.humidity,
		ambientHPa: SEA_LEVEL_HPA * altitude,
		tankRiseK: air.tankRiseK,
		tankBar: air.compressor.cutInBar,
		tankL: air.tankL,
		coolingM: coolingM(bench),
		inletBar: Math.max(0.1, inletLowBar ?? 0.1),
		stages: air.stages
	});
}

/** What the water's room reads of the Plan's workings. */
export interface WaterView extends AirView {
	water: WaterLine | undefined;
}
