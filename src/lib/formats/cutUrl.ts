/** The planned cut as a query string: reload, back, bookmark and sharing keep it. */
import * as v from 'valibot';
import { CutSchema, DEFAULT_CUT, WorkSchema, type Cut, type Work } from '$lib/core';

const NUMBERS = {
	t: ['thicknessMm'],
	layers: ['layers'],
	bevel: ['bevelDeg'],
	a: ['typedA'],
	len: ['lengthMm'],
	dia: ['circleMm'],
	gd: ['gouge', 'depthMm'],
	gw: ['gouge', 'widthMm'],
	ga: ['gouge', 'angleFromPlateDeg']
} as const;
const WORDS = [
	'metal',
	'aim',
	'school',
	'guide',
	'circleOf',
	'start',
	'coating',
	'backCoating'
] as const;
const WORK = { arc: 'arcS', rest: 'restS', shop: 'shopC', hum: 'humidity', n: 'cuts' } as const;
/** Hours, spell and break of a shift: "8-110-15"; "none" over a usual shift. */
const SHIFT = 'shift';

/** A groove is asked for; what the work goes by. */
const GROOVE = 'groove';
const SIZES = ['gd', 'gw', 'ga'] as const;
const NUMBERS_OF_GROOVE = SIZES.map((key) => NUMBERS[key][1]);
const BY = 'work';

/** Numbers in links are the core's, to a thousandth. */
const short = (value: number) => String(Math.round(value * 1000) / 1000);

function numberOf(cut: Cut, path: (typeof NUMBERS)[keyof typeof NUMBERS]): number {
	return path.length === 1 ? cut[path[0]] : cut.gouge[path[1]];
}

function shiftText({ shift }: Work): string {
	return shift ? [shift.hours, shift.spellMin, shift.breakMin].map(short).join('-') : 'none';
}

/** Only what differs from where a person starts, so that links stay short. */
export function searchFromCut(cut: Cut, work: Work, usual: Work, benchId: string): string {
	const search = new URLSearchParams({ bench: benchId });
	for (const word of WORDS) if (cut[word] !== DEFAULT_CUT[word]) search.set(word, cut[word]);
	if (cut.mesh) search.set('mesh', '1');
	for (const [key, path] of Object.entries(NUMBERS)) {
		const value = numberOf(cut, path);
		if (value !== numberOf(DEFAULT_CUT, path)) search.set(key, short(value));
	}
	for (const [key, field] of Object.entries(WORK)) {
		if (work[field] !== usual[field]) search.set(key, short(work[field]));
	}
	if (shiftText(work) !== shiftText(usual)) search.set(SHIFT, shiftText(work));
	// Links of earlier programs told a groove by its sizes and a pattern by its arc alone.
	if (cut.gouge.asked) search.set(GROOVE, '1');
	else if (SIZES.some((key) => search.has(key))) search.set(GROOVE, '0');
	if (work.by !== usual.by || search.has('arc')) search.set(BY, work.by);
	return search.toString();
}

/** Reads a link. What does not fit is left at where a person starts, field by field. */
export function cutFromSearch(search: URLSearchParams, usual: Work): { cut: Cut; work: Work } {
	const cut: Cut = structuredClone(DEFAULT_CUT);
	const work = { ...usual };
	for (const word of WORDS) {
		const text = search.get(word);
		const parsed = v.safeParse(CutSchema.entries[word], text ?? undefined);
		if (text !== null && parsed.success) Object.assign(cut, { [word]: parsed.output });
	}
	cut.mesh = search.get('mesh') === '1';
	for (const [key, path] of Object.entries(NUMBERS)) {
		const text = search.get(key);
		if (text === null || text.trim() === '') continue;
		const value = Number(text);
		const attempt: Cut =
			path.length === 1
				? { ...cut, [path[0]]: value }
				: { ...cut, gouge: { ...cut.gouge, [path[1]]: value } };
		if (v.is(CutSchema, attempt)) Object.assign(cut, attempt);
	}
	for (const [key, field] of Object.entries(WORK)) {
		const text = search.get(key);
		if (text === null || text.trim() === '') continue;
		const attempt = { ...work, [field]: Number(text) };
		if (v.is(WorkSchema, attempt)) work[field] = attempt[field];
	}
	const groove = search.get(GROOVE);
	const sized = NUMBERS_OF_GROOVE.some((f) => cut.gouge[f] !== DEFAULT_CUT.gouge[f]);
	cut.gouge.asked = groove === null ? sized : groove === '1';
	const by = v.safeParse(WorkSchema.entries.by, search.get(BY) ?? undefined);
	if (search.has(BY)) work.by = by.success ? by.output : usual.by;
	else if (work.arcS !== usual.arcS) work.by = 'pattern';
	const shift = search.get(SHIFT);
	if (shift !== null) {
		const [hours, spellMin, breakMin] = shift.split('-').map(Number);
		const attempt = {
			...work,
			shift: shift === 'none' ? null : { hours, spellMin, breakMin }
		};
		if (v.is(WorkSchema, attempt)) work.shift = attempt.shift;
	}
	return { cut, work };
}
