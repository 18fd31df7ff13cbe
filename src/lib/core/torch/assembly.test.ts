import { describe, expect, it } from 'vitest';
import { changed, inputsOf } from '../../../../tests/support/inputs';
import { spokenPlan } from '../plan/said';
import { assemblySteps, changeOver, TORCH_FAMILIES, type Fitted } from './assembly';

const fitted: Fitted = {
	fittedA: 45,
	electrodeMaxA: null,
	ringMinA: null,
	ringMaxA: null,
	shieldIn: 'cutting',
	dragShield: true
};
const parts = (over: Partial<Fitted>, outputA: number, nozzleA = 45) =>
	changeOver({ ...fitted, ...over }, { outputA, nozzleA }).map((c) => `${c.need} ${c.part}`);

describe('putting the torch together', () => {
	it('names every part once, whatever the family, and leaves out a shield there is none of', () => {
		for (const family of TORCH_FAMILIES) {
			const steps = assemblySteps(family, true).map((step) => step.part);
			expect(new Set(steps).size).toBe(steps.length);
			expect([...steps].sort()).toEqual(
				['cap', 'electrode', 'nozzle', 'o-ring', 'shield', 'swirl-ring'].sort()
			);
			expect(assemblySteps(family, false).map((s) => s.part)).not.toContain('shield');
		}
	});

	it('differs by family (common practice)', () => {
		const order = (family: (typeof TORCH_FAMILIES)[number]) =>
			assemblySteps(family, true).map((step) => step.part);
		// The ring sits behind the nozzle, round the electrode: it goes in between them, or just before both.
		for (const family of TORCH_FAMILIES) {
			const at = (part: 'electrode' | 'swirl-ring' | 'nozzle') => order(family).indexOf(part);
			const [e, r, n] = [at('electrode'), at('swirl-ring'), at('nozzle')];
			if (family === 'stacked-in-cap') expect(n < r && r < e, family).toBe(true);
			else expect(r < n && e < n, family).toBe(true);
		}
		expect(order('electrode-snaps').indexOf('electrode')).toBeLessThan(
			order('electrode-snaps').indexOf('swirl-ring')
		);
		expect(order('ring-first').indexOf('swirl-ring')).toBeLessThan(
			order('ring-first').indexOf('electrode')
		);
		expect(order('stacked-in-cap').indexOf('cap')).toBeLessThan(
			order('stacked-in-cap').indexOf('nozzle')
		);
	});
});

describe('the change-over', () => {
	it('is nothing when all fits, and the nozzle alone on most torches', () => {
		expect(parts({}, 45)).toEqual([]);
		expect(parts({}, 30, 30)).toEqual(['better nozzle']);
		expect(parts({ fittedA: 30 }, 45)).toEqual(['must nozzle']);
	});

	it('names every wrong part, what must go first', () => {
		expect(
			parts({ electrodeMaxA: 40, ringMaxA: 40, shieldIn: 'gouging', fittedA: 60 }, 45)
		).toEqual(['must electrode', 'must swirl-ring', 'must shield', 'better nozzle']);
		// An electrode that bears these amps, or just these, stays in.
		expect(parts({ electrodeMaxA: 60 }, 45)).toEqual([]);
		expect(parts({ electrodeMaxA: 45 }, 45)).toEqual([]);
		expect(parts({ ringMinA: 30 }, 25)).toContain('must swirl-ring');
		expect(parts({ shieldIn: 'none' }, 45)).toEqual(['better shield']);
	});
});

describe('wrong parts in the plan', () => {
	const withTorch = (over: Partial<Fitted>) =>
		spokenPlan(inputsOf({ bench: changed((b) => Object.assign(b.torch, over)) }));

	it('refuse the cut, say why and what to fit, and stop Setup', () => {
		const ring = withTorch({ ringMinA: 15, ringMaxA: 30 });
		expect(ring.stations.setup).toMatchObject({
			verdict: 'stops',
			word: 'change the swirl ring'
		});
		expect(ring.findings.find((f) => f.kind === 'refusal')?.text).toBe(
			'Power off, fit the swirl ring for 45 A: the one in the torch is made from 15 A to 30 A: its holes spin the air wrongly at 45 A.'
		);
		expect(withTorch({}).stations.setup.verdict).toBe('holds');
	});

	it('hold the torch off when the drag shield is not on it', () => {
		expect(withTorch({}).choices.standoff).toBe('drag');
		const bare = withTorch({ shieldIn: 'none' });
		expect(bare.choices.standoff).toBe('gap');
		expect(bare.figures['setup.standoffMm'].value).toBe(1.5);
		// Better with it, but it can be cut without.
		const refusals = bare.findings.filter(({ kind }) => kind === 'refusal').map(({ text }) => text);
		expect(refusals.filter((text) => text.includes('drag shield'))).toEqual([]);
	});
});
