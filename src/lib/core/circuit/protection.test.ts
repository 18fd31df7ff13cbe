import { describe, expect, it } from 'vitest';
import { ampacityA, areaMm2Of, conductorsFor } from './conductors';
import { cordGuard, cordsBehind, tradeCord, wireGuard } from './protection';

const cord = (
	system: 'north-america' | 'iec',
	size: Parameters<typeof cordGuard>[0]['size'],
	deviceA: number
) => cordGuard({ system, size, kind: 'made-up', labelA: null, deviceA });

describe('a cord behind the device nearest in front of it', () => {
	it('is never lawful behind more than it carries, but for the exceptions that are named', () => {
		for (const system of ['north-america', 'iec'] as const) {
			for (const size of conductorsFor(system)) {
				for (let deviceA = 6; deviceA <= 100; deviceA++) {
					const { verdict, deviceMostA } = cord(system, size, deviceA);
					if (verdict === 'lawful') {
						expect(ampacityA(size, 'cord', 'clipped')).toBeGreaterThanOrEqual(deviceA);
					}
					expect(verdict === 'not protected').toBe(deviceA > deviceMostA);
				}
			}
		}
	});

	it('is not protected by a bigger device when it is not by a smaller one; thicker never gets worse', () => {
		const rank = { lawful: 0, thin: 1, 'not protected': 2 };
		for (const system of ['north-america', 'iec'] as const) {
			const sizes = conductorsFor(system);
			for (let deviceA = 6; deviceA < 100; deviceA++) {
				for (const [i, size] of sizes.entries()) {
					const here = rank[cord(system, size, deviceA).verdict];
					expect(rank[cord(system, size, deviceA + 1).verdict]).toBeGreaterThanOrEqual(here);
					const thicker = sizes[i + 1];
					if (thicker) {
						expect(rank[cord(system, thicker, deviceA).verdict]).toBeLessThanOrEqual(here);
					}
				}
			}
		}
	});

	it('goes by the label of a listed set, and is thin where the trade takes more', () => {
		const set = (labelA: number, deviceA: number) =>
			cordGuard({ system: 'north-america', size: 'awg-14', kind: 'listed', labelA, deviceA })
				.verdict;
		expect(set(15, 15)).toBe('lawful');
		expect(set(20, 20)).toBe('thin');
		expect(set(15, 20)).toBe('not protected');
	});

	it('is offered only where it is lawful, thinnest first', () => {
		for (const deviceA of [10, 13, 16, 20, 25, 32, 40, 63]) {
			const [first] = cordsBehind('iec', deviceA);
			expect(cord('iec', first!, deviceA).verdict).toBe('lawful');
			expect(areaMm2Of(first!)).toBeGreaterThanOrEqual(
				areaMm2Of(tradeCord('iec', deviceA)!) * 0.99
			);
		}
	});
});

describe('a wire in the wall', () => {
	const wire = (over: Partial<Parameters<typeof wireGuard>[0]>) =>
		wireGuard({
			system: 'north-america',
			size: 'awg-12',
			method: 'conduit',
			deviceA: 20,
			machineOnly: null,
			...over
		}).verdict;

	it('goes around the small-conductor rule only for a machine alone on it, within 630.12 and 630.11', () => {
		const machineOnly = { inputMaxA: 24, neededA: 14 };
		expect(wire({})).toBe('lawful');
		expect(wire({ deviceA: 30 })).toBe('not protected');
		expect(wire({ deviceA: 30, machineOnly })).toBe('thin');
		expect(wire({ deviceA: 60, machineOnly })).toBe('not protected');
		expect(wire({ deviceA: 30, machineOnly: { ...machineOnly, neededA: 21 } })).toBe(
			'not protected'
		);
	});

	it('is held there by the machine, twice its largest current, or by the wire, twice what it carries', () => {
		// 12 AWG carries 25 A at 75 °C (NEC 310.16): 50. Twice 12 A is 24: the next standard size is 25.
		const alone = (inputMaxA: number, deviceA: number) =>
			wire({ deviceA, machineOnly: { inputMaxA, neededA: 14 } });
		expect([25, 30].map((a) => alone(12, a))).toEqual(['thin', 'not protected']);
		expect([50, 60].map((a) => alone(40, a))).toEqual(['thin', 'not protected']);
		// A machine past the table's largest device leaves it to the wire.
		expect([50, 60].map((a) => alone(60, a))).toEqual(['thin', 'not protected']);
	});

	it('has no way around it under IEC rules', () => {
		const iec = { system: 'iec' as const, size: 'mm2-2.5' as const, method: 'clipped' as const };
		expect(wire({ ...iec, deviceA: 25 })).toBe('lawful');
		expect(wire({ ...iec, deviceA: 32, machineOnly: { inputMaxA: 29, neededA: 10 } })).toBe(
			'not protected'
		);
	});
});

it('thin cords stand on the list only where they are asked for, and are not lawful then', () => {
	for (const system of ['north-america', 'iec'] as const)
		for (const deviceA of [15, 16, 20, 30, 32, 50]) {
			const lawful = cordsBehind(system, deviceA);
			const all = cordsBehind(system, deviceA, true);
			for (const size of lawful) expect(all).toContain(size);
			for (const size of all)
				expect(cord(system, size, deviceA).verdict).toBe(lawful.includes(size) ? 'lawful' : 'thin');
		}
	expect(cordsBehind('north-america', 50, true).length).toBeGreaterThan(
		cordsBehind('north-america', 50).length
	);
});
