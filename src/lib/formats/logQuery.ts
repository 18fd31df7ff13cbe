/** What is asked of the log, in the words of the shop: "8 mm rolled", "pit", "18 Nov", "45 A sluice hangers". */
import { DomainError, METALS, parseQuantity, type MetalId } from '$lib/core';

export interface LogQuery {
	thicknessMm: number[];
	outputA: number[];
	metals: MetalId[];
	/** Kinds of entries. */
	kinds: string[];
	starts: string[];
	/** Days from and before, ISO dates. */
	from?: string;
	before?: string;
	/** Anything else is looked for in who and what for. */
	words: string[];
}

const KIND_WORDS: Record<string, string[]> = {
	cut: ['cut'],
	cuts: ['cut'],
	failed: ['start'],
	pit: ['pit'],
	pits: ['pit'],
	bore: ['bore'],
	bores: ['bore'],
	looked: ['look'],
	measured: ['pit', 'bore', 'volts', 'drain', 'fill', 'leak', 'gauge', 'lamp'],
	volts: ['volts'],
	drain: ['drain'],
	fill: ['fill'],
	leak: ['leak'],
	gauge: ['gauge'],
	lamp: ['lamp'],
	trip: ['trip'],
	tripped: ['trip'],
	test: ['test-cut'],
	scrap: ['scrap'],
	kerf: ['kerf', 'scrap'],
	check: ['check', 'signed'],
	checks: ['check', 'signed'],
	fault: ['check'],
	faults: ['check'],
	signed: ['signed'],
	care: ['care'],
	drained: ['care'],
	groove: ['groove', 'test-groove'],
	grooves: ['groove', 'test-groove']
};
const START_WORDS: Record<string, string[]> = {
	edge: ['edge'],
	rolled: ['rolled'],
	straight: ['pierce'],
	pierced: ['pierce', 'rolled', 'hover'],
	hover: ['hover'],
	hovered: ['hover'],
	drilled: ['drilled']
};
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
export const QUERY_MOST = 200;
const TERMS_MOST = 12;

const two = (n: number) => String(n).padStart(2, '0');
/** The first day of the month after; months from 1. */
const monthAfter = (year: number, month: number) =>
	month === 12 ? `${year + 1}-01-01` : `${year}-${two(month + 1)}-01`;
function dayAfter(year: number, month: number, day: number): string {
	return new Date(Date.UTC(year, month - 1, day + 1)).toISOString().slice(0, 10);
}

/** A day, month or year that a text begins with, and how much of the text it takes. */
function dateIn(
	text: string,
	today: string
): { from: string; before: string; length: number } | undefined {
	const iso = /^(20\d\d)(?:-(\d\d?))?(?:-(\d\d?))?(?=\s|$)/.exec(text);
	const day = /^(\d\d?)\s+([a-z]{3})[a-z]*(?:\s+(20\d\d))?(?=\s|$)/i.exec(text);
	const month = /^([a-z]{3,9})(?:\s+(20\d\d))?(?=\s|$)/i.exec(text);
	const monthOf = (word: string) => MONTHS.indexOf(word.slice(0, 3).toLowerCase()) + 1;
	/** Without a year the last one that has been. */
	const yearOf = (year: string | undefined, m: number, d = 1) => {
		if (year) return Number(year);
		const now = Number(today.slice(0, 4));
		return `${now}-${two(m)}-${two(d)}` > today ? now - 1 : now;
	};
	if (iso) {
		const [all, year, m, d] = iso;
		const y = Number(year);
		const mm = Number(m);
		if (m !== undefined && (mm < 1 || mm > 12)) return undefined;
		if (d !== undefined && (Number(d) < 1 || Number(d) > 31)) return undefined;
		if (d) {
			return {
				from: `${y}-${two(mm)}-${two(Number(d))}`,
				before: dayAfter(y, mm, Number(d)),
				length: all.length
			};
		}
		if (m) return { from: `${y}-${two(mm)}-01`, before: monthAfter(y, mm), length: all.length };
		return { from: `${y}-01-01`, before: `${y + 1}-01-01`, length: all.length };
	}
	if (day && monthOf(day[2]!) > 0 && Number(day[1]) >= 1 && Number(day[1]) <= 31) {
		const m = monthOf(day[2]!);
		const d = Number(day[1]);
		const y = yearOf(day[3], m, d);
		return { from: `${y}-${two(m)}-${two(d)}`, before: dayAfter(y, m, d), length: day[0].length };
	}
	// "may" alone is a month; "mark" is none.
	if (month && monthOf(month[1]!) > 0 && MONTH_NAME.test(month[1]!)) {
		const m = monthOf(month[1]!);
		const y = yearOf(month[2], m);
		return { from: `${y}-${two(m)}-01`, before: monthAfter(y, m), length: month[0].length };
	}
	return undefined;
}
const MONTH_NAME =
	/^(jan(uary)?|feb(ruary)?|mar(ch)?|apr(il)?|may|june?|july?|aug(ust)?|sept?(ember)?|oct(ober)?|nov(ember)?|dec(ember)?)$/i;

/** A thickness or amps with its unit, "8 mm", "1/4 in", "45 A". */
function measureIn(
	text: string
): { thicknessMm?: number; outputA?: number; length: number } | undefined {
	const found = /^([\d.,/ ]*\d)\s*(mm|in|inch|"|a|amps?)(?=\s|$)/i.exec(text);
	if (!found) return undefined;
	const amps = /^a/i.test(found[2]!);
	try {
		const value = parseQuantity(found[0], {
			quantity: amps ? 'current' : 'thickness',
			units: 'metric'
		});
		return amps
			? { outputA: value, length: found[0].length }
			: { thicknessMm: value, length: found[0].length };
	} catch (error) {
		if (error instanceof DomainError) return undefined;
		throw error;
	}
}

/** Reads what was typed; words that mean nothing here are looked for in the notes. `today`: ISO date. */
export function logQuery(text: string, today: string): LogQuery {
	const query: LogQuery = {
		thicknessMm: [],
		outputA: [],
		metals: [],
		kinds: [],
		starts: [],
		words: []
	};
	let rest = text.slice(0, QUERY_MOST).trim();
	for (let terms = 0; rest !== '' && terms < TERMS_MOST; terms++) {
		const measure = measureIn(rest);
		const date = measure ? undefined : dateIn(rest, today);
		const metal = (Object.keys(METALS) as MetalId[]).find((id) =>
			rest.toLowerCase().startsWith(METALS[id].label.toLowerCase())
		);
		if (measure) {
			if (measure.thicknessMm !== undefined) query.thicknessMm.push(measure.thicknessMm);
			if (measure.outputA !== undefined) query.outputA.push(measure.outputA);
			rest = rest.slice(measure.length).trim();
			continue;
		}
		if (date) {
			query.from = date.from;
			query.before = date.before;
			rest = rest.slice(date.length).trim();
			continue;
		}
		if (metal) {
			query.metals.push(metal);
			rest = rest.slice(METALS[metal].label.length).trim();
			continue;
		}
		const [word = ''] = /^\S+/.exec(rest) ?? [];
		rest = rest.slice(word.length).trim();
		const plain = word.toLowerCase();
		if (Object.hasOwn(KIND_WORDS, plain)) query.kinds.push(...KIND_WORDS[plain]!);
		else if (Object.hasOwn(START_WORDS, plain)) query.starts.push(...START_WORDS[plain]!);
		else query.words.push(word);
	}
	return query;
}
