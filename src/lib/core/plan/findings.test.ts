import { describe, expect, it } from 'vitest';
import { BAY_2, TROLLEY } from '../../../../scripts/demo/benches';
import {
	DEFAULT_CUT,
	DEFAULT_SETTINGS,
	NO_EVIDENCE,
	plan,
	type Bench,
	type Cut,
	type Plan
} from '..';

function planned(
	change: (b: Bench) => void = () => {},
	cut: Partial<Cut> = {},
	from = BAY_2
): Plan {
	const bench = structuredClone(from);
	change(bench);
	return plan({
		bench,
		cut: { ...DEFAULT_CUT, ...cut },
		evidence: NO_EVIDENCE,
		work: bench.usual,
		settings: DEFAULT_SETTINGS,
		chart: null
	});
}
const told = (p: Plan, kind: string) =>
	p.findings
		.filter((f) => f.kind === kind)
		.map((f) => f.text)
		.join('\n');

describe('refusals say why and what would work', () => {
	it.each([
		['a nozzle below the amps', planned((b) => (b.torch.fittedA = 30)), 'fit the 45 A nozzle'],
		[
			'amps above every nozzle',
			planned(
				(b) => (
					(b.torch.nozzles = [{ ratingA: 30, boreMm: 0.8, kind: 'cut' }]),
					(b.torch.fittedA = 30)
				)
			),
			'turn down to 30 A'
		],
		[
			'a set-point outside the window',
			planned((b) => (b.air.setPointBar = 7)),
			'outside the pressure window'
		],
		[
			'a window never reached',
			planned((b) => ((b.air.compressor.cutInBar = 3), (b.air.compressor.cutOutBar = 4.5))),
			'never reached'
		],
		['a plate past sever', planned(undefined, { thicknessMm: 23 }), 'will not go through'],
		[
			'a plate past sever at low amps',
			planned(undefined, { thicknessMm: 15, school: 'typed', typedA: 25 }),
			'turn up'
		],
		['a pierce too thick', planned(undefined, { thicknessMm: 12, start: 'pierce' }), 'drill a hole']
	])('%s', (_, result, words) => {
		expect(result.verdict).toBe('stops');
		expect(told(result, 'refusal')).toContain(words);
		expect(result.firstLimit?.stopsAtS).toBe(0);
	});
});

describe('safety notes are worded by the supply system', () => {
	it('IEC: a breaker above what the wire carries', () => {
		const result = planned(
			(b) => (b.supply.wire = { size: 'mm2-2.5', lengthM: 18, method: 'conduit' })
		);
		expect(told(result, 'safety')).toContain('In ≤ Iz');
		expect(told(result, 'safety')).toContain('licensed electrician');
	});

	it('North America: lawful above the wire’s ordinary rating on a dedicated circuit, and not beyond 630.12', () => {
		const lawful = planned((b) => (b.supply.breaker.ratingA = 30), {}, TROLLEY);
		expect(told(lawful, 'safety')).toContain('NEC 630.12 can allow it');
		const beyond = planned((b) => (b.supply.breaker.ratingA = 60), {}, TROLLEY);
		expect(told(beyond, 'safety')).toContain('larger than NEC 630.12 allows');
	});

	it('never advise a larger breaker', () => {
		for (const p of [planned(), planned((b) => (b.supply.breaker.ratingA = 10))]) {
			expect(JSON.stringify(p.findings)).not.toMatch(/(fit|use|take) a larger breaker/i);
		}
	});

	it('name the fume of the metal', () => {
		expect(told(planned(undefined, { metal: 'galvanized' }), 'safety')).toContain('Zinc');
		expect(told(planned(undefined, { metal: 'stainless' }), 'safety')).toContain('chromium');
		expect(told(planned(), 'safety')).toBe('');
	});
});

describe('amps that the machine cannot give', () => {
	it('are told, with what is planned instead', () => {
		const result = planned(undefined, { school: 'typed', typedA: 100 });
		expect(told(result, 'caution')).toContain('100 A was asked for');
		expect(told(result, 'caution')).toContain('45 A is planned');
		expect(told(planned(undefined, { school: 'typed', typedA: 40 }), 'caution')).not.toContain(
			'asked for'
		);
	});
});

describe('verdicts of the stations', () => {
	it('far too big a nozzle is tight, and says which one to fit', () => {
		const result = planned(undefined, { school: 'typed', typedA: 21, thicknessMm: 1 });
		expect(result.choices.nozzleFits).toBe('far too big');
		expect(told(result, 'caution')).toContain('fit the 30 A nozzle');
	});

	it('a plate between clean and sever is tight: it parts but is not clean', () => {
		const result = planned(undefined, { thicknessMm: 15 });
		expect(result.stations.setup).toMatchObject({ verdict: 'tight', word: 'severs, not clean' });
		expect(planned(undefined, { thicknessMm: 15, aim: 'sever' }).stations.setup.verdict).not.toBe(
			'stops'
		);
	});

	it('a speed no hand holds is tight, more so freehand than along a guide', () => {
		expect(planned(undefined, { thicknessMm: 4 }).stations.setup.verdict).toBe('holds');
		expect(planned(undefined, { thicknessMm: 4, guide: 'freehand' }).stations.setup.word).toBe(
			'fast for a hand'
		);
	});

	it('an overloaded wire is tight and the weakest link, never a stop', () => {
		const result = planned(
			(b) => (b.supply.wire = { size: 'mm2-1', lengthM: 3, method: 'conduit' })
		);
		expect(result.weakestLink?.part).toBe('Wire');
		expect(result.firstLimit).toBeNull();
	});

	it('a hot shop and short pauses stop the cutter, and fewer amps run on', () => {
		const bench = structuredClone(BAY_2);
		const result = plan({
			bench,
			cut: DEFAULT_CUT,
			evidence: NO_EVIDENCE,
			work: { ...bench.usual, arcS: 60, restS: 20, shopC: 35 },
			settings: DEFAULT_SETTINGS,
			chart: null
		});
		expect(result.firstLimit?.part).toBe('Cutter');
		expect(result.figures['cutter.lampS'].value).toBe(result.firstLimit?.stopsAtS);
		const runsOn = result.figures['supply.runsOnA'].value!;
		expect(runsOn).toBeLessThan(45);
		expect(runsOn).toBeGreaterThan(20);
	});

	it('no gouging nozzle leaves the gouge not set', () => {
		expect(planned(undefined, {}, TROLLEY).stations.gouge).toMatchObject({
			verdict: 'not set',
			word: 'no gouging nozzle'
		});
	});
});
