/** A quote as a sum that a pencil can check. Money in the shop's currency; times in s. */
import type { QuoteAsk } from './inputs';

/** What one item asks of the shop, all of its pieces. */
export interface QuoteItem {
	pieces: number;
	arcS: number;
	handlingS: number;
	/** Eight in ten arcs take between 1/f and f of it. */
	arcFactor: number;
	/** Money for parts of the torch, power of the cutter, air; null: somebody has not said a price. */
	parts: number | null;
	power: number | null;
	air: number | null;
	/** Net plate, kg; 0: the customer brings it. */
	plateKg: number;
}
export interface QuoteRates {
	/** The worker's hour; null: nobody has said. */
	labourPerH: number | null;
	/** Changes of parts and other time that no piece takes, s. */
	besidesS: number;
}
export const QUOTE_LINES = ['setUp', 'labour', 'parts', 'power', 'air', 'plate'] as const;
export type QuoteLine = (typeof QUOTE_LINES)[number];

export interface Quote {
	piecesMade: number;
	/** Not rounded; null: a price is missing. */
	lines: Record<QuoteLine, number | null>;
	cost: number | null;
	/** Before tax, at least the least charge. */
	price: number | null;
	/** As printed: each rounded half up to cents, and their sums. */
	printed: {
		lines: Record<QuoteLine, number | null>;
		cost: number;
		margin: number;
		price: number;
		least: boolean;
		tax: number;
		total: number;
	} | null;
}

/** Half up to cents; a hair is forgiven, so that 1.005 is 1.01. */
export const cents = (money: number): number => Math.floor(money * 100 + 0.5 + 1e-9) / 100;
const sum = (all: readonly (number | null)[]): number | null =>
	all.reduce<number | null>(
		(total, one) => (total === null || one === null ? null : total + one),
		0
	);

/** Set-up + pieces ÷ (1 − reject) × (labour, parts, power, air, plate), and the margin on it. */
export function quoteOf(items: readonly QuoteItem[], ask: QuoteAsk, rates: QuoteRates): Quote {
	const made = 1 / (1 - ask.rejectShare);
	const hour = (seconds: number) =>
		rates.labourPerH === null ? null : (seconds / 3600) * rates.labourPerH;
	const all = (of: (item: QuoteItem) => number | null) => {
		const one = sum(items.map(of));
		return one === null ? null : one * made;
	};
	const plate = (kg: number) =>
		kg === 0
			? 0
			: ask.platePricePerKg === null
				? null
				: kg * ask.platePricePerKg * (1 + ask.plateScrapShare);
	const lines: Quote['lines'] = {
		setUp: hour(60 * ask.setUpMin + rates.besidesS),
		labour: all((item) => hour(item.arcS + item.handlingS + item.pieces * ask.finishingS)),
		parts: all((item) => item.parts),
		power: all((item) => item.power),
		air: all((item) => item.air),
		plate: all((item) => plate(item.plateKg))
	};
	const withMargin = (cost: number) =>
		ask.marginOn === 'cost' ? cost * (1 + ask.margin) : cost / (1 - ask.margin);
	const cost = sum(Object.values(lines));
	const piecesMade = made * items.reduce((total, { pieces }) => total + pieces, 0);
	if (cost === null) return { piecesMade, lines, cost, price: null, printed: null };
	const rounded = Object.fromEntries(
		QUOTE_LINES.map((line) => [line, cents(lines[line]!)])
	) as Record<QuoteLine, number>;
	const printedCost = cents(Object.values(rounded).reduce((total, one) => total + one, 0));
	const margin = cents(withMargin(printedCost) - printedCost);
	const before = cents(printedCost + margin);
	const price = Math.max(before, cents(ask.leastCharge));
	const tax = cents(price * ask.taxShare);
	return {
		piecesMade,
		lines,
		cost,
		price: Math.max(withMargin(cost), ask.leastCharge),
		printed: {
			lines: rounded,
			cost: printedCost,
			margin,
			price,
			least: price > before,
			tax,
			total: cents(price + tax)
		}
	};
}

/** Eight in ten take between 1/f and f of what is planned: handling before anybody timed it, a part's life [own]. */
export const HANDLING_FACTOR = 1.35;
export const LIFE_FACTOR = 1.5;

/**
 * What eight in ten such jobs come to, tax included: speed, handling and the parts' life each up and down
 * alone, their differences added as squares, for they have nothing to do with each other. null: no price.
 */
export function quoteBand(
	items: readonly QuoteItem[],
	ask: QuoteAsk,
	rates: QuoteRates
): [number, number] | null {
	const total = (change: (item: QuoteItem) => QuoteItem) =>
		quoteOf(items.map(change), ask, rates).printed?.total;
	const middle = total((item) => item);
	if (middle === undefined) return null;
	const times = (money: number | null, f: number) => (money === null ? null : money * f);
	// Power, air and parts go with the arc.
	const speed = (item: QuoteItem, f: number): QuoteItem => ({
		...item,
		arcS: item.arcS * f,
		power: times(item.power, f),
		air: times(item.air, f),
		parts: times(item.parts, f)
	});
	const ways: ((item: QuoteItem, sign: 1 | -1) => QuoteItem)[] = [
		(item, sign) => speed(item, item.arcFactor ** sign),
		(item, sign) => ({ ...item, handlingS: item.handlingS * HANDLING_FACTOR ** sign }),
		(item, sign) => ({ ...item, parts: times(item.parts, LIFE_FACTOR ** sign) })
	];
	const off = (sign: 1 | -1) =>
		Math.hypot(...ways.map((way) => total((item) => way(item, sign))! - middle));
	return [middle - off(-1), middle + off(1)];
}
