/** What is written in the log, by gesture or by measurement. Numbers in the core's units. */
import { DROSSES, JUDGED, TEST_CUT_RANGES, TRIP_DEVICES } from './measured';
import * as v from 'valibot';
import { SCRAP_KERF_MM, scrapMm } from '../cut/guide';
import { START_METHODS } from '../cut/start';
import { METAL_IDS } from '../metal/metals';
import { SHIELD_RADIUS_MM } from '../torch/inputs';
import { HELD } from '../checks/inputs';
import { CARE_DAYS, CARE_KINDS } from '../care/care';
import { TEST_GROOVE_RANGES } from '../gouge/removal';
import { within } from '../quantity/within';

const metal = v.picklist(METAL_IDS, `one of ${METAL_IDS.join(', ')}`);

const start = v.picklist(START_METHODS, `one of ${START_METHODS.join(', ')}`);

const CutEntry = v.object({
	kind: v.literal('cut'),
	metal,
	thicknessMm: within(0.3, 100, 'mm'),
	outputA: within(5, 500, 'A'),
	lengthMm: within(1, 100_000, 'mm'),
	arcS: within(0, 36_000, 's'),
	starts: v.pipe(within(1, 1000, ''), v.integer('a whole number')),
	start,
	/** Nozzle that was in the torch; the server fills it in. */
	nozzleA: v.optional(within(5, 500, 'A')),
	/** Over mesh or expanded metal. */
	mesh: v.optional(v.boolean('true or false'))
});

/** A person counts no more of them in one go. */
export const FAILED_AT_ONCE_MOST = 50;

const StartEntry = v.object({
	kind: v.literal('start'),
	/** Pilot arc or short touch, s. */
	arcS: within(0, 60, 's'),
	start,
	/** So many alike; left out: one. */
	times: v.optional(v.pipe(within(1, FAILED_AT_ONCE_MOST, ''), v.integer('a whole number')))
});

const VoltsEntry = v.pipe(
	v.object({
		kind: v.literal('volts'),
		idleV: within(50, 800, 'V'),
		arcV: within(50, 800, 'V'),
		/** Amps at the knob while the reading under arc was taken. */
		outputA: within(5, 500, 'A'),
		/** By clamp meter; null: worked out from the data plate. */
		clampA: v.nullable(within(1, 300, 'A')),
		/** Ohms of the wiring model at that moment; the server fills it in. */
		modelOhm: v.optional(within(0, 100, 'Ω'))
	}),
	v.forward(
		v.check((e) => e.arcV < e.idleV, 'below the idle reading: volts fall when the arc is on'),
		['arcV']
	)
);

const tankTest = <K extends 'drain' | 'fill' | 'leak'>(kind: K) => ({
	kind: v.literal(kind),
	fromBar: within(0, 30, 'bar'),
	toBar: within(0, 30, 'bar'),
	seconds: within(1, 7200, 's')
});
const DrainEntry = v.pipe(
	v.object(tankTest('drain')),
	v.forward(
		v.check((e) => e.toBar < e.fromBar, 'below the first reading: the tank drains'),
		['toBar']
	)
);
const LeakEntry = v.pipe(
	v.object(tankTest('leak')),
	v.forward(
		v.check((e) => e.toBar < e.fromBar, 'below the first reading: it leaks down'),
		['toBar']
	)
);
const FillEntry = v.pipe(
	v.object(tankTest('fill')),
	v.forward(
		v.check((e) => e.toBar > e.fromBar, 'above the first reading: the tank fills'),
		['toBar']
	)
);

/** Tank, and the gauge just before the regulator at the cutter, with air flowing. */
const GaugeEntry = v.pipe(
	v.object({
		kind: v.literal('gauge'),
		tankBar: within(0.5, 30, 'bar'),
		inletBar: within(0, 30, 'bar'),
		/** p² lost by the model at that moment, bar²; the server fills it in. */
		modelBar2: v.optional(within(0, 2000, 'bar²'))
	}),
	v.forward(
		v.check(
			(e) => e.inletBar < e.tankBar,
			'below the tank: the line takes pressure while air flows'
		),
		['inletBar']
	)
);

