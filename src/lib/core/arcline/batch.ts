/** What a sensor at the cutter sends: columns of equal length, one place for each reading. */
import * as v from 'valibot';
import { within } from '../quantity/within';

export const READINGS_MOST = 2000;
/** What is older is not taken: raw readings are kept so long. */
export const RAW_DAYS = 30;
/** A device's own clock may say so much later than its own "sent at", ms: it is read in pieces. */
const AHEAD_MOST_MS = 2000;

const finite = v.pipe(
	v.number('a number'),
	v.check((x) => Math.abs(x) <= 1e6, 'between −1 000 000 and 1 000 000')
);
const column = v.pipe(
	v.array(v.nullable(finite), 'a list'),
	v.maxLength(READINGS_MOST, `at most ${READINGS_MOST} readings`)
);
const moment = within(0, 4e12, 'ms since 1970');

export const CHANNELS = ['arcA', 'inletBar', 'tankBar', 'mainsA', 'hotLamp'] as const;
export type Channel = (typeof CHANNELS)[number];

export const BatchSchema = v.pipe(
	v.object({
		/** New with every start of the device: its numbers begin again. */
		boot: v.pipe(v.string('text'), v.regex(/^[\w-]{1,40}$/, 'letters, digits, - and _')),
		/** Number of the first reading; those after it follow by one. */
		n: v.pipe(within(0, 1e12, ''), v.integer('a whole number')),
		/** The device's clock when the batch left it, and at each reading. */
		sentAtMs: moment,
		atMs: v.pipe(
			v.array(moment, 'a list'),
			v.minLength(1, 'at least one reading'),
			v.maxLength(READINGS_MOST, `at most ${READINGS_MOST} readings`)
		),
		/** Work lead, by a clamp round its insulation: nothing while only the pilot burns. */
		arcA: v.optional(column),
		/** Just before the regulator of the cutter, bar gauge. */
		inletBar: v.optional(column),
		tankBar: v.optional(column),
		/** In the cutter's own cord. */
		mainsA: v.optional(column),
		/** Temperature lamp: 1 on, 0 off. */
		hotLamp: v.optional(column)
	}),
	v.rawCheck(({ dataset, addIssue }) => {
		if (!dataset.typed) return;
		const { atMs, sentAtMs } = dataset.value;
		const at = (key: string, message: string) =>
			addIssue({
				message,
				path: [
					{
						type: 'object',
						origin: 'value',
						input: dataset.value as unknown as Record<string, unknown>,
						key,
						value: undefined
					}
				]
			});
		for (const channel of CHANNELS) {
			const list = dataset.value[channel];
			if (list && list.length !== atMs.length)
				at(channel, `as many as times: ${atMs.length}, not ${list.length}`);
		}
		const back = atMs.findIndex((ms, k) => k > 0 && ms < atMs[k - 1]!);
		if (back > 0) at('atMs', `times that do not run backwards: reading ${back + 1} does`);
		if (atMs.at(-1)! > sentAtMs + AHEAD_MOST_MS)
			at('atMs', 'no time from the future: the last is later than the batch was sent');
	})
);
export type Batch = v.InferOutput<typeof BatchSchema>;

/** One reading; null: not measured, or not to be believed. */
export interface Reading {
	atMs: number;
	arcA: number | null;
	inletBar: number | null;
	tankBar: number | null;
	mainsA: number | null;
	hotLamp: number | null;
}

/** What a channel can show on a hand-held cutter; anything else is a fault of the sensor. */
export const PLAUSIBLE: Record<Channel, readonly [number, number]> = {
	arcA: [-3, 300],
	inletBar: [-0.3, 20],
	tankBar: [-0.3, 30],
	mainsA: [-3, 200],
	hotLamp: [0, 1]
};
export const isPlausible = (channel: Channel, value: number | null): value is number =>
	value !== null && value >= PLAUSIBLE[channel][0] && value <= PLAUSIBLE[channel][1];
