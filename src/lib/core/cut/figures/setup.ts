import { figuresFor } from '../../figure/define';

import type { CutView } from '../workings';

const { banded, measuredBand, several, single } = figuresFor<CutView>();

/** A row of the chart says what to set where there is something to set. */
function workingBar(w: CutView): number | null {
	const settable = w.inputs.bench.cutter.regulator !== 'itself';
	return (settable ? w.cutting.chartRow?.pressureBar : null) ?? w.air.workingBar;
}

export const SETUP_FIGURES = {
	'setup.currentA': several(
		'Amps',
		'current',
		(w) => w.cutting.outputA,
		(w) => w.inputs.cut.school,
		{ full: 'D', matched: 'R', circuit: 'M', typed: 'T' }
	),
	'setup.ladderA': single('Amps by the ladder', 'current', (w) => w.cutting.ladderA, 'R'),
	'setup.cleanMm': single('Clean to, at these amps', 'thickness', (w) => w.cutting.cleanMm, 'M'),
	'setup.severMm': single('Severs to, at these amps', 'thickness', (w) => w.cutting.severMm, 'M'),
	'setup.arcMm': single('The arc goes through', 'thickness', (w) => w.cutting.arcMm, 'A'),
	'setup.nozzleA': single('Nozzle', 'current', (w) => w.cutting.nozzle.ratingA, 'D'),
	'setup.boreMm': single('Bore', 'small', (w) => w.cutting.nozzle.boreMm, 'D'),
	'setup.kerfMm': banded(
		several(
			'Kerf',
			'small',
			(w) => w.cutting.kerfMm,
			(w) => (w.cutting.measuredKerf ? 'measured' : w.cutting.kerfPull !== 0 ? 'chart' : 'bore'),
			{ measured: 'T', bore: 'R', chart: 'C' }
		),
		measuredBand((w) => w.cutting.measuredKerf)
	),
	'setup.airBar': several(
		'Inlet, set while flowing',
		'pressure',
		(w) => (w.air.flowWay === 'built-in' ? null : w.inputs.bench.air.setPointBar),
		(w) => (w.air.flowWay === 'built-in' ? 'builtIn' : 'bench'),
		{ bench: 'D', builtIn: 'D' }
	),
	'setup.workingBar': several(
		'Working pressure',
		'pressure',
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
		'Stand-off',
		'small',
		(w) => w.cutting.standoffMm,
		(w) => (w.cutting.standoff === 'gap' && w.cutting.chartRow?.standoffMm ? 'chart' : 'torch'),
		{ torch: 'D', chart: 'C' }
	),
	'setup.heatKJM': several(
		'Heat into the line',
		'heat',
		(w) => w.cutting.heatKJM,
		(w) => (w.cutting.heatKJM === null ? 'none' : 'line'),
		{ line: 'M', none: 'M' }
	),
	'setup.handHeatKJM': several(
		'Heat into the line, as a hand goes',
		'heat',
		(w) => w.cutting.handHeatKJM,
		(w) => (w.cutting.handHeatKJM === null ? 'none' : 'line'),
		{ line: 'M', none: 'M' }
	),
	'setup.lineAirL': several(
		'Air for your line',
		'volume',
		(w) => w.lineAirL,
		(w) => (!w.cutting.parts ? 'none' : w.lineAirL === null ? 'unknown' : 'line'),
		{ line: 'M', none: 'M', unknown: 'D' }
	),
	'setup.shade': single('Filter shade', 'shade', (w) => w.cutting.shades.advised, 'S')
};
