/**
 * The planned cut as a query string: reload, back, bookmark and sharing keep it. Reading one needs the
 * schemas and stands apart, in readSearch.ts.
 */
import { DEFAULT_CUT, type Cut, type Work } from '$lib/core';

export const NUMBERS = {
	t: ['thicknessMm'],
	layers: ['layers'],
	bevel: ['bevelDeg'],
	a: ['typedA'],
	len: ['lengthMm'],
	dia: ['circleMm'],
	gd: ['gouge', 'depthMm'],
	gw: ['gouge', 'widthMm'],
	gz: ['gouge', 'legMm'],
	gu: ['gouge', 'upLegMm'],
	gr: ['gouge', 'rootRadiusMm'],
	gt: ['gouge', 'plateMm'],
	gl: ['gouge', 'lengthMm'],
	gn: ['gouge', 'pieces'],
	gg: ['gouge', 'grindMm'],
	gk: ['gouge', 'keepMm'],
	gi: ['gouge', 'outputA'],
	ga: ['gouge', 'angleFromPlateDeg']
} as const;
export const WORDS = [
	'metal',
	'aim',
	'school',
	'guide',
	'circleOf',
	'start',
	'coating',
	'backCoating'
] as const;
/** Of the groove; a metal that is not told is the cut’s. */
export const GROOVE_WORDS = { gx: 'target', gm: 'metal', gy: 'way' } as const;
export const WORK = {
	arc: 'arcS',
	rest: 'restS',
	shop: 'shopC',
	hum: 'humidity',
	n: 'cuts'
} as const;
/** Hours, spell and break of a shift: "8-110-15"; "none" over a usual shift. */
export const SHIFT = 'shift';

/** A groove is asked for; what the work goes by. */
export const GROOVE = 'groove';
export const SIZES = ['gd', 'gw', 'ga'] as const;
export const BY = 'work';

/** Numbers in links are the core's, to a thousandth. */
const short = (value: number) => String(Math.round(value * 1000) / 1000);

function numberOf(cut: Cut, path: (typeof NUMBERS)[keyof typeof NUMBERS]): number | null {
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
		if (value !== null && value !== numberOf(DEFAULT_CUT, path)) search.set(key, short(value));
	}
	for (const [key, field] of Object.entries(WORK)) {
		if (work[field] !== usual[field]) search.set(key, short(work[field]));
	}
	for (const [key, field] of Object.entries(GROOVE_WORDS)) {
		const word = cut.gouge[field];
		if (word !== null && word !== DEFAULT_CUT.gouge[field]) search.set(key, word);
	}
	if (shiftText(work) !== shiftText(usual)) search.set(SHIFT, shiftText(work));
	// Links of earlier programs told a groove by its sizes and a pattern by its arc alone.
	if (cut.gouge.asked) search.set(GROOVE, '1');
	else if (SIZES.some((key) => search.has(key))) search.set(GROOVE, '0');
	if (work.by !== usual.by || search.has('arc')) search.set(BY, work.by);
	return search.toString();
}
