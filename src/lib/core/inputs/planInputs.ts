/** The Plan's inputs beside the bench: cut, work, evidence and settings. */
import * as v from 'valibot';
import { ChartSchema } from '../speed/chart';
import { SPEED_READINGS_MOST, SpeedReadingSchema } from '../speed/reading';
import { SPARK_SCHOOLS } from '../speed/speed';
import { NO_USE } from '../wear/electrode';
import { COATINGS, type Coating } from '../metal/coatings';
import { GUIDES } from '../cut/guide';
import { STARTS } from '../cut/start';
import { METAL_IDS, type MetalId } from '../metal/metals';
import { BenchSchema, WorkSchema } from './bench';
import { within } from '../quantity/within';

export * from './bench';

export const AIMS = ['clean', 'sever', 'fastest', 'cheapest', 'easiest'] as const;
export const SCHOOLS = ['full', 'matched', 'circuit', 'typed'] as const;
export { GUIDES, STARTS };
export const CIRCLES = ['hole', 'disc'] as const;

export interface Cut {
	metal: MetalId;
	thicknessMm: number;
	/** Sheets in a stack, each of that thickness. */
	layers: number;
	/** From upright; the arc then sees more. */
	bevelDeg: number;
	/** Mesh or expanded metal: the pilot arc lights again over every gap. */
	mesh: boolean;
	coating: Coating;
	backCoating: Coating;
	aim: (typeof AIMS)[number];
	school: (typeof SCHOOLS)[number];
	typedA: number;
	lengthMm: number;
	guide: (typeof GUIDES)[number];
	/** On a circle guide: what is kept, and how wide it is finished. */
	circleOf: (typeof CIRCLES)[number];
	circleMm: number;
	start: (typeof STARTS)[number];
	/** `asked`: somebody wants this groove; else it judges nothing. */
	gouge: { asked: boolean; depthMm: number; widthMm: number; angleFromPlateDeg: number };
}

/** What a person starts from; every field may be left out. */
export const DEFAULT_CUT = {
	metal: 'mild-steel',
	thicknessMm: 6,
	layers: 1,
	bevelDeg: 0,
	mesh: false,
	coating: 'none',
	backCoating: 'none',
	aim: 'clean',
	school: 'full',
	typedA: 40,
	lengthMm: 300,
	guide: 'kept',
	circleOf: 'hole',
	circleMm: 100,
	start: 'edge',
	gouge: { asked: false, depthMm: 4, widthMm: 7, angleFromPlateDeg: 40 }
} as const satisfies Cut;
const D = DEFAULT_CUT;

export const GougeSchema = v.object({
	asked: v.optional(v.boolean('true or false'), D.gouge.asked),
	depthMm: v.optional(within(0.3, 40, 'mm'), D.gouge.depthMm),
	widthMm: v.optional(within(1, 40, 'mm'), D.gouge.widthMm),
	angleFromPlateDeg: v.optional(within(20, 60, '°'), D.gouge.angleFromPlateDeg)
});

export const CutSchema = v.object({
	metal: v.optional(v.picklist(METAL_IDS, `one of ${METAL_IDS.join(', ')}`), D.metal),
	thicknessMm: v.optional(within(0.3, 100, 'mm'), D.thicknessMm),
	layers: v.optional(v.pipe(within(1, 10, ''), v.integer('a whole number')), D.layers),
	bevelDeg: v.optional(within(0, 60, '°'), D.bevelDeg),
	mesh: v.optional(v.boolean('true or false'), D.mesh),
	coating: v.optional(v.picklist(COATINGS, `one of ${COATINGS.join(', ')}`), D.coating),
	backCoating: v.optional(v.picklist(COATINGS, `one of ${COATINGS.join(', ')}`), D.backCoating),
	aim: v.optional(v.picklist(AIMS, `one of ${AIMS.join(', ')}`), D.aim),
	school: v.optional(v.picklist(SCHOOLS, `one of ${SCHOOLS.join(', ')}`), D.school),
	/** The knob, for the school "typed". */
	typedA: v.optional(within(5, 500, 'A'), D.typedA),
	lengthMm: v.optional(within(10, 20000, 'mm'), D.lengthMm),
	guide: v.optional(v.picklist(GUIDES, `one of ${GUIDES.join(', ')}`), D.guide),
	circleOf: v.optional(v.picklist(CIRCLES, 'hole or disc'), D.circleOf),
	circleMm: v.optional(within(10, 5000, 'mm'), D.circleMm),
	start: v.optional(v.picklist(STARTS, `one of ${STARTS.join(', ')}`), D.start),
	gouge: v.optional(GougeSchema, {})
});

const StatSchema = v.object({
	n: v.pipe(v.number(), v.integer(), v.minValue(1)),
	mean: v.pipe(v.number(), v.finite()),
	/** One standard deviation of the mean, same unit. */
	spread: v.pipe(v.number(), v.minValue(0))
});
/** Count, mean and its standard deviation of what was measured. */
export type Stat = v.InferOutput<typeof StatSchema>;

