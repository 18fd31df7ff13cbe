import { describe, expect, it } from 'vitest';
import { BAY_2, changed, inputsOf } from '../../../tests/support/inputs';
import { CAUSES } from '$lib/core/faults/read';
import { SIGNS, type Bench } from '$lib/core';
import { Workbench } from '$lib/state/workbench.svelte';
import { CAUSE_WORDS, correction, SIGN_WORDS } from './Read/words';

const workbench = (bench: Bench = BAY_2) =>
	new Workbench({
		...inputsOf({ bench }),
		benchId: 'b1',
		revision: 1,
		benches: [],
		settingsRevision: 0,
		partSet: null,
		log: [],
		measured: [],
		cards: [],
		units: 'metric'
	});

describe('what a reading says to do', () => {
	const seen = { heldMmS: 20, lagDeg: null };

	it('has a name and a way to look for every sign, and one correction for every cause', () => {
		for (const sign of SIGNS) expect(SIGN_WORDS[sign].look).toMatch(/\?$/);
		const said = CAUSES.map((cause) => correction(cause, workbench(), seen));
		expect(new Set(said).size).toBe(CAUSES.length);
		for (const [i, cause] of CAUSES.entries()) {
			expect(CAUSE_WORDS[cause].length).toBeGreaterThan(3);
			expect(said[i]!.length).toBeGreaterThan(10);
		}
	});

	it('gives the speed and the seconds for this line', () => {
		expect(correction('slow', workbench(), seen)).toBe('Go faster: 25 mm/s, 12 s for your line.');
		expect(correction('fast', workbench(), seen)).toBe('Go slower: 16 mm/s, 18.8 s for your line.');
	});

	it('speaks of the stand-off as this torch has it', () => {
		expect(correction('height', workbench(), seen)).toBe('Let the shield rest on the plate.');
		const bare = changed((b) => (b.torch.dragShield = false));
		expect(correction('height', workbench(bare), seen)).toBe('Come down to 1.5 mm.');
	});
});
