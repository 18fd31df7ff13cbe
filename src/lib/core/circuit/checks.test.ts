import { describe, expect, it } from 'vitest';
import { changed, inputsOf } from '../../../../tests/support/inputs';
import { typicalBench } from '../answers/typical';
import type { Bench } from '../inputs/bench';
import { plan } from '../plan/plan';
import { said } from '../plan/said';

describe('volts', () => {
	const at = (nominalV: number) => {
		const { checks, figures } = plan(
			inputsOf({ bench: changed((b) => (b.supply.nominalV = nominalV)) })
		);
		return { check: checks.find(({ part }) => part === 'Volts')!, figures };
	};
	// By hand: 230 V and ten per cent either way is 207 to 253 V, 23 V to either side.
	it('that stand too high idle are told as high, with what is left below 253 V', () => {
		const { check, figures } = at(252);
		const sharedV = figures['supply.sharedV'].value!;
		expect(check).toMatchObject({ id: 'supply.sharedV', word: 'high volts', verdict: 'tight' });
		expect(check.spare.value).toBeCloseTo(253 - sharedV, 6);
		expect(check.margin).toBeCloseTo((253 - sharedV) / 23, 6);
		expect(at(262).check).toMatchObject({ word: 'high volts', verdict: 'stops', stopsAtS: 0 });
	});
	it('that sag are told as low, with what is left above 207 V', () => {
		const { check, figures } = at(225);
		expect(check).toMatchObject({ id: 'supply.voltageV', word: 'low volts' });
		expect(check.spare.value).toBeCloseTo(figures['supply.voltageV'].value! - 207, 6);
	});
});

describe('the ampacity at duty of a North American circuit', () => {
	const told = (bench: Bench) =>
		said(inputsOf({ bench })).findings.some(({ text }) =>
			text.startsWith('At the plate’s duty the wire should carry')
		);
	/** A hungry machine on this wire. */
	const on = (size: Bench['supply']['wire']['size'], bench: Bench) =>
		changed((b) => {
			b.supply.wire.size = size;
			b.cutter.inputs[0]!.inputMaxA = 40;
		}, bench);
	it('is asked of a wire that is too thin for it, and of no other', () => {
		const shop = typicalBench('north-america');
		expect(told(on('awg-12', shop))).toBe(true);
		expect(told(on('awg-6', shop))).toBe(false);
		// NEC article 630 is no rule elsewhere.
		expect(told(on('mm2-1.5', typicalBench('iec')))).toBe(false);
	});
});