const UseSchema = v.object({
	starts: within(0, 1e6, ''),
	arcMin: within(0, 1e6, 'min'),
	/** Arc minutes, each times the load on the nozzle. */
	loadMin: within(0, 1e8, 'min'),
	/** Pilot arc that cut nothing, s. */
	pilotS: within(0, 1e8, 's'),
	piercesRolled: within(0, 1e6, ''),
	piercesStraight: within(0, 1e6, '')
});

export const EvidenceSchema = v.object({
	/** Number of the newest log entry it rests on. */
	revision: v.pipe(v.number(), v.integer(), v.minValue(0)),
	sourceV: v.nullable(StatSchema),
	/** Ohms there and back, with what the wiring model said when it was measured. */
	loopOhm: v.nullable(v.object({ ...StatSchema.entries, modelOhm: v.number() })),
	flowLpm: v.nullable(StatSchema),
	/** True delivery over the compressor's stated delivery. */
	deliveryFactor: v.nullable(StatSchema),
	/** Air that leaks with the cutter off. */
	leakLpm: v.optional(v.nullable(StatSchema), null),
	/** Apparent power by clamp meter over the model's. */
	powerRatio: v.optional(v.nullable(StatSchema), null),
	/** Loss of the line by gauge over the model's. */
	lineFactor: v.optional(v.nullable(StatSchema), null),
	/** Timed lamp: factor on the rise, and the time constant when the recovery was timed too. */
	heat: v.optional(
		v.nullable(
			v.object({
				n: v.pipe(v.number(), v.integer(), v.minValue(1)),
				riseFactor: within(0.1, 20, ''),
				tauS: v.nullable(within(10, 7200, 's'))
			})
		),
		null
	),
	/** Where between the earliest (0) and the latest (1) curve the breaker was seen to lie. */
	trip: v.optional(
		v.nullable(
			v.object({
				n: v.pipe(v.number(), v.integer(), v.minValue(1)),
				lowShare: within(0, 1, ''),
				highShare: within(0, 1, '')
			})
		),
		null
	),
	/** How this bench has worked: arc of a start, and the pause when the log tells it, s. */
	pattern: v.optional(
		v.nullable(
			v.object({
				starts: v.pipe(v.number(), v.integer(), v.minValue(1)),
				arcS: within(0.1, 36_000, 's'),
				restS: v.nullable(within(0, 36_000, 's'))
			})
		),
		null
	),
	/** What test cuts told of the speed, those at one place merged. */
	speed: v.pipe(v.array(SpeedReadingSchema), v.maxLength(SPEED_READINGS_MOST)),
	/** From scrap cut in two: kerf by metal and nozzle, and the shield's own radius, mm. */
	scrap: v.optional(
		v.object({ kerf: v.record(v.string(), StatSchema), radius: v.nullable(StatSchema) }),
		{ kerf: {}, radius: null }
	),
	wear: v.object({
		/** Use of the electrode in the torch since it was new. */
		total: UseSchema,
		/** Deepest measured pit and the use since then; null: never measured. */
		lastPit: v.nullable(v.object({ pitUm: within(0, 5000, 'µm'), useSince: UseSchema })),
		/** Measured and expected growth over all sets, µm, which make the shop's own factor. */
		measuredUm: within(0, 1e7, 'µm'),
		expectedUm: within(0, 1e7, 'µm')
	})
});
export type Evidence = v.InferOutput<typeof EvidenceSchema>;

export const NO_EVIDENCE: Evidence = {
	revision: 0,
	sourceV: null,
	loopOhm: null,
	flowLpm: null,
	deliveryFactor: null,
	leakLpm: null,
	powerRatio: null,
	lineFactor: null,
	heat: null,
	trip: null,
	pattern: null,
	speed: [],
	scrap: { kerf: {}, radius: null },
	wear: {
		total: NO_USE,
		lastPit: null,
		measuredUm: 0,
		expectedUm: 0
	}
};

export const SettingsSchema = v.object({
	/** Change the electrode at this pit depth: 1.0 mm (cautious) or 1.5 mm are the two schools. */
	pitLimitMm: within(0.5, 3, 'mm'),
	pierceTiltDeg: v.picklist([20, 30, 45], '20, 30 or 45 °'),
	sparks: v.picklist(SPARK_SCHOOLS, 'trailing or straight'),
	currency: v.picklist(['EUR', 'USD', 'GBP'], 'EUR, USD or GBP'),
	/** null: nobody has said; costs are then not told. */
	electrodePrice: v.nullable(within(0, 1000, '')),
	nozzlePrice: v.nullable(within(0, 1000, ''))
});
export type Settings = v.InferOutput<typeof SettingsSchema>;

export const DEFAULT_SETTINGS: Settings = {
	pitLimitMm: 1.5,
	pierceTiltDeg: 45,
	sparks: 'trailing',
	currency: 'EUR',
	electrodePrice: null,
	nozzlePrice: null
};

export const PlanInputsSchema = v.object({
	bench: BenchSchema,
	cut: CutSchema,
	evidence: EvidenceSchema,
	work: WorkSchema,
	settings: SettingsSchema,
	/** The machine's cut chart, when the person has given one. */
	chart: v.optional(v.nullable(ChartSchema), null)
});
export type PlanInputs = v.InferOutput<typeof PlanInputsSchema>;
