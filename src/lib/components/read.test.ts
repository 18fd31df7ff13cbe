import { describe, expect, it } from 'vitest';
import { BAY_2, changed, inputsOf } from '../../../tests/support/inputs';
import { CAUSES } from '$lib/core/faults/read';
import { SIGNS, type Bench, type NextCut } from '$lib/core';
import { UNTOUCHED } from '../../../tests/support/workbench';
import { Workbench } from '$lib/state/workbench.svelte';
import { CAUSE_WORDS, correction, SIGN_WORDS, whyMoved } from './Read/words';

const workbench = (bench: Bench = BAY_2) =>
	new Workbench({
		...inputsOf({ bench }),
		...UNTOUCHED
	});

describe('what a reading says to do', () => {
	const next = (over: Partial<NextCut> = {}): NextCut => ({
		beforeMmS: 22,
		afterMmS: 22,
		beforeLineS: 13.6,
		lineS: 13.6,
		aloneMmS: null,
		share: null,
		...over
	});
	const seen = { heldMmS: 20, next: next() };

	it('has a name and a way to look for every sign, and one correction for every cause', () => {
		for (const sign of SIGNS) expect(SIGN_WORDS[sign].look).toMatch(/\?$/);
		const said = CAUSES.map((cause) => correction(cause, workbench(), seen));
		expect(new Set(said).size).toBe(CAUSES.length);
		for (const [i, cause] of CAUSES.entries()) {
			expect(CAUSE_WORDS[cause].length).toBeGreaterThan(3);
			expect(said[i]!.length).toBeGreaterThan(10);
		}
	});

	it('gives the speed that the card will say, its seconds, and the old one beside it', () => {
		const faster = { heldMmS: 20, next: next({ afterMmS: 25, lineS: 12 }) };
		expect(correction('slow', workbench(), faster)).toBe(
			'Go faster: 25 mm/s, 12 s for your line, not 13.6 s.'
		);
		const slower = next({ afterMmS: 19, lineS: 15.8, aloneMmS: 13.4, share: 0.3 });
		expect(correction('fast', workbench(), { heldMmS: 22, next: slower })).toBe(
			'Go slower: 19 mm/s, 15.8 s for your line, not 13.6 s.'
		);
		expect(whyMoved(slower, workbench())).toBe(
			'Taken as a test cut, the card goes from 22 mm/s to 19 mm/s. This reading alone would say 13 mm/s; against label, chart and earlier cuts it counts for 30 %.'
		);
		expect(whyMoved(next(), workbench())).toContain('stays at 22 mm/s');
	});

	it('leaves out a speed that reads as the one held', () => {
		const hardly = next({ afterMmS: 21.9, lineS: 13.7 });
		expect(correction('fast', workbench(), { heldMmS: 22, next: hardly })).toBe(
			'Go a little slower: 13.7 s for your line, not 13.6 s.'
		);
	});

	it('never says faster to a slower number', () => {
		const low = { heldMmS: 30, next: next({ afterMmS: 26 }) };
		expect(correction('slow', workbench(), low)).toMatch(/^Hold what the card then says: 26 mm\/s/);
		const none = { heldMmS: 30, next: next({ afterMmS: null, lineS: null }) };
		expect(correction('fast', workbench(), none)).toContain('turn up');
	});

	it('speaks of the stand-off as this torch has it', () => {
		expect(correction('height', workbench(), seen)).toBe('Let the shield rest on the plate.');
		const bare = changed((b) => (b.torch.dragShield = false));
		expect(correction('height', workbench(bare), seen)).toBe('Come down to 1.5 mm.');
	});
});
