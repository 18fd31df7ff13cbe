import { describe, expect, it } from 'vitest';
import { inputsOf } from '../../../../tests/support/inputs';
import { DEFAULT_CUT, type Cut } from '..';
import { grooveChoices } from './grooves';

const choices = (gouge: Partial<Cut['gouge']>) =>
	grooveChoices(inputsOf({}, { gouge: { ...DEFAULT_CUT.gouge, asked: true, ...gouge } })).choices;
const byId = (list: ReturnType<typeof choices>, id: string) =>
	list.find(({ ids }) => (ids as string[]).includes(id));

describe('the same groove made otherwise', () => {
	it('stands side by side: both angles, light strings, precise amps', () => {
		const list = choices({ target: 'fillet', legMm: 8, lengthMm: 420, plateMm: 12 });
		const full = byId(list, 'full')!;
		expect(full.change).toEqual({ outputA: null, way: 'deep', angleFromPlateDeg: 40 });
		expect(byId(list, 'steep')!.change.angleFromPlateDeg).toBe(45);
		expect(byId(list, 'light')!.strings!).toBeGreaterThan(full.strings!);
		const precise = byId(list, 'precise')!;
		expect(precise.outputA).toBe(25);
		expect(precise.pieceS!).toBeGreaterThan(full.pieceS!);
	});

	it('finds the amps that surely hold only where full amps do not', () => {
		const one = { target: 'fillet', legMm: 8, lengthMm: 420, plateMm: 12 } as const;
		expect(byId(choices(one), 'held')).toBeUndefined();
		const many = choices({ ...one, pieces: 12 });
		expect(byId(many, 'full')!.verdict).toBe('stops');
		const held = byId(many, 'held')!;
		expect(held.verdict).toBe('holds');
		expect(held.outputA).toBeLessThan(byId(many, 'full')!.outputA);
	});

	it('names none for a spot, or where nobody asked', () => {
		expect(choices({ target: 'dimple', widthMm: 6, depthMm: 2 })).toEqual([]);
		expect(choices({ asked: false })).toEqual([]);
	});
});
