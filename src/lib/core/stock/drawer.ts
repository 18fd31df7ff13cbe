/** What lies in the drawer, against what the torch uses. */
import * as v from 'valibot';
import { within } from '../quantity/within';
import { PART_KINDS } from '../wear/parts';
import { dayAfter, daysLeft, inPacks, reorderAt, useFrom } from './reorder';

export const STOCK_KINDS = ['electrode', ...PART_KINDS] as const;
export type StockKind = (typeof STOCK_KINDS)[number];

/** Characters of where a part comes from. */
export const SUPPLIER_MOST = 80;

const whole = v.integer('a whole number');
export const StockSchema = v.object({
	count: v.pipe(within(0, 10_000, ''), whole),
	/** They come in packs of so many. */
	pack: v.pipe(within(1, 1000, ''), whole),
	leadWeeks: within(0, 52, 'weeks'),
	/** Give or take so many, one standard deviation. */
	leadSpreadWeeks: v.optional(within(0, 26, 'weeks'), 0),
	/** Order at this many at the latest. */
	minimum: v.pipe(within(0, 1000, ''), whole),
	price: v.nullable(within(0, 1000, '')),
	supplier: v.pipe(
		v.string('text'),
		v.trim(),
		v.maxLength(SUPPLIER_MOST, `at most ${SUPPLIER_MOST} characters`)
	)
});
export type Stock = v.InferOutput<typeof StockSchema>;
/** Where nobody has counted yet. */
export const NO_STOCK: Stock = {
	count: 0,
	pack: 1,
	leadWeeks: 1,
	leadSpreadWeeks: 0,
	minimum: 0,
	price: null,
	supplier: ''
};

export interface Drawer {
	usePerWeek: number;
	/** Order when so many are left, or fewer. */
	orderAt: number;
	orderNow: boolean;
	/** How many to order, in whole packs; 0: none yet. */
	order: number;
	/** ISO date on which the last one is used; null: nothing is used. */
	runsOutOn: string | null;
}

/** An order lasts so many weeks beyond the point at which it is made [own]. */
const ORDER_WEEKS = 4;
/** Weeks of the record that count [own]. */
export const USE_WEEKS = 26;
const WEEK_MS = 7 * 24 * 3600 * 1000;

/** `fittedMs`: when such parts were put in; `sinceMs`: when the record began; `today`: ISO date on the wall. */
export function drawerOf(
	stock: Stock,
	of: { fittedMs: readonly number[]; sinceMs: number; nowMs: number; today: string }
): Drawer {
	const since = Math.max(of.sinceMs, of.nowMs - USE_WEEKS * WEEK_MS);
	const use = useFrom(of.fittedMs, of.nowMs, since);
	const point = reorderAt(use, { weeks: stock.leadWeeks, spreadWeeks: stock.leadSpreadWeeks });
	const orderAt = Math.max(point, stock.minimum);
	const orderNow = stock.count <= orderAt && (use.perWeek > 0 || stock.minimum > 0);
	const wanted = orderAt + Math.ceil(ORDER_WEEKS * use.perWeek) + 1;
	const days = daysLeft(stock.count, use.perWeek);
	return {
		usePerWeek: use.perWeek,
		orderAt,
		orderNow,
		order: orderNow ? inPacks(wanted - stock.count, stock.pack) : 0,
		runsOutOn: days === null ? null : dayAfter(of.today, days)
	};
}
