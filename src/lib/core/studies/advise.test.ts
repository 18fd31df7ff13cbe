import { describe, expect, it } from 'vitest';
import { changed, inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import { someOf } from '../../../../tests/support/part';
import { AIMS, plan, type Cut, type PlanInputs } from '..';
import { advise } from './advise';
import { HAND_BAND_MM_S } from '../speed/speed';
import { warpRisk } from '../cut/heat';

const of = (inputs: PlanInputs, aim: Cut['aim']) => advise(inputs).find((a) => a.aim === aim)!;

describe('the best amps for an aim', () => {
	it('answers for every aim, and what it says the plan says too', () => {
		const inputs = inputsOf();
		const all = advise(inputs);
		expect(all.map((a) => a.aim)).toEqual(AIMS);
		for (const { aim, outputA, speedMmS, supply, nozzleA } of all) {
			const planned = plan({
				...inputs,
				cut: { ...inputs.cut, aim, school: 'typed', typedA: outputA! }
			});
			expect(planned.figures['setup.handMmS'].value, aim).toBeCloseTo(speedMmS!, 9);
			expect(planned.figures['setup.nozzleA'].value, aim).toBe(nozzleA);
			expect(planned.stations.supply.verdict, aim).toBe(supply);
		}
	});

	it('is not beaten by any whole amps that hold: fastest and steadiest, tried one by one', () => {
		const inputs = inputsOf();
		for (const typedA of someOf(Array.from({ length: 26 }, (_, k) => 20 + k))) {
			for (const aim of ['fastest', 'easiest'] as const) {
				const p = plan({ ...inputs, cut: { ...inputs.cut, aim, school: 'typed', typedA } });
				const speed = p.figures['setup.speedMmS'].value!;
				if (p.stations.supply.verdict !== 'holds' || !(speed > 0) || speed > 50) continue;
				if (p.checks.find((c) => c.part === 'Thickness')!.verdict === 'stops') continue;
				const best = of(inputs, aim).speedMmS!;
				if (aim === 'fastest') expect(best).toBeGreaterThanOrEqual(speed - 1e-9);
				else {
					const off = (v: number) => Math.abs(Math.log(v / Math.sqrt(5 * 30)));
					expect(off(best)).toBeLessThanOrEqual(off(speed) + 1e-9);
				}
			}
		}
	});

	it('takes full amps for the fastest on plate, and less on sheet where the hand is the limit', () => {
		expect(of(inputsOf(), 'fastest')).toMatchObject({ outputA: 45, reason: 'full' });
		const thin = of(inputsOf({}, { thicknessMm: 1.5, guide: 'freehand' }), 'fastest');
		expect(thin.outputA).toBeLessThan(45);
		expect(thin.reason).toBe('thin');
		expect(thin.speedMmS).toBeLessThanOrEqual(HAND_BAND_MM_S[1]);
	});

	it('goes before what the supply carries only when nothing holds', () => {
		for (const { supply } of advise(inputsOf({ bench: TROLLEY }, { thicknessMm: 3 })))
			expect(['holds', 'tight']).toContain(supply);
		const hopeless = changed(
			(b) => (b.supply.wire = { size: 'mm2-1', lengthM: 400, method: 'conduit' })
		);
		expect(of(inputsOf({ bench: hopeless }), 'clean')).toMatchObject({
			outputA: null,
			reason: 'none'
		});
	});

	it('has an answer for every aim on thin sheet, and the fastest is never slower than clean', () => {
		for (const thicknessMm of someOf([0.5, 1, 2, 3, 6, 10])) {
			for (const guide of ['kept', 'freehand'] as const) {
				const inputs = inputsOf({}, { thicknessMm, guide });
				const speed = (aim: Cut['aim']) => of(inputs, aim).speedMmS!;
				for (const aim of AIMS)
					expect(of(inputs, aim).outputA, `${aim} ${thicknessMm}`).not.toBeNull();
				expect(speed('fastest')).toBeGreaterThanOrEqual(speed('clean') - 1e-9);
				expect(speed('sever')).toBeGreaterThanOrEqual(speed('clean') - 1e-9);
			}
		}
	});

	it('wears the parts least at a pace that a hand keeps, not at one that runs away from it', () => {
		for (const thicknessMm of someOf([2, 3, 4, 6]))
			for (const guide of ['kept', 'freehand'] as const) {
				const inputs = inputsOf({}, { thicknessMm, guide });
				const { outputA, reason } = of(inputs, 'cheapest');
				const at = (typedA: number) => {
					const cut = { ...inputs.cut, aim: 'cheapest' as const, school: 'typed' as const, typedA };
					return plan({ ...inputs, cut }).figures;
				};
				const kept = (amps: number) =>
					at(amps)['setup.speedMmS'].value! <= at(amps)['setup.handMmS'].value!;
				expect(kept(outputA!), `${thicknessMm} mm ${guide}`).toBe(reason !== 'thin');
				if (reason === 'thin') expect(kept(20), `${thicknessMm} mm ${guide}`).toBe(false);
			}
	});

	it('severs what nothing cuts clean, and says so', () => {
		expect(of(inputsOf({}, { thicknessMm: 16 }), 'clean')).toMatchObject({ reason: 'not-clean' });
	});

	it('matched for a clean edge is the fewest amps whose clean limit covers the plate', () => {
		for (const thicknessMm of [3, 6, 8, 10, 11.5]) {
			const at = (cut: Partial<Cut>) => plan(inputsOf({}, { thicknessMm, ...cut })).figures;
			const matched = at({ school: 'matched' });
			const amps = matched['setup.currentA'].value!;
			expect(matched['setup.cleanMm'].value!).toBeGreaterThanOrEqual(thicknessMm);
			if (amps > 20)
				expect(at({ school: 'typed', typedA: amps - 1 })['setup.cleanMm'].value!).toBeLessThan(
					thicknessMm
				);
		}
	});

	it('says none where nothing goes through', () => {
		expect(advise(inputsOf({}, { thicknessMm: 60 })).every((a) => a.outputA === null)).toBe(true);
	});
});

describe('heat and warping', () => {
	it('full amps on thin sheet heat it more because the hand falls behind', () => {
		const thin = (school: Cut['school']) => plan(inputsOf({}, { thicknessMm: 1, school }));
		const [full, matched] = [thin('full'), thin('matched')];
		expect(full.choices.warp).toBe('high');
		expect(full.figures['setup.handHeatKJM'].value!).toBeGreaterThan(
			matched.figures['setup.handHeatKJM'].value! * 1.5
		);
		// The cut itself needs much the same heat a metre at any amps.
		const needed = (p: typeof full) => p.figures['setup.heatKJM'].value!;
		expect(needed(full) / needed(matched)).toBeCloseTo(1, 0);
	});

	it('plate does not warp, nor sheet that a hand keeps up with', () => {
		expect(warpRisk(6, 60, 50)).toBe('none');
		expect(warpRisk(2, 40, 40)).toBe('none');
		expect(warpRisk(2, 60, 50)).toBe('some');
		expect(warpRisk(2, 80, 50)).toBe('high');
	});
});