/** One arc from cold, without a pause, until the lamp; and how long until it went out again. */
const LampEntry = v.object({
	kind: v.literal('lamp'),
	outputA: within(5, 500, 'A'),
	shopC: within(-20, 50, '°C'),
	lampS: within(5, 7200, 's'),
	recoveryS: v.nullable(within(5, 7200, 's'))
});
/** What tripped, and when, under which work; "held": nothing did in that time. */
const TripEntry = v.object({
	kind: v.literal('trip'),
	device: v.picklist(TRIP_DEVICES, `one of ${TRIP_DEVICES.join(', ')}`),
	afterS: within(0, 36_000, 's'),
	outputA: within(5, 500, 'A'),
	arcS: within(1, 3600, 's'),
	restS: within(0, 3600, 's'),
	/** Heating towards which arc and pause went by the model, (I/In)²; the server fills it in. */
	onHeat: v.optional(within(0, 1e6, '')),
	offHeat: v.optional(within(0, 1e6, ''))
});
const TestCutEntry = v.object({
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
const ScrapEntry = v.pipe(
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
const KerfEntry = v.object({
	kind: v.literal('kerf'),
	metal,
	kerfMm: within(...SCRAP_KERF_MM, 'mm'),
	/** How far it may be off, one standard deviation, where an instrument told; left out: by caliper. */
	spreadMm: v.optional(within(0.005, 2, 'mm')),
	/** Nozzle that was in the torch; the server fills it in. */
	nozzleA: v.optional(within(5, 500, 'A'))
});

const PitEntry = v.object({ kind: v.literal('pit'), pitMm: within(0, 5, 'mm') });

/** The bore of the nozzle by drill shank or pin gauge; a second one across it tells of out of round. */
const BoreEntry = v.object({
	kind: v.literal('bore'),
	boreMm: within(0.3, 8, 'mm'),
	acrossMm: v.optional(within(0.3, 8, 'mm')),
	/** Of that nozzle when it was new; the server fills it in. */
	newMm: v.optional(within(0.3, 6, 'mm'))
});

/** What the parts looked like (common practice). */
export const LOOKS = ['clean', 'smeared', 'cracked', 'blue', 'nicked'] as const;
const LookEntry = v.object({
	kind: v.literal('look'),
	seen: v.picklist(LOOKS, `one of ${LOOKS.join(', ')}`)
});

/** Something of the shop was looked after; `againDays`: when next, where the shop has its own way. */
const CareEntry = v.object({
	kind: v.literal('care'),
	did: v.picklist(CARE_KINDS, `one of ${CARE_KINDS.join(', ')}`),
	againDays: v.optional(v.pipe(within(...CARE_DAYS, 'days'), v.integer('a whole number')))
});

/** Strings of a groove, as they were pushed. */
const GrooveEntry = v.object({
	kind: v.literal('groove'),
	metal,
	outputA: within(5, 500, 'A'),
	/** Of all strings together. */
	lengthMm: within(1, 100_000, 'mm'),
	arcS: within(0, 36_000, 's'),
	starts: v.pipe(within(1, 1000, ''), v.integer('a whole number')),
	/** Gouging nozzle that was in the torch. */
	nozzleA: v.optional(within(5, 500, 'A'))
});
/** One string on scrap, measured: it tells how much metal goes and what shape is left. */
const TestGrooveEntry = v.object({
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

/** Somebody looked: it is not so, or it is mended; a fault found is told in the same way. */
const CheckEntry = v.object({
	kind: v.literal('check'),
	...HELD,
	so: v.boolean('true or false'),
	/** Of a fault: what was seen, and after how many looks it was found. */
	symptom: v.optional(v.pipe(v.string('text'), v.maxLength(60, '60 characters'))),
	looks: v.optional(v.pipe(within(0, 500, ''), v.integer('a whole number')))
});

/** A list that was gone through and signed off, as it stood then. */
export const SIGNED_LISTS = ['day', 'cut', 'groove'] as const;
export const SIGNED_ITEMS_MOST = 40;
const line = v.pipe(
	v.string('text'),
	v.minLength(1, 'not empty'),
	v.maxLength(160, '160 characters')
);
const SignedEntry = v.object({
	kind: v.literal('signed'),
	list: v.picklist(SIGNED_LISTS, `one of ${SIGNED_LISTS.join(', ')}`),
	/** Tells this list from one whose figures have moved since. */
	key: v.pipe(v.string('text'), v.regex(/^[a-z0-9]{1,20}$/, 'letters and digits')),
	/** The shop's own day. */
	day: v.pipe(v.string('text'), v.isoDate('a day as 2026-11-27')),
	ticked: v.pipe(v.array(line), v.minLength(1, 'at least one'), v.maxLength(SIGNED_ITEMS_MOST)),
	/** Gone on with although it was not so. */
	despite: v.optional(v.pipe(v.array(line), v.maxLength(SIGNED_ITEMS_MOST)), [])
});

export const EntrySchema = v.variant('kind', [
	CutEntry,
	StartEntry,
	VoltsEntry,
	DrainEntry,
	FillEntry,
	LeakEntry,
	GaugeEntry,
	LampEntry,
	TripEntry,
	TestCutEntry,
	ScrapEntry,
	KerfEntry,
	PitEntry,
	BoreEntry,
	LookEntry,
	CareEntry,
	GrooveEntry,
	TestGrooveEntry,
	CheckEntry,
	SignedEntry
]);
export type Entry = v.InferOutput<typeof EntrySchema>;
export type EntryKind = Entry['kind'];

/** An entry as it stands in the log. */
export interface LoggedEntry {
	id: number;
	/** Consumable set in the torch then. */
	setId: string | null;
	/** When it was done, ISO 8601. */
	at: string;
	entry: Entry;
	/** Taken back; kept for the record. */
	undone: boolean;
}
