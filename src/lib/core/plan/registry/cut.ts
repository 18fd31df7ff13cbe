import type { Workings } from '../workings';
import { given, several, single, type FigureDef } from './define';

const radius = given('shield radius', 'small', 'D', (w) => w.inputs.bench.torch.shieldRadiusMm);
const OFFSET_SOURCE = 'Straight edge beside the finished top edge; the shield rides on it';
const sideOffset = (
	label: string,
	read: (w: Workings) => number,
	side: (w: Workings) => string
): FigureDef =>
	several(label, 'small', read, side, {
		kept: {
			basis: 'R',
			formula: 'R - k/2',
			source: OFFSET_SOURCE,
			inputs: { R: radius, k: 'setup.kerfMm' }
		},
		waste: {
			basis: 'R',
			formula: 'R + k/2',
			source: OFFSET_SOURCE,
			inputs: { R: radius, k: 'setup.kerfMm' }
		}
	});

export const CUT_FIGURES = {
	'cut.offsetMm': sideOffset(
		'Guide to finished edge',
		(w) => w.cutting.offsetMm,
		(w) => w.cutting.guideSide
	),
	'cut.otherSideMm': sideOffset(
		'The same from the other side',
		(w) => w.cutting.otherSideOffsetMm,
		(w) => (w.cutting.guideSide === 'kept' ? 'waste' : 'kept')
	),
	'cut.straightPierceMm': single(
		'Straight pierce to',
		'thickness',
		(w) => w.cutting.start.straightMm,
		{
			basis: 'R',
			formula: 't_c/2',
			source: 'Half of the clean rating (common practice)',
			inputs: { t_c: 'setup.cleanMm' }
		}
	),
	'cut.rolledPierceMm': single('Rolled pierce to', 'thickness', (w) => w.cutting.start.rolledMm, {
		basis: 'R',
		formula: 't_s/2',
		source: 'Half of the sever rating with a roll (common practice)',
		inputs: { t_s: 'setup.severMm' }
	}),
	'cut.forgottenMm': single(
		'Wrong by, with the edge on the line',
		'small',
		(w) => w.cutting.offsetMm,
		{
			basis: 'R',
			formula: 'd',
			source: 'The part comes out wrong by the whole offset',
			inputs: { d: 'cut.offsetMm' }
		}
	)
} satisfies Record<string, FigureDef>;
