import fc from 'fast-check';
import { GOUGE_WAYS } from '$lib/core/gouge/inputs';
import { TARGETS } from '$lib/core/gouge/targets';
import { describe, expect, it } from 'vitest';
import { BAY_2, TROLLEY } from '../../../scripts/demo/benches';
import {
	DEFAULT_CUT,
	METAL_IDS,
	type Cut,
	type Work,
	AIMS,
	COATINGS,
	GUIDES,
	SCHOOLS,
	STARTS
} from '$lib/core';
import { benchFile, benchFileName, readBenchFile } from './benchFile';
import { searchFromCut } from './cutSearch';
import { cutFromSearch } from './readSearch';
import { REGIONS, typicalBench } from '$lib/core/answers/typical';

const usual: Work = BAY_2.usual;
const milli = (min: number, max: number) =>
	fc.integer({ min: min * 1000, max: max * 1000 }).map((n) => n / 1000);
const anyCut: fc.Arbitrary<Cut> = fc.record({
	metal: fc.constantFrom(...METAL_IDS),
	thicknessMm: milli(1, 100),
	layers: fc.integer({ min: 1, max: 10 }),
	bevelDeg: milli(0, 60),
	mesh: fc.boolean(),
	coating: fc.constantFrom(...COATINGS),
	backCoating: fc.constantFrom(...COATINGS),
	aim: fc.constantFrom(...AIMS),
	school: fc.constantFrom(...SCHOOLS),
	typedA: milli(5, 500),
	lengthMm: milli(10, 20000),
	guide: fc.constantFrom(...GUIDES),
	circleOf: fc.constantFrom('hole' as const, 'disc' as const),
	circleMm: milli(10, 5000),
	start: fc.constantFrom(...STARTS),
	gouge: fc.record({
		asked: fc.boolean(),
		depthMm: milli(1, 40),
		widthMm: milli(1, 40),
		target: fc.constantFrom(...TARGETS),
		legMm: milli(2, 30),
		upLegMm: fc.option(milli(2, 30)),
		rootRadiusMm: milli(2, 15),
		metal: fc.option(fc.constantFrom(...METAL_IDS)),
		plateMm: fc.option(milli(1, 200)),
		lengthMm: fc.option(milli(1, 20000)),
		pieces: fc.integer({ min: 1, max: 500 }),
		grindMm: fc.option(milli(0, 5)),
		keepMm: fc.option(milli(0, 100)),
		outputA: fc.option(milli(5, 500)),
		way: fc.constantFrom(...GOUGE_WAYS),
		angleFromPlateDeg: milli(20, 60)
	})
});

describe('a cut in the address', () => {
	it('comes back as it was', () => {
		fc.assert(
			fc.property(
				anyCut,
				milli(1, 3600),
				milli(0, 3600),
				fc.boolean(),
				(cut, arcS, restS, shift) => {
					const work = {
						by: shift ? ('cut' as const) : ('pattern' as const),
						arcS,
						restS,
						shopC: 12,
						humidity: 0.8,
						cuts: 7,
						shift: shift ? { hours: 7.5, spellMin: 110, breakMin: 15 } : null
					};
					const back = cutFromSearch(
						new URLSearchParams(searchFromCut(cut, work, usual, 'b')),
						usual
					);
					expect(back).toEqual({ cut, work });
				}
			)
		);
	});

	it('is short where a person starts, and leaves what does not fit at the start', () => {
		expect(searchFromCut(DEFAULT_CUT as Cut, usual, usual, 'b')).toBe('bench=b');
		const hostile = new URLSearchParams(
			'metal=__proto__&t=NaN&a=-1&len=1e999&gd=x&arc=0&school=&aim=clean'
		);
		expect(cutFromSearch(hostile, usual)).toEqual({ cut: DEFAULT_CUT, work: usual });
	});
});

describe('a bench file', () => {
	it.each([BAY_2, TROLLEY, ...REGIONS.map(typicalBench)].map((b) => [b.name, b] as const))(
		'round trip: %s',
		(_, bench) => {
			expect(readBenchFile(JSON.stringify(benchFile(bench)))).toEqual({ ok: true, bench });
		}
	);

	it('has a name that every system takes', () => {
		expect(benchFileName({ ...BAY_2, name: '../Bay №2: <é>' })).toBe('bay-no2-e.bench.json');
		expect(benchFileName({ ...BAY_2, name: '…' })).toBe('bench.bench.json');
	});

	it('is refused without being taken half, whatever it holds', () => {
		fc.assert(
			fc.property(fc.json(), (text) => {
				const result = readBenchFile(text);
				expect(result.ok).toBe(false);
				if (!result.ok) expect(result.problem.message.length).toBeGreaterThan(10);
			})
		);
	});
});
