/**
 * Symptoms, causes and looks as a file that a tradesperson can read and extend. Which sign goes with which
 * cause is common practice; how often, in five words, is our own.
 */
import * as v from 'valibot';
import { HELD_STATIONS } from '../checks/inputs';

/** How often, in words [own]. */
export const OFTEN = {
	'nearly always': 0.9,
	often: 0.6,
	sometimes: 0.3,
	rarely: 0.1,
	never: 0.01
} as const;
export type Often = keyof typeof OFTEN;
const OFTEN_WORDS = Object.keys(OFTEN) as Often[];

/** Pictures that a look can be shown with. */
export const LOOK_DRAWINGS = [
	'clamp',
	'stack',
	'pit',
	'gauge',
	'paper',
	'height',
	'sparks'
] as const;
export type LookDrawing = (typeof LOOK_DRAWINGS)[number];

const id = v.pipe(
	v.string('text'),
	v.regex(/^[a-z0-9][a-z0-9-]{0,39}$/, 'small letters, digits and hyphens, 40 at most')
);
const words = (most: number) =>
	v.pipe(
		v.string('text'),
		v.trim(),
		v.minLength(1, 'not empty'),
		v.maxLength(most, `${most} characters at most`)
	);
const often = v.picklist(OFTEN_WORDS, `one of ${OFTEN_WORDS.join(', ')}`);
const list = <S extends v.GenericSchema>(item: S, least: number, most: number) =>
	v.pipe(
		v.array(item, 'a list'),
		v.minLength(least, `at least ${least}`),
		v.maxLength(most, `at most ${most}`)
	);
/** A person's own file holds no more of each; one request is answered in a few milliseconds. */
export const FAULTS_MOST = { symptoms: 40, causes: 60, looks: 90, bench: 40 } as const;

const Shape = v.strictObject({
	format: v.literal('steady-arc/faults', 'steady-arc/faults'),
	version: v.literal(1, '1'),
	symptoms: list(
		v.strictObject({ id, name: words(60), help: words(120) }),
		1,
		FAULTS_MOST.symptoms
	),
	causes: list(
		v.strictObject({
			id,
			name: words(60),
			/** Whose figure it holds up as long as it is not mended. */
			station: v.optional(
				v.picklist(HELD_STATIONS, `one of ${HELD_STATIONS.join(', ')}`),
				'checks'
			),
			common: often,
			/** What mends it. */
			fix: words(240),
			/** Not for the person at the machine: a technician. */
			stop: v.optional(v.boolean('true or false'), false),
			/** Which symptoms it shows, how often; those left out never. */
			shows: v.record(id, often)
		}),
		2,
		FAULTS_MOST.causes
	),
	looks: list(
		v.strictObject({
			id,
			ask: words(100),
			yes: words(40),
			no: words(40),
			/** Which of the two answers speaks for the causes in `tells`. */
			sign: v.picklist(['yes', 'no'], 'yes or no'),
			/** To look, min. */
			minutes: v.pipe(
				v.number('a number'),
				v.minValue(0.05, 'at least 0.05'),
				v.maxValue(120, 'at most 120')
			),
			how: words(160),
			tells: v.record(id, often),
			/** Asked only where that one gave its sign. */
			after: v.optional(id),
			/** The cutter is off at its switch. */
			off: v.optional(v.boolean('true or false'), false),
			/** Covers come off: for a technician, never offered. */
			covers: v.optional(v.boolean('true or false'), false),
			draw: v.optional(v.picklist(LOOK_DRAWINGS, `one of ${LOOK_DRAWINGS.join(', ')}`))
		}),
		1,
		FAULTS_MOST.looks
	),
	/** What the bench itself knows: for which causes it speaks, and against which. */
	bench: list(
		v.strictObject({ id, up: v.array(id, 'a list'), down: v.array(id, 'a list') }),
		0,
		FAULTS_MOST.bench
	)
});
export type FaultFile = v.InferOutput<typeof Shape>;
export type Fault = FaultFile['causes'][number];
export type Look = FaultFile['looks'][number];

interface Wrong {
	path: string;
	message: string;
}

/** References that lead nowhere, things told twice, and looks that wait for each other. */
function wrongIn(file: FaultFile): Wrong[] {
	const wrong: Wrong[] = [];
	for (const kind of ['symptoms', 'causes', 'looks', 'bench'] as const) {
		const seen = new Set<string>();
		file[kind].forEach((one, i) => {
			if (seen.has(one.id))
				wrong.push({ path: `${kind}.${i}.id`, message: `“${one.id}” stands twice` });
			seen.add(one.id);
		});
	}
	const symptoms = new Set(file.symptoms.map((s) => s.id));
	const causes = new Set(file.causes.map((c) => c.id));
	const looks = new Map(file.looks.map((l) => [l.id, l]));
	const known = (
		path: string,
		ids: Iterable<string>,
		of: { has: (id: string) => boolean },
		kind: string
	) => {
		for (const one of ids)
			if (!of.has(one)) wrong.push({ path, message: `there is no ${kind} “${one}”` });
	};
	file.causes.forEach((cause, i) =>
		known(`causes.${i}.shows`, Object.keys(cause.shows), symptoms, 'symptom')
	);
	file.looks.forEach((look, i) => {
		known(`looks.${i}.tells`, Object.keys(look.tells), causes, 'cause');
		if (look.after) known(`looks.${i}.after`, [look.after], looks, 'look');
		const waits = new Set([look.id]);
		for (let at = look.after; at; at = looks.get(at)?.after) {
			if (waits.has(at)) {
				wrong.push({
					path: `looks.${i}.after`,
					message: `“${look.id}” and “${at}” wait for each other`
				});
				break;
			}
			waits.add(at);
		}
	});
	file.bench.forEach((one, i) => {
		known(`bench.${i}.up`, one.up, causes, 'cause');
		known(`bench.${i}.down`, one.down, causes, 'cause');
	});
	const shown = new Set(file.causes.flatMap((c) => Object.keys(c.shows)));
	file.symptoms.forEach((symptom, i) => {
		if (!shown.has(symptom.id))
			wrong.push({ path: `symptoms.${i}`, message: `no cause shows “${symptom.name}”` });
	});
	return wrong;
}

/** Reads a file of faults; what is wrong with it is told by its place. */
export const FaultFileSchema = v.pipe(
	Shape,
	v.rawCheck(({ dataset, addIssue }) => {
		if (!dataset.typed) return;
		// The place stands in the message, for a reference has two ends and only one of them is wrong.
		for (const { path, message } of wrongIn(dataset.value))
			addIssue({ message: `${path}: ${message}` });
	})
);
