import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded, SimulatedShop } from '../../../../tests/support/simulatedShop';
import { CALLED, Finder, type Answer, type Asked } from './finder';
import { SHIPPED_FAULTS as FILE } from './shipped';

const FINDER = new Finder(FILE);
const anyAnswers = fc.uniqueArray(
	fc.record({
		look: fc.constantFrom(...FILE.looks.map(({ id }) => id)),
		said: fc.constantFrom<Answer['said']>('yes', 'no', 'unsure')
	}),
	{ selector: ({ look }) => look, maxLength: 12 }
);
const anyAsked: fc.Arbitrary<Asked> = fc.record({
	symptom: fc.constantFrom(...FILE.symptoms.map(({ id }) => id)),
	answers: anyAnswers,
	inVain: fc.uniqueArray(fc.constantFrom(...FILE.causes.map(({ id }) => id)), { maxLength: 3 }),
	known: fc.uniqueArray(fc.constantFrom(...FILE.bench.map(({ id }) => id)), { maxLength: 5 })
});
const shareOf = (asked: Asked, cause: string) =>
	FINDER.find(asked).beliefs.find((b) => b.cause === cause)!.share;

describe('the fault finder', () => {
	it('believes in shares between 0 and 1, and never asks twice, whatever was said', () => {
		fc.assert(
			fc.property(anyAsked, (asked) => {
				const { beliefs, next, lead } = FINDER.find(asked);
				for (const { share } of beliefs) {
					expect(share).toBeGreaterThanOrEqual(0);
					expect(share).toBeLessThanOrEqual(1 + 1e-9);
				}
				expect([...beliefs].sort((x, y) => y.share - x.share)).toEqual(beliefs);
				if (next) expect(asked.answers.map(({ look }) => look)).not.toContain(next.look.id);
				expect(asked.inVain).not.toContain(lead?.cause);
			}),
			{ numRuns: 60 }
		);
	});

	it('comes to the same in whatever order the answers came, and a look left undecided moves nothing', () => {
		fc.assert(
			fc.property(anyAsked, (asked) => {
				const turned = { ...asked, answers: [...asked.answers].reverse() };
				const decided = asked.answers.filter(({ said }) => said !== 'unsure');
				const [one, two, three] = [asked, turned, { ...asked, answers: decided }].map((a) =>
					FINDER.weights(a)
				);
				for (let h = 0; h < one!.length; h += 37) {
					expect(two![h]).toBeCloseTo(one![h]!, 10);
					expect(three![h]).toBeCloseTo(one![h]!, 10);
				}
			}),
			{ numRuns: 40 }
		);
	});

	it('never offers a look that needs a cover off, however far it goes', () => {
		const covered = FILE.looks.filter(({ covers }) => covers).map(({ id }) => id);
		expect(covered.length).toBeGreaterThan(0);
		for (const { id: symptom } of FILE.symptoms) {
			const answers: Answer[] = [];
			for (;;) {
				const { next } = FINDER.find({ symptom, answers });
				if (!next) break;
				expect(covered).not.toContain(next.look.id);
				answers.push({ look: next.look.id, said: 'unsure' });
			}
			expect(answers.length).toBeGreaterThan(FILE.looks.length / 2);
		}
	});

	it('asks the second of two looks only where the first gave its sign', () => {
		const later = FILE.looks.find(({ after }) => after)!;
		const first = FILE.looks.find(({ id }) => id === later.after)!;
		const asks = (said: Answer['said']) => {
			const answers: Answer[] = FILE.looks
				.filter(({ id }) => id !== later.id)
				.map(({ id }) => ({ look: id, said: id === first.id ? said : 'unsure' }));
			return FINDER.find({ symptom: 'lamp-pressure', answers }).next?.look.id;
		};
		expect(asks(first.sign)).toBe(later.id);
		expect(asks(first.sign === 'yes' ? 'no' : 'yes')).toBeUndefined();
	});

	it('takes the look that tells most for its trouble, its way there included', () => {
		const minutesOf = (id: string) => FILE.looks.find((l) => l.id === id)!.minutes;
		const open = FILE.looks.filter(({ covers, after }) => !covers && !after).map(({ id }) => id);
		let elsewhere = 0;
		for (const { id: symptom } of FILE.symptoms) {
			const weights = FINDER.weights({ symptom, answers: [] });
			const bits = (id: string) => FINDER.bitsOf(id, weights);
			const best = (worth: (id: string) => number) =>
				open.reduce((x, y) => (worth(y) > worth(x) ? y : x));
			const forTrouble = best((id) => bits(id) / (minutesOf(id) + 3));
			expect(FINDER.find({ symptom, answers: [] }).next!.look.id, symptom).toBe(forTrouble);
			if (forTrouble !== best(bits)) elsewhere++;
		}
		// Otherwise this would hold for the most telling one as well.
		expect(elsewhere).toBeGreaterThan(0);
	});

	it('calls a cause when it is sure, a technician for what is inside, and goes on after mending in vain', () => {
		const bright: Answer = { look: 'clamp-bright', said: 'no' };
		const clamp = FINDER.find({ symptom: 'no-transfer', answers: [bright] });
		expect(clamp).toMatchObject({ outcome: 'called', lead: { cause: 'clamp-paint' } });
		expect(clamp.lead!.share).toBeGreaterThan(CALLED);
		const on = FINDER.find({
			symptom: 'no-transfer',
			answers: [bright],
			inVain: ['clamp-paint']
		});
		expect(on.lead!.cause).not.toBe('clamp-paint');
		const all: Answer[] = [
			'power-there',
			'air-at-trigger',
			'cap-firm',
			'plunger-springs',
			'parts-right',
			'electrode-firm'
		].map((look) => ({ look, said: 'yes' as const }));
		const found = FINDER.find({
			symptom: 'lamp-fault',
			answers: [...all, { look: 'lights-dip', said: 'no' }, { look: 'other-load', said: 'no' }]
		});
		expect(found).toMatchObject({ outcome: 'technician', lead: { cause: 'inside' } });
	});

	it('is moved by what the bench knows, both ways', () => {
		const asked: Asked = { symptom: 'pressure-falls', answers: [] };
		const plain = shareOf(asked, 'compressor-small');
		expect(shareOf({ ...asked, known: ['air-short'] }, 'compressor-small')).toBeGreaterThan(plain);
		expect(shareOf({ ...asked, known: ['air-lasts'] }, 'compressor-small')).toBeLessThan(plain);
	});

	it('tells answers that hardly go together, and seldom those of a fault that is really there', () => {
		const strange = (...answers: Answer[]) =>
			FINDER.find({ symptom: 'no-transfer', answers }).strange;
		expect(strange({ look: 'clamp-bright', said: 'no' })).toBe(false);
		expect(strange({ look: 'only-plate', said: 'yes' }, { look: 'clamp-bright', said: 'no' })).toBe(
			false
		);
		// Standing it is too low, and flowing it is in its window and over it; the tank falls and all is well.
		expect(
			strange(
				{ look: 'standing-low', said: 'yes' },
				{ look: 'gauge-flowing', said: 'yes' },
				{ look: 'air-right', said: 'yes' },
				{ look: 'tank-falls', said: 'yes' }
			)
		).toBe(true);
		const shop = new SimulatedShop(FILE, seeded(7));
		let odd = 0;
		for (let n = 0; n < 300; n++) {
			const { causes, symptom } = shop.draw();
			const looks = FILE.looks.filter(
				({ covers, tells }) => !covers && causes.some((c) => tells[c])
			);
			const answers = looks.map((look) => ({ look: look.id, said: shop.look(causes, look) }));
			if (FINDER.find({ symptom, answers }).strange) odd++;
		}
		expect(odd).toBeLessThan(300 * 0.03);
	});

	it('keeps its head where answers contradict each other, or a file has moved on', () => {
		const answers: Answer[] = [
			{ look: 'clamp-bright', said: 'yes' },
			{ look: 'only-plate', said: 'yes' },
			{ look: 'clamp-stays', said: 'yes' },
			{ look: 'gone-since', said: 'yes' }
		];
		const { beliefs, outcome } = FINDER.find({ symptom: 'no-transfer', answers });
		expect(beliefs[0]!.share).toBeGreaterThan(0);
		expect(['look', 'try', 'called']).toContain(outcome);
		const nowhere = FINDER.find({ symptom: 'never-seen', answers: [] });
		expect(nowhere.beliefs.every(({ share }) => Number.isFinite(share))).toBe(true);
	});
});
