/** What a template is made from, as it crosses files, store and API. */
import * as v from 'valibot';
import { SCRAP_KERF_MM } from '../cut/guide';
import { SHIELD_RADIUS_MM } from '../torch/inputs';
import { within } from '../quantity/within';

export const VERTICES_MOST = 100_000;
export const CONTOURS_MOST = 500;

const VertexSchema = v.object({
	x: within(-20_000, 20_000, 'mm'),
	y: within(-20_000, 20_000, 'mm'),
	/** tan(sweep/4) of the arc to the next vertex; 0: a line. */
	bulge: v.optional(within(-1000, 1000, ''), 0)
});
export const ContourSchema = v.pipe(
	v.array(VertexSchema),
	v.minLength(2, 'at least 2 vertices'),
	v.maxLength(VERTICES_MOST, 'at most 100 000 vertices')
);
export const ContoursSchema = v.pipe(
	v.array(ContourSchema),
	v.minLength(1, 'at least one contour'),
	v.maxLength(CONTOURS_MOST, `at most ${CONTOURS_MOST} contours`)
);

export const TEMPLATE_SIDES = ['kept', 'waste'] as const;
export const KEEPS = ['part', 'plate'] as const;
const side = v.picklist(TEMPLATE_SIDES, 'kept or waste');

export const TemplateSchema = v.object({
	contours: ContoursSchema,
	/** What is kept: inside the outer contour, or the plate round it. */
	keep: v.optional(v.picklist(KEEPS, 'part or plate'), 'part'),
	/** What the template lies on, for outside contours and for holes. */
	outside: v.optional(side, 'kept'),
	holes: v.optional(side, 'kept'),
	shieldRadiusMm: within(...SHIELD_RADIUS_MM, 'mm'),
	kerfMm: within(...SCRAP_KERF_MM, 'mm')
});
