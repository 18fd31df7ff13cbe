import { handMostMmS } from '../../cut/heat';
import { CLEAN_AIMS, LAG_WINDOW_DEG } from '../../speed/speed';
import { EIGHT_IN_TEN } from '../../solve/normal';
import type { Workings } from '../workings';
import { LAW_SOURCE, lineMm, parts, perTravel, t, TOO_THICK } from './cutShared';
import { given, several, type FigureDef, type InputSource, type Way } from './define';

const LAG_SOURCE =
	'tan θ = tan 22.5° · v/v_ref; sparks trail 15–30° at the right speed, or as near to straight down as they go, by the other school (common practice)';

const speedBand =
	(read: (w: Workings) => number | null) =>
	(w: Workings): [number, number] | undefined => {
		const speed = read(w);
		const spread = Math.exp(EIGHT_IN_TEN * w.cutting.law.spread);
		return speed === null ? undefined : [speed / spread, speed * spread];
	};

/** Which evidence spoke for the speed. */
const speedWay = (w: Workings) => {
	if (!w.cutting.parts) return 'none';
	if (w.cutting.tests > 0) return 'tested';
	return w.cutting.chartReach === 'inside' ? 'chart' : 'model';
};
const BASES = [
	['model', 'M'],
	['chart', 'C'],
	['tested', 'T']
] as const;
const byEvidence = (way: Omit<Way, 'basis'>): Record<string, Way> => ({
	...Object.fromEntries(BASES.map(([id, basis]) => [id, { basis, ...way }])),
	none: TOO_THICK
});

const coating = given('what lies on the metal', 'factor', 'M', (w) => w.cutting.coatingFactor);
const law = (w: Workings) => w.cutting.law;
const amps: InputSource = 'setup.currentA';

const between = (end: 'from' | 'to', label: string) => ({
	mm: given(`${label}, thickness`, 'thickness', 'M', (w) => {
		const { stretch } = law(w);
		return stretch.kind === 'between' ? stretch[end].mm : NaN;
	}),
	ln: given(`${label}, ln of mm/min`, 'factor', 'M', (w) => {
		const { stretch } = law(w);
		return stretch.kind === 'between' ? stretch[end].ln : NaN;
	})
});
const from = between('from', 'start of the stretch');
const to = between('to', 'end of the stretch');

const lagSpeed = (label: string, end: 0 | 1): FigureDef =>
	several(
		label,
		'speed',
		(w) => (end === 0 ? w.cutting.lagLowMmS : w.cutting.lagHighMmS),
		(w) => (parts(w) ? 'line' : 'none'),
		perTravel('v_ref*tan(a*pi/180)/tan(22.5*pi/180)', LAG_SOURCE, {
			v_ref: 'setup.referenceMmS',
			a: given(
				'sparks trail, by the shop’s school',
				'angle',
				'R',
				(w) => LAG_WINDOW_DEG[w.inputs.settings.sparks][end]
			)
		})
	);

