/** Reads the planned cut from the query string of a link. */
import * as v from 'valibot';
import { CutSchema, DEFAULT_CUT, WorkSchema, type Cut, type Work } from '$lib/core';
import { BY, GROOVE, GROOVE_WORDS, NUMBERS, SHIFT, SIZES, WORDS, WORK } from './cutSearch';

const NUMBERS_OF_GROOVE = SIZES.map((key) => NUMBERS[key][1]);

/** What does not fit is left at where a person starts, field by field. */
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
	for (const [key, field] of Object.entries(GROOVE_WORDS)) {
		const attempt = { ...cut, gouge: { ...cut.gouge, [field]: search.get(key) } };
		if (search.has(key) && v.is(CutSchema, attempt)) Object.assign(cut, attempt);
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
