import { figuresFor } from '../../figure/define';

import { CLEAN_AIMS } from '../../speed/speed';
import { EIGHT_IN_TEN } from '../../solve/normal';
import type { CutView } from '../workings';

const { banded, several } = figuresFor<CutView>();

const speedBand =
	(read: (w: CutView) => number | null) =>
	(w: CutView): [number, number] | undefined => {
		const speed = read(w);
		const spread = Math.exp(EIGHT_IN_TEN * w.cutting.law.spread);
		return speed === null ? undefined : [speed / spread, speed * spread];
	};

/** Which evidence spoke for the speed. */
const speedWay = (w: CutView) => {
	if (!w.cutting.parts) return 'none';
	if (w.cutting.tests > 0) return 'tested';
	return w.cutting.chartReach === 'inside' ? 'chart' : 'model';
};
const law = (w: CutView) => w.cutting.law;

const parts = (w: CutView): boolean => w.cutting.parts;

const lagSpeed = (read: 'lagLowMmS' | 'lagHighMmS') =>
	several(
		(w) => w.cutting[read],
		(w) => (parts(w) ? 'line' : 'none'),
		{ line: 'M', none: 'M' }
	);

/** Travel, and what goes by it. */

export const TRAVEL_FIGURES = {
	'setup.pooledMmS': several(
		(w) => (parts(w) ? law(w).pooledMmMin / 60 : null),
		(w) => (parts(w) ? law(w).stretch.kind : 'none'),
		{ thin: 'R', between: 'R', none: 'M' }
	),
	'setup.baseMmS': several(
		(w) => w.cutting.baseMmS,
		(w) => (!parts(w) ? 'none' : w.cutting.chartReach === 'inside' ? 'chart' : 'model'),
		{ model: 'M', chart: 'C', none: 'M' }
	),
	'setup.referenceMmS': banded(
		several((w) => w.cutting.referenceMmS, speedWay, {
			model: 'M',
			chart: 'C',
			tested: 'T',
			none: 'M'
		}),
		speedBand((w) => w.cutting.referenceMmS)
	),
	'setup.fastestMmS': several(
		(w) => w.cutting.fastestMmS,
		(w) => (parts(w) ? 'line' : 'none'),
		{ line: 'M', none: 'M' }
	),
	'setup.speedMmS': banded(
		several((w) => w.cutting.speedMmS, speedWay, {
			model: 'M',
			chart: 'C',
			tested: 'T',
			none: 'M'
		}),
		speedBand((w) => w.cutting.speedMmS)
	),
	'setup.lineMm': several(
		(w) => w.cutting.lineMm,
		(w) => (w.inputs.cut.guide === 'circle' ? 'circle' : 'line'),
		{ line: 'A', circle: 'A' }
	),
	'setup.lineS': several(
		(w) => w.cutting.lineS,
		(w) => (parts(w) ? 'line' : 'none'),
		{ line: 'M', none: 'M' }
	),
	'setup.arcS': several(
		(w) => w.cutting.arcS,
		(w) => (!parts(w) ? 'none' : w.cutting.arcS === null ? 'noStart' : 'line'),
		{ line: 'M', none: 'M', noStart: 'M' }
	),
	'setup.lagDeg': several(
		(w) => (parts(w) ? w.cutting.lagDeg : null),
		(w) => (!parts(w) ? 'none' : CLEAN_AIMS.includes(w.inputs.cut.aim) ? 'edge' : 'line'),
		{ edge: 'R', line: 'M', none: 'M' }
	),
	'setup.lagLowMmS': lagSpeed('lagLowMmS'),
	'setup.lagHighMmS': lagSpeed('lagHighMmS'),
	'setup.handMmS': several(
		(w) => w.cutting.handMmS,
		(w) => (parts(w) ? 'line' : 'none'),
		{ line: 'M', none: 'M' }
	)
};
