import { describe, expect, it } from 'vitest';
import { BAY_2, changed, inputsOf } from '../../../tests/support/inputs';
import { CAUSES } from '$lib/core/faults/read';
import { SIGNS, type Bench, type Cut, type NextCut } from '$lib/core';
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
		// As the card says, which a hand follows.
		handMmS: over.afterMmS === undefined ? 22 : over.afterMmS,
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
		// Bay 2 stands at full amps; a bench with more to give is told to take it.
		expect(correction('fast', workbench(), none)).not.toContain('turn up');
		const more = new Workbench({
			...inputsOf({}, { school: 'typed', typedA: 30 }),
			...UNTOUCHED
		});
		expect(correction('fast', more, none)).toContain('turn up');
		expect(correction('few-amps', more, low)).toMatch(/^Turn up from 30 A/);
		expect(correction('few-amps', workbench(), low)).toMatch(/^45 A is all that it gives here/);
	});

	it('in sheet asks no hand for more than it has, but for fewer amps', () => {
		const sheet = next({ afterMmS: 180, handMmS: 50, lineS: 6 });
		const at = (typedA: number, guide: Cut['guide'] = 'kept') =>
			correction(
				'slow',
				new Workbench({ ...inputsOf({}, { school: 'typed', typedA, guide }), ...UNTOUCHED }),
				{ heldMmS: 50, next: sheet }
			);
		expect(at(45)).toBe(
			'A hand goes no faster than 50 mm/s: turn down, or knock the dross off while it is warm.'
		);
		expect(at(45, 'freehand')).toContain('or go along a guide');
		expect(at(BAY_2.cutter.outputMinA)).not.toContain('turn down');
		// Who went slower than a hand can is told how fast one goes.
		expect(correction('slow', workbench(), { heldMmS: 30, next: sheet })).toMatch(
			/^Go faster: 50 mm\/s, 6 s for your line/
		);
		expect(correction('fast', workbench(), { heldMmS: 60, next: sheet })).toMatch(
			/^Go slower: 50 mm\/s/
		);
	});

	it('of air and power: only what this bench has', () => {
		const air = (change: (b: Bench) => void, of: 'air' | 'power' = 'air') =>
			correction(of, workbench(changed(change)), seen);
		const named = (text: string) =>
			['tank', 'gel', 'bottle', 'intake', 'set '].filter((word) => text.includes(word));
		expect(named(air(() => {}))).toEqual(['tank', 'gel', 'set ']);
		expect(named(air((b) => (b.air.stages = [])))).toEqual(['tank', 'set ']);
		expect(named(air((b) => (b.air.source = 'bottle')))).toEqual(['bottle', 'set ']);
		expect(named(air((b) => (b.air.source = 'built-in')))).toEqual(['intake']);
		for (const source of ['compressor', 'bottle', 'built-in'] as const)
			expect(air((b) => (b.air.source = source))).not.toMatch(/–|undefined|null/);
		expect(air(() => {}, 'power')).toContain('cord');
		expect(air((b) => (b.supply.cord = null), 'power')).not.toContain('cord');
	});

	it('speaks of the stand-off as this torch has it', () => {
		expect(correction('height', workbench(), seen)).toBe('Let the shield rest on the plate.');
		const bare = changed((b) => (b.torch.dragShield = false));
		expect(correction('height', workbench(bare), seen)).toBe('Come down to 1.5 mm.');
	});
});
