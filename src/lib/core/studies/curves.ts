import { lawFor } from '../speed/law';
import { nozzleFor } from '../torch/nozzle';
import { plateInput } from '../cutter/plate';
import { type PlanInputs } from '../inputs/planInputs';
import { workings } from '../plan/workings';
import { CLEAN_MM_MIN, SEVER_MM_MIN } from '../speed/pooled';
import { LAG_WINDOW_DEG, speedRatioFromLag } from '../speed/speed';

/** Speed against thickness for the chart on Setup. Thickness in mm, speed in mm/s. */
export interface SpeedCurves {
	thicknessMm: number[];
	/** Recommended travel at some amps; null where it does not go through. */
	curves: { outputA: number; chosen: boolean; speedMmS: (number | null)[] }[];
	/** At the chosen amps: where sparks trail 15 to 30°. */
	windowMmS: [(number | null)[], (number | null)[]];
	/** The two ratings on the plate, in this metal. */
	ratings: { thicknessMm: number; speedMmS: number }[];
	chartRows: { thicknessMm: number; speedMmS: number; outputA: number }[];
	/** The planned cut; no speed: it does not part. */
	at: { thicknessMm: number; speedMmS: number | null };
}

const POINTS = 48;
const LEAST_MM = 0.8;
const ROWS_MOST = 400;

/** Curves of this metal at the chosen amps, the least, the most and one between. */
export function speedCurves(inputs: PlanInputs): SpeedCurves {
	const { bench, cut, chart, evidence, settings } = inputs;
	const w = workings(inputs, { solveAmps: false });
	const c = w.cutting;
	const mostMm = Math.max(c.severMm * 1.3, c.arcMm * 1.2, 4);
	const thicknessMm = Array.from(
		{ length: POINTS },
		(_, i) => LEAST_MM * (mostMm / LEAST_MM) ** (i / (POINTS - 1))
	);
	const { metal } = cut;
	// The nozzle that goes with the amps, as everywhere.
	const speedAt = (outputA: number, thicknessMm: number): number | null => {
		const nozzleA = nozzleFor(bench.torch.nozzles, outputA).ratingA;
		const law = lawFor(bench, chart, evidence.speed, { metal, nozzleA, outputA, thicknessMm });
		const { parts, referenceMmMin } = law.at({ outputA, thicknessMm });
		return parts ? (c.coatingFactor * referenceMmMin) / 60 : null;
	};
	const most = Math.floor(plateInput(bench)!.outputMaxA);
	const least = Math.ceil(bench.cutter.outputMinA);
	const amps = [...new Set([least, Math.round((least + most) / 2), most, c.outputA])].sort(
		(a, b) => a - b
	);
	const window = LAG_WINDOW_DEG[settings.sparks].map((deg) =>
		thicknessMm.map((mm) => {
			const speed = speedAt(c.outputA, mm);
			return speed === null ? null : speed * speedRatioFromLag(deg);
		})
	) as [(number | null)[], (number | null)[]];
	const rows = chart?.rows.filter((row) => row.metal === cut.metal) ?? [];
	return {
		thicknessMm,
		curves: amps.map((outputA) => ({
			outputA,
			chosen: outputA === c.outputA,
			speedMmS: thicknessMm.map((mm) => speedAt(outputA, mm))
		})),
		windowMmS: window,
		ratings: [
			{ thicknessMm: c.cleanMm, speedMmS: CLEAN_MM_MIN / 60 },
			{ thicknessMm: c.severMm, speedMmS: SEVER_MM_MIN / 60 }
		],
		chartRows: rows
			.slice(0, ROWS_MOST)
			.map(({ thicknessMm: mm, speedMmS, outputA }) => ({ thicknessMm: mm, speedMmS, outputA })),
		at: { thicknessMm: c.arcMm, speedMmS: c.speedMmS }
	};
}
