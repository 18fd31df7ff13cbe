import { describe, expect, it } from 'vitest';
import { BAY_2, changed, inputsOf, TROLLEY } from '../../../../tests/support/inputs';
import { NO_EVIDENCE, plan, type Entry, type PlanInputs } from '..';
import { NO_USE } from '../wear/electrode';
import { filled } from '../figure/finding';
import { NAMES } from '../plan/names';
import { Finder } from './finder';
import { knownOf } from './known';
import { SHIPPED_FAULTS } from './shipped';

const known = (inputs: PlanInputs, ...rest: [recent: readonly Entry[]] | []) =>
	knownOf(inputs, plan(inputs), ...rest);
const ids = (inputs: PlanInputs) => known(inputs).map(({ id }) => id);

describe('what the bench knows of a fault', () => {
	it('speaks of things that the file has, each with its words and a working that exists', () => {
		for (const bench of [BAY_2, TROLLEY])
			for (const one of known(inputsOf({ bench }))) {
				expect(SHIPPED_FAULTS.bench.map(({ id }) => id)).toContain(one.id);
				expect(filled(one.text, { units: 'metric' })).not.toMatch(/NaN|undefined|\{|[0-9]{4,} %/);
				if (one.figure) expect(NAMES[one.figure]).toBeDefined();
			}
	});
	it('knows a line that starves, a long thin cord, a shared circuit, an oiled pump, a nozzle under its amps', () => {
		expect(ids(inputsOf({ bench: changed((b) => (b.air.setPointBar = 4.4)) }))).toContain(
			'pressure-short'
		);
		expect(ids(inputsOf())).toContain('pressure-fine');
		const saw = { name: 'saw', currentA: 6, startMultiple: 1, when: 'always' } as const;
		const beside = (on: string) =>
			ids(inputsOf({ bench: changed((b) => (b.supply.loads = [{ ...saw, on }])) })).filter((id) =>
				/shared|alone/.test(id)
			);
		expect(beside(BAY_2.supply.circuit)).toEqual(['shared']);
		expect(beside('another outlet')).toEqual(['alone']);
		expect(ids(inputsOf({ bench: TROLLEY }))).toContain('sag');
		expect(ids(inputsOf({ bench: changed((b) => (b.air.compressor.oil = 'oil-free')) }))).toContain(
			'oil-free'
		);
		expect(ids(inputsOf({ bench: changed((b) => (b.torch.fittedA = 30)) }))).toContain(
			'nozzle-under'
		);
		expect(ids(inputsOf({}, { coating: 'rust' }))).toContain('coated');
		expect(ids(inputsOf({}, { backCoating: 'paint' }))).toContain('coated');
		expect(ids(inputsOf())).not.toContain('coated');
		expect(ids(inputsOf({}, { thicknessMm: 16 }))).toContain('past-clean');
	});
	it('knows that a bottle brings neither water nor oil, and says nothing of air that a cutter makes itself', () => {
		const from = (source: 'bottle' | 'built-in') =>
			ids(inputsOf({ bench: changed((b) => (b.air.source = source)) }));
		expect(from('bottle')).toEqual(
			expect.arrayContaining(['pressure-fine', 'air-lasts', 'dry', 'oil-free'])
		);
		expect(from('built-in').filter((id) => /air-|pressure-|dry|water|oil/.test(id))).toEqual([]);
	});
	it('calls nothing fine of which one check is open or tight', () => {
		const inputs = inputsOf();
		const whole = plan(inputs);
		const check = whole.checks.find(({ id }) => id === 'air.inletLowBar')!;
		const told = (...verdicts: (typeof check.verdict)[]) => {
			const checks = verdicts.map((verdict) => ({ ...check, verdict }));
			return knownOf(inputs, { ...whole, checks })
				.map(({ id }) => id)
				.filter((id) => id.startsWith('pressure-'));
		};
		expect(told('holds', 'holds')).toEqual(['pressure-fine']);
		expect(told('holds', 'tight')).toEqual(['pressure-short']);
		expect(told('holds', 'not set')).toEqual([]);
		expect(told()).toEqual([]);
	});
	it('knows a worn pair from a fresh one, and parts that were only just put in', () => {
		const worn = (grownUm: number, starts: number) => {
			const total = { ...NO_USE, starts, arcMin: starts / 5, loadMin: starts / 5 };
			const last = { grownUm, useSince: NO_USE };
			const { wear } = NO_EVIDENCE;
			return ids(
				inputsOf({
					evidence: {
						...NO_EVIDENCE,
						wear: { ...wear, electrode: { ...wear.electrode, total, last } }
					}
				})
			);
		};
		expect(worn(1480, 150)).toContain('pair-worn');
		expect(worn(200, 40)).toContain('pair-fresh');
		expect(worn(900, 120)).not.toContain('pair-fresh');
		expect(worn(20, 4)).toContain('changed');
		expect(worn(200, 40)).not.toContain('changed');
		expect(ids(inputsOf())).not.toContain('pair-fresh');
	});
	it('goes by the last look, and not by those before', () => {
		const seen = (...looks: ('clean' | 'smeared')[]) =>
			known(
				inputsOf(),
				looks.map((s) => ({ kind: 'look', seen: s }) as const)
			).map(({ id }) => id);
		expect(seen('smeared', 'clean')).toContain('seen-smeared');
		expect(seen('clean', 'smeared')).not.toContain('seen-smeared');
		expect(seen('clean', 'smeared')).toContain('seen-clean');
		expect(seen().filter((id) => id.startsWith('seen-'))).toEqual([]);
		for (const one of ['smeared', 'clean'] as const)
			expect(
				filled(known(inputsOf(), [{ kind: 'look', seen: one }]).at(-1)!.text, { units: 'metric' })
			).toMatch(one === 'smeared' ? /^Smeared .* seen last$/ : /^A clean .* seen last$/);
	});
	it('stays useful with a bench of which nothing is known but its amps', () => {
		const finder = new Finder(SHIPPED_FAULTS);
		for (const { id: symptom } of SHIPPED_FAULTS.symptoms) {
			const { outcome, next, lead } = finder.find({ symptom, answers: [] });
			expect(outcome === 'look' ? next : lead, symptom).toBeTruthy();
		}
	});

	// Shows of this capability: each with at most four looks, answered as the fault itself would show.
	it.each([
		['paint under the clamp', 'no-transfer', 'clamp-paint', {}],
		['oil in the air', 'parts-fast', 'oil', {}],
		['a loose electrode', 'drops-out', 'electrode-loose', { coating: 'none' as const }]
	])('finds %s in at most four looks on the demo bench', (_, symptom, cause, cut) => {
		const finder = new Finder(SHIPPED_FAULTS);
		const inputs = inputsOf({}, cut);
		const bench = ids(inputs);
		const answers: { look: string; said: 'yes' | 'no' }[] = [];
		const inVain: string[] = [];
		for (;;) {
			const found = finder.find({ symptom, answers, inVain, known: bench });
			if (found.outcome !== 'look') {
				if (found.lead!.cause === cause) break;
				inVain.push(found.lead!.cause);
				continue;
			}
			const { id, sign, tells } = found.next!.look;
			const shows = tells[cause] !== undefined && tells[cause] !== 'rarely';
			answers.push({ look: id, said: shows === (sign === 'yes') ? 'yes' : 'no' });
			expect(answers.length, answers.map(({ look }) => look).join()).toBeLessThanOrEqual(4);
		}
		expect(answers.length + inVain.length).toBeLessThanOrEqual(4);
	});
});
