import { describe, expect, it } from 'vitest';
import { BAY_2, changed } from '../../../../tests/support/inputs';
import type { Bench } from '..';
import { STAGE_KINDS } from '../air/stages';
import { CARE_KINDS } from '../care/care';
import { caredFor } from './caredFor';

describe('what a bench has to be looked after', () => {
	const kindsOf = (change: (b: Bench) => unknown) => caredFor(changed(change).air);
	it('is all of it at a tank with trap, filter and gel; of a bottle and of its own air what is there', () => {
		expect(kindsOf(() => {})).toEqual([...CARE_KINDS]);
		for (const stages of [[], BAY_2.air.stages])
			expect(kindsOf((b) => Object.assign(b.air, { source: 'built-in', stages }))).toEqual([
				'filter',
				'rings',
				'clamp'
			]);
		expect(kindsOf((b) => (b.air.stages = []))).toEqual(['drain', 'rings', 'clamp', 'leak']);
		expect(
			kindsOf((b) => {
				b.air.source = 'bottle';
				b.air.stages = [];
			})
		).toEqual(['rings', 'clamp']);
	});
	it('has gel only with a dryer that holds some, and an element only where one clogs', () => {
		const stage = { where: 'cutter' as const, lossBar: 0.1, atLpm: 200, loaded: 0, gelG: null };
		const of = (kind: (typeof STAGE_KINDS)[number]) =>
			kindsOf((b) => (b.air.stages = [{ ...stage, kind }]));
		expect(STAGE_KINDS.filter((kind) => of(kind).includes('gel'))).toEqual(['desiccant']);
		expect(STAGE_KINDS.filter((kind) => of(kind).includes('filter'))).toEqual([
			'particulate',
			'coalescing',
			'cartridge'
		]);
	});
});
