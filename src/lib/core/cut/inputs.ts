/** What is to be cut, and what scrap told of it. */
import { CIRCLES, DEFAULT_LINE_CUT, LINE_CUT_RANGES, SCHOOLS } from './lineCut';
import * as v from 'valibot';
import { COATINGS } from '../metal/coatings';
import { METAL_IDS } from '../metal/metals';
import { StatSchema } from '../quantity/stat';
import { within } from '../quantity/within';
import { AIMS } from '../speed/speed';
import { GUIDES } from './guide';
import { STARTS } from './start';
const D = DEFAULT_LINE_CUT;
const R = LINE_CUT_RANGES;

export const LINE_CUT = {
	metal: v.optional(v.picklist(METAL_IDS, `one of ${METAL_IDS.join(', ')}`), D.metal),
	thicknessMm: v.optional(within(...R.thicknessMm, 'mm'), D.thicknessMm),
	layers: v.optional(v.pipe(within(1, 10, ''), v.integer('a whole number')), D.layers),
	bevelDeg: v.optional(within(...R.bevelDeg, '°'), D.bevelDeg),
	mesh: v.optional(v.boolean('true or false'), D.mesh),
	coating: v.optional(v.picklist(COATINGS, `one of ${COATINGS.join(', ')}`), D.coating),
	backCoating: v.optional(v.picklist(COATINGS, `one of ${COATINGS.join(', ')}`), D.backCoating),
	aim: v.optional(v.picklist(AIMS, `one of ${AIMS.join(', ')}`), D.aim),
	school: v.optional(v.picklist(SCHOOLS, `one of ${SCHOOLS.join(', ')}`), D.school),
	typedA: v.optional(within(...R.typedA, 'A'), D.typedA),
	lengthMm: v.optional(within(...R.lengthMm, 'mm'), D.lengthMm),
	guide: v.optional(v.picklist(GUIDES, `one of ${GUIDES.join(', ')}`), D.guide),
	circleOf: v.optional(v.picklist(CIRCLES, 'hole or disc'), D.circleOf),
	circleMm: v.optional(within(...R.circleMm, 'mm'), D.circleMm),
	start: v.optional(v.picklist(STARTS, `one of ${STARTS.join(', ')}`), D.start)
};

export const CUT_EVIDENCE = {
	/** From scrap cut in two and from slots: kerf by metal and nozzle, and the shield's own radius, mm. */
	scrap: v.optional(
		v.object({ kerf: v.record(v.string(), StatSchema), radius: v.nullable(StatSchema) }),
		{ kerf: {}, radius: null }
	)
};
export type CutEvidence = v.InferOutput<v.ObjectSchema<typeof CUT_EVIDENCE, undefined>>;
