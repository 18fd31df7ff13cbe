/** Gouging on eight very different benches: what a practitioner expects, and a sweep for cliffs and contradictions. */
import { describe, expect, it } from 'vitest';
import { DEFAULT_CUT, METAL_IDS, type Bench, type Cut } from '../../src/lib/core';
import { GROOVE_ANGLE_DEG } from '../../src/lib/core/gouge/removal';
import { isLight, isSpot, TARGETS } from '../../src/lib/core/gouge/targets';
import { spokenPlan } from '../../src/lib/core/plan/said';
import { EIGHT } from '../support/eight';
import { inputsOf } from '../support/inputs';

const bench = (word: string) => EIGHT.find(({ name }) => name.includes(word))!;
const asked = (b: Bench, gouge: Partial<Cut['gouge']>) =>
	spokenPlan(
		inputsOf(
			{ bench: b },
			{ gouge: { ...DEFAULT_CUT.gouge, asked: true, plateMm: 12, lengthMm: 300, ...gouge } }
		)
	);
const told = (plan: ReturnType<typeof asked>) =>
	plan.findings
		.filter(({ station }) => station === 'gouge')
		.map(({ text }) => text)
		.join(' ');

describe.each(EIGHT.map((b) => [b.name, b] as const))('%s', (_, b) => {
	const has = b.torch.nozzles.some(({ kind }) => kind === 'gouge');
	it('answers every target in every metal with a whole answer, or says no with a reason and no number', () => {
		for (const metal of METAL_IDS) {
			for (const target of TARGETS) {
				const size = isLight(target)
					? { widthMm: isSpot(target) ? 8 : 3, depthMm: isSpot(target) ? 3 : 1 }
					: { widthMm: 10, depthMm: 3, legMm: 6 };
				const plan = asked(b, { target, metal, ...size });
				const { figures, stations, groove } = plan;
				const [strings, pieceS] = [figures['gouge.strings'].value, figures['gouge.pieceS'].value];
				const where = `${b.name}, ${metal}, ${target}`;
				if (!has && !isLight(target)) {
					expect(stations.gouge.word, where).toBe('no gouging nozzle');
					expect(pieceS, where).toBeNull();
					continue;
				}
				expect(strings === null, where).toBe(pieceS === null);
				expect(told(plan).length, where).toBeGreaterThan(10);
				if (strings === null) {
					expect(stations.gouge.verdict, where).toBe('stops');
					continue;
				}
				expect(strings, where).toBeGreaterThan(0);
				expect(pieceS!, where).toBeGreaterThan(0);
				expect(figures['gouge.slagG'].value!, where).toBeGreaterThan(0);
				if (isSpot(target)) continue;
				// Seconds, travel and length agree on every string; the card and the drawing tell the same.
				expect(groove!.strings, where).toHaveLength(strings);
				const sum = groove!.stringS.reduce((total, s) => total + s, 0);
				expect(sum, where).toBeCloseTo(pieceS!, 6);
				expect(figures['gouge.speedMmS'].value!, where).toBeGreaterThan(5.9);
				expect(figures['gouge.leftMm'].value!, where).toBeGreaterThanOrEqual(
					isLight(target) || target === 'groove' || target === 'crack' || target === 'back'
						? figures['gouge.keepMm'].value! - 0.05
						: 0
				);
			}
		}
	});

	it('never asks more amps than the nozzle bears, nor fewer than the cutter gives', () => {
		for (const target of TARGETS) {
			const { figures } = asked(b, { target, widthMm: 8, depthMm: 2 });
			const amps = figures['gouge.currentA'].value!;
			expect(amps).toBeGreaterThanOrEqual(Math.floor(b.cutter.outputMinA));
			const ratings = b.torch.nozzles
				.filter(({ kind }) => kind === (has ? 'gouge' : 'cut'))
				.map(({ ratingA }) => ratingA);
			expect(amps).toBeLessThanOrEqual(Math.max(...ratings));
		}
	});
});

