/**
 * Width of the kerf [own]: 1.5 bores at the recommended travel with the nozzle on the plate; slower and
 * higher is wider. What the cut chart says of it nearby pulls the whole, the less the further off.
 */
import { nearRows } from '../speed/chart';
import { type Chart } from '../speed/chartSchema';
import type { MetalId } from '../metal/metals';

/** Bore times this is the kerf until one is measured. */
export const KERF_PER_BORE = 1.5;
/** Kerf over travel, as a power: half the speed is about a seventh wider. */
export const KERF_SLOW_POWER = 0.2;
/** Wider by this for every mm the nozzle stands off. */
export const KERF_PER_STANDOFF = 0.08;
/** Distance in the logarithms of amps and thickness over which a chart row loses its say. */
const FAR = 0.25;
const FAINT = 0.05;

export interface KerfPlace {
	boreMm: number;
	/** Travel over the recommended one. */
	speedRatio: number;
	standoffMm: number;
}

export function modelKerfMm({ boreMm, speedRatio, standoffMm }: KerfPlace): number {
	return KERF_PER_BORE * boreMm * speedRatio ** -KERF_SLOW_POWER + KERF_PER_STANDOFF * standoffMm;
}

/** ln of the chart's kerf over the model's, by the rows nearby; 0: none. */
export function chartKerfPull(
	chart: Chart | null,
	at: { metal: MetalId; nozzleA: number; outputA: number; thicknessMm: number; boreMm: number }
): number {
	if (!chart) return 0;
	let [sum, weights] = [0, FAINT];
	for (const row of nearRows(chart, at)) {
		if (row.kerfMm === null) continue;
		const far =
			Math.abs(Math.log(row.thicknessMm / at.thicknessMm)) +
			Math.abs(Math.log(row.outputA / at.outputA));
		const weight = Math.exp(-((far / FAR) ** 2));
		const model = modelKerfMm({
			boreMm: at.boreMm,
			speedRatio: 1,
			standoffMm: row.standoffMm ?? 0
		});
		sum += weight * Math.log(row.kerfMm / model);
		weights += weight;
	}
	return sum / weights;
}

/** Scrap pieces are kept by metal and by the nozzle that was in the torch. */
export function kerfKey(metal: string, nozzleA: number): string {
	return `${metal}@${nozzleA}`;
}
