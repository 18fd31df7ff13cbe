import { figuresFor } from '../figure/define';
import type { PartForecast } from './forecast';
import { USUAL_STARTS, type LookedAt, type WearView } from './workings';

const { banded, several, single } = figuresFor<WearView>();
const possible = (w: WearView) => (w.wearing.cutUse === null ? 'none' : 'cut');
const CUT = { cut: 'M', none: 'M' } as const;
/** How far it has worn is never told by how others lasted. */
const measured = ({ speaks }: PartForecast) => (speaks === 'measured' ? 'measured' : 'model');
const speaksOf = (w: WearView, { speaks }: PartForecast) =>
	possible(w) === 'none' ? 'none' : speaks;
const SPEAKS = { model: 'M', measured: 'T', lives: 'T' } as const;
const LEFT = { model: 'M', measured: 'T', lives: 'T', none: 'M' } as const;

const KNOWN = { partner: 'M', measured: 'T', lives: 'T' } as const;
/** Who speaks of the nozzle; never measured, it goes with its electrode. */
const partner = <None extends string = never>({ wearing }: WearView, none?: None) =>
	none ?? (wearing.nozzle.speaks === 'model' ? 'partner' : wearing.nozzle.speaks);

/** Starts that a part judged by eye usually has left. */
const byEye = (part: LookedAt) =>
	several(
		({ wearing: { startsOf } }) =>
			startsOf[part] === null ? null : Math.max(0, USUAL_STARTS[part] - startsOf[part]),
		({ wearing: { startsOf } }) => (startsOf[part] === null ? 'unknown' : 'noted'),
		{ noted: 'R', unknown: 'R' }
	);

/** What a cut takes of the parts, and what is left of them. */
export const WEAR_FIGURES = {
	'cut.startWearUm': several(
		(w) => (w.cutting.startMethod === 'none' ? null : w.wearing.perStartUm),
		(w) => w.cutting.startMethod,
		{ edge: 'M', drilled: 'M', pierce: 'M', rolled: 'M', hover: 'M', none: 'M' }
	),
	'wear.factor': several(
		(w) => w.wearing.factor,
		(w) => (w.wearing.electrode.fitted.from > 0 ? 'measured' : 'prior'),
		{ prior: 'M', measured: 'T' }
	),
	'wear.pitMm': several(
		(w) => w.wearing.electrode.nowUm / 1000,
		(w) => measured(w.wearing.electrode),
		{ model: 'M', measured: 'T' }
	),
	'wear.boreMm': several(
		(w) => w.wearing.boreNewMm + w.wearing.nozzle.nowUm / 1000,
		(w) => measured(w.wearing.nozzle),
		{ model: 'M', measured: 'T' }
	),
	'wear.load': single((w) => w.wearing.load, 'M'),
	'wear.perCutUm': several((w) => w.wearing.electrode.perCutUm, possible, CUT),
	'wear.borePerCutUm': several((w) => w.wearing.nozzle.perCutUm, possible, CUT),
	'wear.electrodeLeft': banded(
		several(
			(w) => w.wearing.electrode.cutsLeft,
			(w) => speaksOf(w, w.wearing.electrode),
			LEFT
		),
		(w) => w.wearing.electrode.band
	),
	'wear.nozzleLeft': banded(
		several(
			({ wearing }) => (wearing.nozzleKnown ? wearing.nozzle.cutsLeft : null),
			(w) => partner(w, possible(w) === 'none' ? 'none' : undefined),
			{ ...KNOWN, none: 'M' }
		),
		({ wearing }) => (wearing.nozzleKnown ? wearing.nozzle.band : undefined)
	),
	'wear.electrodeShare': several(
		(w) => w.wearing.electrode.lifeShare,
		(w) => w.wearing.electrode.speaks,
		SPEAKS
	),
	'wear.nozzleShare': several(
		({ wearing }) => (wearing.nozzleKnown ? wearing.nozzle.lifeShare : null),
		(w) => partner(w),
		KNOWN
	),
	'wear.cutsLeft': banded(
		several(
			(w) => w.wearing.cutsLeft,
			(w) => {
				const { nozzleKnown, first } = w.wearing;
				const speaks = speaksOf(w, w.wearing[first]);
				if (speaks === 'none' || !nozzleKnown) return speaks;
				return speaks === 'model' ? 'pairModel' : 'pair';
			},
			{ ...LEFT, pair: 'T', pairModel: 'M' }
		),
		(w) => w.wearing.band
	),
	'wear.metresLeft': several((w) => w.wearing.metresLeft, possible, CUT),
	'wear.ringLeft': byEye('ring'),
	'wear.capLeft': byEye('cap'),
	'wear.shieldLeft': byEye('shield'),
	'wear.oRingLeft': byEye('o-ring'),
	'wear.gougeNozzleLeft': byEye('gouge-nozzle'),
	'wear.costPerM': several(
		(w) => w.wearing.costPerM,
		(w) => (possible(w) === 'none' ? 'none' : w.wearing.costPerM === null ? 'unpriced' : 'priced'),
		{ none: 'M', priced: 'M', unpriced: 'M' }
	)
};
