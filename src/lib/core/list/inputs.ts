/** The day's list: what is to be made, how often, in which order, and what is asked of money. */
import * as v from 'valibot';
import { METAL_IDS } from '../metal/metals';
import { nameOf, within } from '../quantity/within';
import { closedFrom, DAY_S, type Closed } from '../session/closed';

export const LIST_ITEMS_MOST = 500;
export const PIECES_MOST = 2000;
/** Contours of one outline. */
export const PATHS_MOST = 100;
/** Arcs that one list plans, one by one. */
export const LIST_ARCS_MOST = 4000;
/** Change of parts with the power off, and looking at them [own]. */
export const CHANGE_S = 240;

const whole = v.integer('a whole number');
const id = v.pipe(v.string('text'), v.regex(/^[\w-]{1,40}$/, 'letters, digits, - and _'));
/** Characters of what an item lies on, and of the customer. */
export const WORKPIECE_MOST = 60;
export const CUSTOMER_MOST = 80;
const words = (most: number) =>
	v.pipe(
		v.string('text'),
		v.trim(),
		v.maxLength(most, `at most ${most} characters`),
		// eslint-disable-next-line no-control-regex -- control characters are what is refused
		v.regex(/^[^\u0000-\u001f\u007f]*$/, 'one line of text')
	);
const share = within(0, 0.95, '(share)');

export const ListItemSchema = v.object({
	id,
	name: nameOf('item'),
	what: v.picklist(['cut', 'groove'], 'cut or groove'),
	/** The planned cut or groove, as the address that opens it: so it opens for ever. */
	search: v.pipe(v.string('text'), v.maxLength(2000, 'at most 2000 characters')),
	pieces: v.pipe(within(1, PIECES_MOST, ''), whole),
	/** Such cuts for one piece: four sides of a plate. A groove has its own strings. */
	linesEach: v.optional(v.pipe(within(1, 100, ''), whole), 1),
	/** Contours of one piece of an outline, in order, instead of such cuts: each with its lead-in. */
	paths: v.optional(
		v.pipe(
			v.array(
				v.object({
					edge: v.picklist(['outside', 'hole'], 'outside or hole'),
					lengthMm: within(1, 100_000, 'mm')
				})
			),
			v.maxLength(PATHS_MOST, `at most ${PATHS_MOST} contours`)
		),
		() => []
	),
	/** Before each arc, s; null: as the shop usually takes. */
	handlingS: v.optional(v.nullable(within(0, 3600, 's')), null),
	/** Guide to line as the first piece showed, mm; null: as planned. */
	offsetMm: v.optional(v.nullable(within(0, 1000, 'mm')), null),
	/** Made after these have ended. */
	after: v.optional(v.pipe(v.array(id), v.maxLength(20, 'at most 20')), []),
	/** Items on one workpiece never overlap, and wait until it is cool; empty: a piece of its own. */
	on: v.optional(words(WORKPIECE_MOST), ''),
	coolS: v.optional(within(0, 7200, 's'), 0),
	/** Finished rectangle, or the box round an outline, to be laid on plates; null: nobody has said. */
	widthMm: v.optional(v.nullable(within(5, 20_000, 'mm')), null),
	heightMm: v.optional(v.nullable(within(5, 20_000, 'mm')), null),
	/** May be laid the other way round. */
	turns: v.optional(v.boolean('true or false'), true),
	/** Net plate of one piece, for the quote; null: of its rectangle, or the customer’s. */
	areaMm2: v.optional(v.nullable(within(1, 2e7, 'mm²')), null)
});
export type ListItem = v.InferOutput<typeof ListItemSchema>;

/** Arcs of one piece; a groove has its own strings. */
export const arcsOfPiece = ({ paths, linesEach }: Pick<ListItem, 'paths' | 'linesEach'>): number =>
	paths.length || linesEach;

export const QuoteAskSchema = v.object({
	/** Reading the drawing, marking out, setting up: once for the list. */
	setUpMin: v.optional(within(0, 6000, 'min'), 15),
	/** Grinding and brushing, for each piece. */
	finishingS: v.optional(within(0, 36_000, 's'), 60),
	rejectShare: v.optional(share, 0),
	platePricePerKg: v.optional(v.nullable(within(0, 1000, '')), null),
	/** On top of the net mass. */
	plateScrapShare: v.optional(share, 0.2),
	margin: v.optional(share, 0.2),
	/** On cost: price = cost × (1 + m); on price: price = cost ÷ (1 − m). */
	marginOn: v.optional(v.picklist(['cost', 'price'], 'cost or price'), 'cost'),
	leastCharge: v.optional(within(0, 1e6, ''), 0),
	taxShare: v.optional(share, 0)
});
export type QuoteAsk = v.InferOutput<typeof QuoteAskSchema>;

