/** The groove that is wanted, or the weld that is to come out: a job of its own beside the cut. */
import * as v from 'valibot';
import { METAL_IDS, type MetalId } from '../metal/metals';
import { StatSchema } from '../quantity/stat';
import { within } from '../quantity/within';
import { TARGETS } from './targets';

/** What is accepted; the schema and the screen read it here. */
export const GOUGE_RANGES = {
	depthMm: [0.3, 40],
	widthMm: [1, 60],
	legMm: [2, 30],
	rootRadiusMm: [2, 15],
	plateMm: [1, 200],
	lengthMm: [1, 20_000],
	pieces: [1, 500],
	grindMm: [0, 5],
	keepMm: [0, 100],
	outputA: [5, 500],
	angleFromPlateDeg: [20, 60]
} as const;
const R = GOUGE_RANGES;

/** One deep string where a hand can push it, or several light ones, no deeper than this each, mm [own]. */
export const GOUGE_WAYS = ['deep', 'light'] as const;
export const LIGHT_MM = 1.5;

/** What a person starts from; every field may be left out. `asked`: somebody wants it; else it judges nothing. */
export const DEFAULT_GOUGE = {
	asked: false,
	target: 'groove',
	depthMm: 2.5,
	widthMm: 7,
	legMm: 6,
	/** Up the other plate; null: as along the flat one. */
	upLegMm: null as number | null,
	rootRadiusMm: 5,
	/** null: as the cut. */
	metal: null as MetalId | null,
	plateMm: null as number | null,
	lengthMm: null as number | null,
	pieces: 1,
	/** null: as usual for such a target, and for such a plate. */
	grindMm: null as number | null,
	keepMm: null as number | null,
	/** null: the most that machine and gouging nozzle bear. */
	outputA: null as number | null,
	way: 'deep',
	angleFromPlateDeg: 40
} as const;

const orNone = (range: readonly [number, number], unit: string) =>
	v.optional(v.nullable(within(...range, unit)), null);

export const GougeSchema = v.object({
	asked: v.optional(v.boolean('true or false'), DEFAULT_GOUGE.asked),
	target: v.optional(v.picklist(TARGETS, `one of ${TARGETS.join(', ')}`), DEFAULT_GOUGE.target),
	depthMm: v.optional(within(...R.depthMm, 'mm'), DEFAULT_GOUGE.depthMm),
	widthMm: v.optional(within(...R.widthMm, 'mm'), DEFAULT_GOUGE.widthMm),
	legMm: v.optional(within(...R.legMm, 'mm'), DEFAULT_GOUGE.legMm),
	upLegMm: orNone(R.legMm, 'mm'),
	rootRadiusMm: v.optional(within(...R.rootRadiusMm, 'mm'), DEFAULT_GOUGE.rootRadiusMm),
	metal: v.optional(
		v.nullable(v.picklist(METAL_IDS, `one of ${METAL_IDS.join(', ')}`)),
		DEFAULT_GOUGE.metal
	),
	plateMm: orNone(R.plateMm, 'mm'),
	lengthMm: orNone(R.lengthMm, 'mm'),
	pieces: v.optional(
		v.pipe(within(...R.pieces, ''), v.integer('a whole number')),
		DEFAULT_GOUGE.pieces
	),
	grindMm: orNone(R.grindMm, 'mm'),
	keepMm: orNone(R.keepMm, 'mm'),
	outputA: orNone(R.outputA, 'A'),
	way: v.optional(v.picklist(GOUGE_WAYS, 'deep or light'), DEFAULT_GOUGE.way),
	angleFromPlateDeg: v.optional(
		within(...R.angleFromPlateDeg, '°'),
		DEFAULT_GOUGE.angleFromPlateDeg
	)
});
export type Gouge = v.InferOutput<typeof GougeSchema>;

/** What test grooves told, by metal and nozzle: natural logarithms over the model's own. */
export const GOUGE_EVIDENCE = {
	gouge: v.optional(v.record(v.string(), v.object({ removal: StatSchema, shape: StatSchema })), {})
};
export type GougeEvidence = v.InferOutput<v.ObjectSchema<typeof GOUGE_EVIDENCE, undefined>>;
export const grooveKey = (metal: MetalId, nozzleA: number): string => `${metal} ${nozzleA}`;
