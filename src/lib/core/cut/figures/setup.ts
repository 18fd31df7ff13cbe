import { figuresFor } from '../../figure/define';

import type { CutView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<CutView>();

/** A row of the chart says what to set where there is something to set. */
function workingBar(w: CutView): number | null {
	const settable = w.inputs.bench.cutter.regulator !== 'itself';
	return (settable ? w.cutting.chartRow?.pressureBar : null) ?? w.air.line.workingBar;
}

export const SETUP_FIGURES = {
	'setup.currentA': several(
		(w) => w.cutting.outputA,
		(w) => w.inputs.cut.school,
		{ full: 'D', matched: 'R', circuit: 'M', typed: 'T' }
	),
	'setup.ladderA': single((w) => w.cutting.ladderA, 'R'),
	'setup.cleanMm': single((w) => w.cutting.cleanMm, 'M'),
	'setup.severMm': single((w) => w.cutting.severMm, 'M'),
	'setup.arcMm': single((w) => w.cutting.arcMm, 'A'),
	'setup.nozzleA': single((w) => w.cutting.nozzle.ratingA, 'D'),
	'setup.boreMm': single((w) => w.cutting.nozzle.boreMm, 'D'),
	'setup.kerfMm': banded(
		several(
			(w) => w.cutting.kerfMm,
			(w) => (w.cutting.measuredKerf ? 'measured' : w.cutting.kerfPull !== 0 ? 'chart' : 'bore'),
			{ measured: 'T', bore: 'R', chart: 'C' }
		),
		measuredBand((w) => w.cutting.measuredKerf)
	),
	'setup.airBar': several(
		(w) => (w.air.line.flowWay === 'built-in' ? null : w.inputs.bench.air.setPointBar),
		(w) => (w.air.line.flowWay === 'built-in' ? 'builtIn' : 'bench'),
		{ bench: 'D', builtIn: 'D' }
	),
	'setup.workingBar': several(
		(w) => workingBar(w),
		(w) =>
			workingBar(w) === null
				? 'untold'
				: w.inputs.bench.cutter.regulator !== 'itself' && w.cutting.chartRow?.pressureBar
					? 'chart'
					: 'bench',
		{ bench: 'D', chart: 'C', untold: 'D' }
	),
	'setup.standoffMm': several(
		(w) => w.cutting.standoffMm,
		(w) => (w.cutting.standoff === 'gap' && w.cutting.chartRow?.standoffMm ? 'chart' : 'torch'),
		{ torch: 'D', chart: 'C' }
	),
	'setup.heatKJM': several(
		(w) => w.cutting.heatKJM,
		(w) => (w.cutting.heatKJM === null ? 'none' : 'line'),
		{ line: 'M', none: 'M' }
	),
	'setup.handHeatKJM': several(
		(w) => w.cutting.handHeatKJM,
		(w) => (w.cutting.handHeatKJM === null ? 'none' : 'line'),
		{ line: 'M', none: 'M' }
	),
	'setup.lineAirL': several(
		(w) => w.lineAirL,
		(w) => (!w.cutting.parts ? 'none' : w.lineAirL === null ? 'unknown' : 'line'),
		{ line: 'M', none: 'M', unknown: 'D' }
	),
	'setup.shade': single((w) => w.cutting.shades.advised, 'S')
};
