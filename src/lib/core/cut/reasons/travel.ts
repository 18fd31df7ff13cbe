import { reasonsFor, type InputSource, type Reason, type ReasonsOf } from '../../figure/reason';
import { handMostMmS } from '../heat';
import { LAG_WINDOW_DEG } from '../../speed/speed';

import type { Basis } from '../../figure/types';
import { LAW_SOURCE, lineMm, perTravel, t, TOO_THICK } from './shared';
import type { CutView } from '../workings';
import type { TRAVEL_FIGURES } from '../figures/travel';

const { given } = reasonsFor<CutView>();

const LAG_SOURCE =
	'tan θ = tan 22.5° · v/v_ref; sparks trail 15–30° at the right speed, or as near to straight down as they go, by the other school (common practice)';
const byEvidence = (reason: Reason<CutView>) => ({
	model: reason,
	chart: reason,
	tested: reason,
	none: TOO_THICK
});

const coating = given('what lies on the metal', 'factor', 'M', (w) => w.cutting.coatingFactor);
const law = (w: CutView) => w.cutting.law;
const amps: InputSource<CutView> = 'setup.currentA';

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

const lagSpeed = (end: 0 | 1) =>
	perTravel('v_ref*tan(a*pi/180)/tan(22.5*pi/180)', LAG_SOURCE, {
		v_ref: 'setup.referenceMmS',
		a: given(
			'sparks trail, by the shop’s school',
			'angle',
			'R',
			(w) => LAG_WINDOW_DEG[w.inputs.settings.sparks][end]
		)
	});

const base = (basis: Basis, source: string): Reason<CutView> => ({
	formula: 'k*v_p*exp(r)',
	source,
	inputs: {
		k: coating,
		v_p: 'setup.pooledMmS',
		r: given('pull of label and chart, ln', 'factor', basis, (w) =>
			Math.log(law(w).baseMmMin / law(w).pooledMmMin)
		)
	}
});

export const TRAVEL_REASONS = {
	'setup.pooledMmS': {
		thin: {
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
			formula: 'exp(l_1 + log(t/t_1)/log(t_2/t_1)*(l_2 - l_1))/60',
			source:
				'From the clean to the sever limit it falls to a quarter, straight in the logarithms (own fit)',
			inputs: { t, t_1: from.mm, l_1: from.ln, t_2: to.mm, l_2: to.ln }
		},
		none: TOO_THICK
	},
	'setup.baseMmS': {
		model: base('M', LAW_SOURCE),
		chart: base(
			'C',
			'Your cut chart: its rows pull the law to within a hundredth where they stand'
		),
		none: TOO_THICK
	},
	'setup.referenceMmS': byEvidence({
		formula: 'v_b*exp(r)',
		source:
			'One law for all evidence: test cuts pull it, hardest at their own nozzle, amps and thickness; a cut that did not part tells that the fastest speed lies below',
		inputs: {
			v_b: 'setup.baseMmS',
			r: given('pull of the test cuts, ln', 'factor', 'T', (w) =>
				Math.log(law(w).referenceMmMin / law(w).baseMmMin)
			)
		}
	}),
	'setup.fastestMmS': perTravel(
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
	),
	'setup.speedMmS': byEvidence({
		formula: 'f*v_ref',
		source:
			'The aim picks inside the window: the recommended travel for a clean edge or an easy hand (slower by the straight-down school of sparks), towards the fastest for the others',
		inputs: {
			f: given('for this aim', 'factor', 'M', (w) => w.cutting.aimFactor),
			v_ref: 'setup.referenceMmS'
		}
	}),
	'setup.lineMm': {
		line: {
			formula: 'l',
			source: 'The line that is to be cut',
			inputs: { l: given('length of the line', 'length', 'A', (w) => w.inputs.cut.lengthMm) }
		},
		circle: {
			formula: '2*pi*r',
			source: 'Once round, at the radius of the torch centre',
			inputs: { r: given('radius of the torch centre', 'length', 'R', (w) => w.cutting.offsetMm) }
		}
	},
	'setup.lineS': perTravel('l/v', 'Way of the torch over travel, no faster than a hand goes', {
		l: lineMm,
		v: 'setup.handMmS'
	}),
	'setup.arcS': {
		...perTravel('s + l', 'Until it is through, and then the line', {
			s: 'cut.throughS',
			l: 'setup.lineS'
		}),
		noStart: {
			formula: 'true',
			source: 'No start of this kind goes through',
			inputs: {}
		}
	},
	'setup.lagDeg': {
		edge: {
			formula: 'atan(tan(22.5*pi/180)*f)*180/pi',
			source: LAG_SOURCE,
			inputs: { f: given('travel over recommended', 'factor', 'M', (w) => w.cutting.aimFactor) }
		},
		...perTravel('atan(tan(22.5*pi/180)*f)*180/pi', LAG_SOURCE, {
			f: given('travel over recommended', 'factor', 'M', (w) => w.cutting.aimFactor)
		})
	},
	'setup.lagLowMmS': lagSpeed(0),
	'setup.lagHighMmS': lagSpeed(1),
	'setup.handMmS': perTravel(
		'min(v, v_h)',
		'A hand holds 30 mm/s freehand, 50 along a guide (own)',
		{
			v: 'setup.speedMmS',
			v_h: given('most a hand does', 'speed', 'R', (w) => handMostMmS(w.inputs.cut.guide))
		}
	)
} satisfies ReasonsOf<typeof TRAVEL_FIGURES, CutView>;