export const TRAVEL_FIGURES = {
	'setup.pooledMmS': several(
		'Travel of ordinary machines',
		'speed',
		(w) => (parts(w) ? law(w).pooledMmMin / 60 : null),
		(w) => (parts(w) ? law(w).stretch.kind : 'none'),
		{
			thin: {
				basis: 'R',
				formula: 's*(1500*(I/45)^1.6*(6/t)^1.5)/sqrt(1 + (1500*(I/45)^1.6*(6/t)^1.5/10000)^2)/60',
				source: 'Amps and thickness of many machines, from memory; bent on sheet (own fit)',
				inputs: {
					s: given('this metal against steel', 'factor', 'R', (w) => {
						const { stretch } = law(w);
						return stretch.kind === 'thin' ? stretch.factor : NaN;
					}),
					I: amps,
					t
				}
			},
			between: {
				basis: 'R',
				formula: 'exp(l_1 + log(t/t_1)/log(t_2/t_1)*(l_2 - l_1))/60',
				source:
					'From the clean to the sever limit it falls to a quarter, straight in the logarithms (own fit)',
				inputs: { t, t_1: from.mm, l_1: from.ln, t_2: to.mm, l_2: to.ln }
			},
			none: TOO_THICK
		}
	),
	'setup.baseMmS': several(
		'Travel before any test cut',
		'speed',
		(w) => w.cutting.baseMmS,
		(w) => (!parts(w) ? 'none' : w.cutting.chartReach === 'inside' ? 'chart' : 'model'),
		Object.fromEntries([
			...(
				[
					['model', 'M', LAW_SOURCE],
					[
						'chart',
						'C',
						'Your cut chart: its rows pull the law to within a hundredth where they stand'
					]
				] as const
			).map(([way, basis, source]): [string, Way] => [
				way,
				{
					basis,
					formula: 'k*v_p*exp(r)',
					source,
					inputs: {
						k: coating,
						v_p: 'setup.pooledMmS',
						r: given('pull of label and chart, ln', 'factor', basis, (w) =>
							Math.log(law(w).baseMmMin / law(w).pooledMmMin)
						)
					}
				}
			]),
			['none', TOO_THICK]
		])
	),
	'setup.referenceMmS': {
		...several(
			'Recommended travel',
			'speed',
			(w) => w.cutting.referenceMmS,
			speedWay,
			byEvidence({
				formula: 'v_b*exp(r)',
				source:
					'One law for all evidence: test cuts pull it, hardest at their own nozzle, amps and thickness; a cut that did not part tells that the fastest speed lies below',
				inputs: {
					v_b: 'setup.baseMmS',
					r: given('pull of the test cuts, ln', 'factor', 'T', (w) =>
						Math.log(law(w).referenceMmMin / law(w).baseMmMin)
					)
				}
			})
		),
		band: speedBand((w) => w.cutting.referenceMmS)
	},
	'setup.fastestMmS': several(
		'Fastest that still parts',
		'speed',
		(w) => w.cutting.fastestMmS,
		(w) => (parts(w) ? 'line' : 'none'),
		perTravel(
			'f*v_ref',
			'1.4 times the recommended travel to start with, less towards the sever limit, where the window closes; learnt from cuts that did not part',
			{
				f: given(
					'fastest over recommended',
					'factor',
					'M',
					(w) => law(w).fastestMmMin / law(w).referenceMmMin
				),
				v_ref: 'setup.referenceMmS'
			}
		)
	),
	'setup.speedMmS': {
		...several(
			'Travel',
			'speed',
			(w) => w.cutting.speedMmS,
			speedWay,
			byEvidence({
				formula: 'f*v_ref',
				source:
					'The aim picks inside the window: the recommended travel for a clean edge or an easy hand (slower by the straight-down school of sparks), towards the fastest for the others',
				inputs: {
					f: given('for this aim', 'factor', 'M', (w) => w.cutting.aimFactor),
					v_ref: 'setup.referenceMmS'
				}
			})
		),
		band: speedBand((w) => w.cutting.speedMmS)
	},
	'setup.lineMm': several(
		'Way of the torch',
		'length',
		(w) => w.cutting.lineMm,
		(w) => (w.inputs.cut.guide === 'circle' ? 'circle' : 'line'),
		{
			line: {
				basis: 'D',
				formula: 'l',
				source: 'The line that is to be cut',
				inputs: { l: given('length of the line', 'length', 'D', (w) => w.inputs.cut.lengthMm) }
			},
			circle: {
				basis: 'S',
				formula: '2*pi*r',
				source: 'Once round, at the radius of the torch centre',
				inputs: { r: given('radius of the torch centre', 'length', 'R', (w) => w.cutting.offsetMm) }
			}
		}
	),
	'setup.lineS': several(
		'Seconds for your line',
		'time',
		(w) => w.cutting.lineS,
		(w) => (parts(w) ? 'line' : 'none'),
		perTravel('l/v', 'Way of the torch over travel', { l: lineMm, v: 'setup.speedMmS' })
	),
	'setup.arcS': several(
		'Arc of one such cut',
		'time',
		(w) => w.cutting.arcS,
		(w) => (!parts(w) ? 'none' : w.cutting.arcS === null ? 'noStart' : 'line'),
		{
			...perTravel('s + l', 'Until it is through, and then the line', {
				s: 'cut.throughS',
				l: 'setup.lineS'
			}),
			noStart: {
				basis: 'M',
				formula: 'true',
				source: 'No start of this kind goes through',
				inputs: {}
			}
		}
	),
	'setup.lagDeg': several(
		'Sparks trail',
		'angle',
		(w) => (parts(w) ? w.cutting.lagDeg : null),
		(w) => (!parts(w) ? 'none' : CLEAN_AIMS.includes(w.inputs.cut.aim) ? 'edge' : 'line'),
		{
			edge: {
				basis: 'R',
				formula: 'atan(tan(22.5*pi/180)*f)*180/pi',
				source: LAG_SOURCE,
				inputs: { f: given('travel over recommended', 'factor', 'M', (w) => w.cutting.aimFactor) }
			},
			...perTravel('atan(tan(22.5*pi/180)*f)*180/pi', LAG_SOURCE, {
				f: given('travel over recommended', 'factor', 'M', (w) => w.cutting.aimFactor)
			})
		}
	),
	'setup.lagLowMmS': lagSpeed('Slow end of the spark window', 0),
	'setup.lagHighMmS': lagSpeed('Fast end of the spark window', 1),
	'setup.handMmS': several(
		'As fast as a hand goes',
		'speed',
		(w) => w.cutting.handMmS,
		(w) => (parts(w) ? 'line' : 'none'),
		perTravel('min(v, v_h)', 'A hand holds 30 mm/s freehand, 50 along a guide (own)', {
			v: 'setup.speedMmS',
			v_h: given('most a hand does', 'speed', 'R', (w) => handMostMmS(w.inputs.cut.guide))
		})
	)
} satisfies Record<string, FigureDef>;
