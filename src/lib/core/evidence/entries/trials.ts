/** Cuts and grooves on scrap that were measured. */
import { DROSSES, JUDGED, TEST_CUT_RANGES } from '../measured';
import * as v from 'valibot';
import { SCRAP_KERF_MM, scrapMm } from '../../cut/guide';
import { SHIELD_RADIUS_MM } from '../../torch/inputs';
import { TEST_GROOVE_RANGES } from '../../gouge/removal';
import { within } from '../../quantity/within';
import { metal, start } from './work';

export const TestCutEntry = v.object({
	kind: v.literal('test-cut'),
	metal,
	thicknessMm: within(0.3, 100, 'mm'),
	outputA: within(5, 500, 'A'),
	speedMmS: within(...TEST_CUT_RANGES.speedMmS, 'mm/s'),
	/** Spark or lag angle seen; null: it cut well at this speed, or not through. */
	lagDeg: v.nullable(within(...TEST_CUT_RANGES.lagDeg, '°')),
	/** How far the lag may be off, one standard deviation, where an instrument read it; left out: by eye. */
	lagSpreadDeg: v.optional(within(0.1, 30, '°')),
	/** It went through. */
	through: v.optional(v.boolean('true or false'), true),
	/** Nozzle that was in the torch; the server fills it in. */
	nozzleA: v.optional(within(5, 500, 'A')),
	/**
	 * What hangs below: a thick bead that brushes off tells of too slow, a fine hard one of too fast
	 * (common practice).
	 */
	dross: v.optional(v.picklist(DROSSES, `one of ${DROSSES.join(', ')}`)),
	/** What signs and edge were read as; "other": something but the speed was wrong. */
	judged: v.optional(v.picklist(JUDGED, `one of ${JUDGED.join(', ')}`)),
	/** What it took of the parts; left out: it is in the log as a cut of its own. */
	took: v.optional(v.object({ lengthMm: within(1, 100_000, 'mm'), start }))
});

/** Scrap cut in two along a straight edge, which lay on one piece: it tells kerf and shield radius. */
export const ScrapEntry = v.pipe(
	v.object({
		kind: v.literal('scrap'),
		metal,
		wholeMm: within(20, 2000, 'mm'),
		/** From the scrap's end to the edge of the guide, which lies on that end. */
		guideAtMm: within(1, 2000, 'mm'),
		guideSideMm: within(1, 2000, 'mm'),
		otherSideMm: within(1, 2000, 'mm'),
		/** Nozzle that was in the torch; the server fills it in. */
		nozzleA: v.optional(within(5, 500, 'A'))
	}),
	v.forward(
		v.check((e) => {
			const { kerfMm } = scrapMm(e);
			return kerfMm >= SCRAP_KERF_MM[0] && kerfMm <= SCRAP_KERF_MM[1];
		}, 'together with the other piece 0.3 to 8 mm less than the whole: the rest is the kerf'),
		['otherSideMm']
	),
	v.forward(
		v.check((e) => {
			const { shieldRadiusMm } = scrapMm(e);
			return shieldRadiusMm >= SHIELD_RADIUS_MM[0] && shieldRadiusMm <= SHIELD_RADIUS_MM[1];
		}, 'longer than the guide’s distance by the shield radius (3 to 40 mm) less half the kerf'),
		['guideSideMm']
	)
);

/** A kerf itself: by caliper or feelers in a slot, or read on its photo. */
export const KerfEntry = v.object({
	kind: v.literal('kerf'),
	metal,
	kerfMm: within(...SCRAP_KERF_MM, 'mm'),
	/** How far it may be off, one standard deviation, where an instrument told; left out: by caliper. */
	spreadMm: v.optional(within(0.005, 2, 'mm')),
	/** Nozzle that was in the torch; the server fills it in. */
	nozzleA: v.optional(within(5, 500, 'A'))
});
/** One string on scrap, measured: it tells how much metal goes and what shape is left. */
export const TestGrooveEntry = v.object({
	kind: v.literal('test-groove'),
	metal,
	outputA: within(5, 500, 'A'),
	angleFromPlateDeg: within(...TEST_GROOVE_RANGES.angleFromPlateDeg, '°'),
	widthMm: within(...TEST_GROOVE_RANGES.widthMm, 'mm'),
	depthMm: within(...TEST_GROOVE_RANGES.depthMm, 'mm'),
	lengthMm: within(...TEST_GROOVE_RANGES.lengthMm, 'mm'),
	seconds: within(...TEST_GROOVE_RANGES.seconds, 's'),
	nozzleA: v.optional(within(5, 500, 'A')),
	/** What this bench’s model removes at those amps, mm³/s; the server fills it in. */
	modelMm3S: v.optional(within(0.1, 1e5, 'mm³/s'))
});
