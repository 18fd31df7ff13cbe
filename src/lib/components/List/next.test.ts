import { describe, expect, it } from 'vitest';
import { breakBefore, restBefore, thenWords } from './next';
import type { ListRun } from '$lib/core/studies/list/runTypes';

const run = (over: object) => ({ rests: [], breaks: [], ...over }) as unknown as ListRun;
const REST = { id: 'a', piece: 1, restS: 40, atS: 0, because: 'air' } as const;
const BREAK = { id: 'a', piece: 1, fromS: 0, onAtS: 900, breakS: 900, night: false, doneBefore: 0 };

describe('before the next piece', () => {
	it('a rest is told only when it stands before that very piece', () => {
		expect(restBefore(run({ rests: [REST] }), 'a')).toEqual(REST);
		expect(restBefore(run({ rests: [{ ...REST, piece: 2 }] }), 'a')).toBeUndefined();
		expect(restBefore(run({ rests: [REST] }), 'b')).toBeUndefined();
		expect(restBefore(run({ rests: [{ ...REST, id: 'b' }, REST] }), 'a')).toBeUndefined();
		for (const none of [null, undefined, { trouble: 'ring' as const, items: ['a'] }])
			expect([restBefore(none, 'a'), breakBefore(none, 'a')]).toEqual([undefined, undefined]);
	});
	it('and a break likewise, not one that comes after pieces that are still to be made', () => {
		expect(breakBefore(run({ breaks: [BREAK] }), 'a')).toEqual(BREAK);
		expect(breakBefore(run({ breaks: [{ ...BREAK, doneBefore: 2 }] }), 'a')).toBeUndefined();
		expect(breakBefore(run({ breaks: [BREAK] }), 'b')).toBeUndefined();
	});
	it('what comes after it says when the power goes off, and for which parts', () => {
		const amps = (a: number) => `${a} A`;
		const next = (set: string) => ({ name: 'Straps', plan: { set, nozzleA: 45 } });
		expect(thenWords({ set: 'cut 45' }, undefined, amps)).toBe('nothing: it is the last.');
		expect(thenWords({ set: 'cut 45' }, next('cut 45'), amps)).toBe('Straps, same parts.');
		expect(thenWords({ set: 'cut 30' }, next('cut 45'), amps)).toBe(
			'Straps: power off first, cutting parts for 45 A in.'
		);
		expect(thenWords({ set: 'cut 45' }, next('gouge 45'), amps)).toContain('gouging parts');
	});
});