/** A usual size of plate [own]; offcuts are given before it. */
export const USUAL_PLATE_MM = [2000, 1000] as const;
const PlateSchema = v.object({
	name: nameOf('plate'),
	widthMm: within(50, 20_000, 'mm'),
	heightMm: within(50, 20_000, 'mm'),
	/** What it is of; null: such plates are had in every metal, and in every thickness. */
	metal: v.optional(v.nullable(v.picklist(METAL_IDS, `one of ${METAL_IDS.join(', ')}`)), null),
	thicknessMm: v.optional(v.nullable(within(0.3, 100, 'mm')), null),
	/** null: as many as are wanted. */
	count: v.optional(v.nullable(v.pipe(within(1, 200, ''), whole)), null)
});

export const LIST_ORDERS = ['soonest', 'fewest', 'own'] as const;
export type ListOrder = (typeof LIST_ORDERS)[number];

const timeOfDay = v.pipe(v.string('text'), v.regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'as 08:00'));
const BREAK_MOST_MIN = 240;
/** What is longer is the night. */
export const BREAK_MOST_S = 60 * BREAK_MOST_MIN;
/** Nobody works for so long, every day at the same time. */
const BreakSchema = v.object({ at: timeOfDay, forMin: within(1, BREAK_MOST_MIN, 'min') });
export const BREAKS_MOST = 6;

export const DayListSchema = v.object({
	name: nameOf('list'),
	customer: v.optional(words(CUSTOMER_MOST), ''),
	/** Of the shop's own day. */
	startsAt: v.optional(timeOfDay, '08:00'),
	/** What is not done by then is gone on with at the time of the start; null: until it is done. */
	endsAt: v.optional(v.nullable(timeOfDay), null),
	breaks: v.optional(
		v.pipe(v.array(BreakSchema), v.maxLength(BREAKS_MOST, `at most ${BREAKS_MOST}`)),
		() => []
	),
	order: v.optional(v.picklist(LIST_ORDERS, 'soonest, fewest or own'), 'soonest'),
	changeS: v.optional(within(0, 3600, 's'), CHANGE_S),
	items: v.pipe(
		v.array(ListItemSchema),
		v.maxLength(LIST_ITEMS_MOST, `at most ${LIST_ITEMS_MOST} items`),
		v.check((all) => new Set(all.map((one) => one.id)).size === all.length, 'two items of one id')
	),
	/** In the order in which they are used up. */
	plates: v.optional(
		v.pipe(v.array(PlateSchema), v.minLength(1, 'at least one'), v.maxLength(20, 'at most 20')),
		() => [{ name: 'Plate', widthMm: USUAL_PLATE_MM[0], heightMm: USUAL_PLATE_MM[1], count: null }]
	),
	/** Mill edge trimmed off all round. */
	trimMm: v.optional(within(0, 100, 'mm'), 5),
	quote: v.optional(QuoteAskSchema, () => v.parse(QuoteAskSchema, {}))
});
export type DayList = v.InferOutput<typeof DayListSchema>;

/** Seconds after midnight of a time of day. */
export function secondOf(time: string): number {
	const [h, m] = time.split(':').map(Number) as [number, number];
	return h * 3600 + m * 60;
}
/** Breaks and the night, from `startS` after midnight; what runs into another is one. */
export function closedOf(
	{ startsAt, endsAt, breaks }: Pick<DayList, 'startsAt' | 'endsAt' | 'breaks'>,
	startS = secondOf(startsAt)
): Closed {
	const windows = breaks.map(({ at, forMin }) => ({
		fromS: secondOf(at),
		toS: secondOf(at) + 60 * forMin
	}));
	if (endsAt !== null) {
		const fromS = secondOf(endsAt);
		const toS = secondOf(startsAt);
		// A shift from eight to eight has no night.
		if (fromS !== toS) windows.push({ fromS, toS: toS > fromS ? toS : toS + DAY_S });
	}
	return merged(closedFrom(startS, windows));
}
const merged = (windows: Closed): Closed =>
	windows.reduce<{ fromS: number; toS: number }[]>((all, one) => {
		const last = all.at(-1);
		if (last && one.fromS <= last.toS) last.toS = Math.max(last.toS, one.toS);
		else all.push({ ...one });
		return all;
	}, []);
