import { handSpeedMmS } from './heat';
import { startCapacity, startMethod, throughS } from './start';
import { arcThicknessMm } from './thickness';
import { nearestRow } from '../speed/chart';
import { type Chart, type ChartRow } from '../speed/chartSchema';
import { aimFactor } from '../speed/speed';
import type { SpeedLaw } from '../speed/speedLaw';
import { coatingSpeed } from '../metal/coatings';
import type { ShopBench } from '../air/inputs';
import type { SpeedEvidence } from '../speed/inputs';
import type { SparkSchool } from '../speed/speed';
import type { LineCut } from './lineCut';
import { lawFor } from '../speed/law';
import { nozzleFor } from '../torch/nozzle';

/** What the law says of this cut at some amps, with the nozzle that goes with them. */
export interface LawAsk {
	bench: ShopBench;
	chart: Chart | null;
	evidence: SpeedEvidence;
	cut: Pick<LineCut, 'metal' | 'thicknessMm' | 'layers' | 'bevelDeg'>;
}
export function lawOfCut({ bench, chart, evidence, cut }: LawAsk, outputA: number): SpeedLaw {
	const nozzleA = nozzleFor(bench.torch.nozzles, outputA).ratingA;
	const thicknessMm = arcThicknessMm(cut);
	return lawFor(bench, chart, evidence.speed, { metal: cut.metal, nozzleA, outputA, thicknessMm });
}

/** Travel of this cut, and what goes by it. */
export function travelOf(
	ask: LawAsk & { cut: LineCut; settings: { sparks: SparkSchool } },
	outputA: number
) {
	const { cut, settings } = ask;
	const arcMm = arcThicknessMm(cut);
	const law = lawOfCut(ask, outputA).at({ outputA, thicknessMm: arcMm });
	const coatingFactor = coatingSpeed(cut);
	const mmS = (mmMin: number) => (law.parts ? (coatingFactor * mmMin) / 60 : null);
	const referenceMmS = mmS(law.referenceMmMin);
	const factor = aimFactor(cut.aim, {
		sparks: settings.sparks,
		thicknessMm: arcMm,
		fastestOverReference: law.fastestMmMin / law.referenceMmMin
	});
	return {
		arcMm,
		law,
		coatingFactor,
		parts: law.parts,
		baseMmS: mmS(law.baseMmMin),
		referenceMmS,
		fastestMmS: mmS(law.fastestMmMin),
		aimFactor: factor,
		speedMmS: referenceMmS === null ? null : referenceMmS * factor
	};
}

/** The row of the chart that speaks of this very cut, if one does. */
export function chartRowOf({ bench, chart, cut }: LawAsk, outputA: number): ChartRow | undefined {
	const nozzleA = nozzleFor(bench.torch.nozzles, outputA).ratingA;
	const place = { metal: cut.metal, outputA, nozzleA, thicknessMm: arcThicknessMm(cut) };
	return chart ? nearestRow(chart, place) : undefined;
}

/** How this cut is started, and the time to break through, s: the chart's own for a pierce goes first. */
export function started(
	cut: LineCut,
	{ arcMm, law, referenceMmS }: ReturnType<typeof travelOf>,
	chartRow: () => ChartRow | undefined
) {
	const start = startCapacity(law.cleanMm, law.severMm);
	const method = startMethod(cut, arcMm, start);
	const modelS = throughS(method, arcMm, referenceMmS);
	const chartS = method === 'pierce' && modelS !== null ? chartRow()?.pierceS : null;
	return { start, startMethod: method, throughS: chartS ?? modelS };
}

/** Arc of one such cut at some amps, s; null: it does not go through, or nothing starts it. */
export function arcSOf(
	ask: LawAsk & { cut: LineCut; settings: { sparks: SparkSchool }; lineMm: number },
	outputA: number
): number | null {
	const travel = travelOf(ask, outputA);
	const { throughS: through } = started(ask.cut, travel, () => chartRowOf(ask, outputA));
	if (travel.speedMmS === null || through === null) return null;
	return through + ask.lineMm / handSpeedMmS(travel.speedMmS, ask.cut.guide);
}