describe('what a practitioner expects', () => {
	it('no strings are composed that the bore then finds too wide, unless a test groove says so', () => {
		for (const b of EIGHT) {
			for (const target of ['groove', 'fillet', 'butt', 'back', 'facing'] as const)
				for (const widthMm of [8, 12, 16, 24])
					for (const depthMm of [2, 4]) {
						const size = { widthMm, depthMm, legMm: widthMm / 2, upLegMm: widthMm / 1.5 };
						const { checks } = asked(b, { target, ...size, plateMm: 20 });
						const bore = checks.find(({ id }) => id === 'gouge.widestMm');
						expect(bore?.verdict ?? 'holds', `${b.name} ${target} ${widthMm}`).toBe('holds');
					}
		}
	});

	it('45 A on a 32 A socket: 40°, full amps for width, the 25 A precision nozzle for spots and marks', () => {
		const b = bench('32 A socket');
		const full = asked(b, {});
		expect(full.figures['gouge.currentA'].value).toBe(45);
		expect(full.figures['gouge.strings'].value).toBe(1);
		for (const target of ['dimple', 'mark', 'tack'] as const) {
			const amps = asked(b, { target, widthMm: 5, depthMm: 1.2 }).figures['gouge.currentA'].value!;
			expect(amps, target).toBeLessThanOrEqual(25);
		}
	});

	it('125 A: a fillet of 12 mm in few strings; one of 4 mm is too little metal for full amps, and turned down', () => {
		const b = bench('125 A');
		const big = asked(b, { target: 'fillet', legMm: 12, plateMm: 20 });
		expect(big.figures['gouge.strings'].value!).toBeLessThanOrEqual(3);
		const small = asked(b, { target: 'fillet', legMm: 4 });
		expect(small.figures['gouge.currentA'].value!).toBeLessThan(70);
		expect(small.figures['gouge.strings'].value).toBe(1);
		expect(told(small)).toContain('turned down');
	});

	it('30 A machines with ordinary parts do tacks and spots, no grooves', () => {
		for (const word of ['30 A dual', 'built-in']) {
			const b = bench(word);
			expect(asked(b, {}).stations.gouge.word).toBe('no gouging nozzle');
			expect(
				asked(b, { target: 'tack', widthMm: 8, depthMm: 3 }).figures['gouge.stringS'].value!
			).toBeLessThan(5);
		}
	});

	it('more weld takes longer and more strings, never the other way', () => {
		const b = bench('32 A socket');
		let [before, strings] = [0, 0];
		for (let legMm = 4; legMm <= 14; legMm += 1) {
			const { figures } = asked(b, { target: 'fillet', legMm, plateMm: 20, outputA: 45 });
			const pieceS = figures['gouge.pieceS'].value!;
			expect(pieceS, `${legMm} mm`).toBeGreaterThan(before);
			expect(figures['gouge.strings'].value!, `${legMm} mm`).toBeGreaterThanOrEqual(strings - 1);
			before = pieceS;
			strings = figures['gouge.strings'].value!;
		}
	});

	it('takes about the seconds that the metal needs: 8 mm fillet, 300 mm, the trade’s 335 s a metre at 3.1 kg/h', () => {
		const { figures } = asked(bench('32 A socket'), {
			target: 'fillet',
			legMm: 8,
			outputA: 45
		});
		const perMetreS = figures['gouge.pieceS'].value! / 0.3;
		// Of the 36.8 mm² the grinder gets a part.
		const share = figures['gouge.areaMm2'].value! / 36.8;
		const wholeS = (335 * 3.1) / figures['gouge.removalKgH'].value!;
		expect(share).toBeGreaterThan(0.7);
		expect(share).toBeLessThan(1);
		expect(perMetreS / (share * wholeS)).toBeCloseTo(1, 2);
	});

	it('refuses angles off the trade’s on every bench that gouges', () => {
		for (const b of EIGHT.filter(({ torch }) => torch.nozzles.some((n) => n.kind === 'gouge'))) {
			for (const angleFromPlateDeg of [20, 29, 51, 60]) {
				const { stations } = asked(b, { angleFromPlateDeg });
				expect(stations.gouge, b.name).toMatchObject({ verdict: 'stops', word: 'torch angle' });
			}
			for (const angleFromPlateDeg of GROOVE_ANGLE_DEG) {
				expect(asked(b, { angleFromPlateDeg }).stations.gouge.word).not.toBe('torch angle');
			}
		}
	});
});
