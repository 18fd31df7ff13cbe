import { filled } from '../figure/finding';
import { describe, expect, it } from 'vitest';
import { BAY_2, TROLLEY } from '../../../../scripts/demo/benches';
import {
	DEFAULT_CUT,
	DEFAULT_SETTINGS,
	NO_EVIDENCE,
	type Bench,
	type Cut,
	type Plan,
	type Said
} from '..';
import { isSpot, TARGETS } from '../gouge/targets';
import { COATINGS } from '../metal/coatings';
import { METAL_IDS } from '../metal/metals';
import { spokenPlan } from './said';

function planned(
	change: (b: Bench) => void = () => {},
	cut: Partial<Cut> = {},
	from = BAY_2
): Plan & Said {
	const bench = structuredClone(from);
	change(bench);
	return spokenPlan({
		bench,
		cut: { ...DEFAULT_CUT, ...cut },
		evidence: NO_EVIDENCE,
		work: { ...bench.usual, by: 'pattern' },
		settings: DEFAULT_SETTINGS,
		chart: null
	});
}
const told = (p: Said, kind: string) =>
	p.findings
		.filter((f) => f.kind === kind)
		.map((f) => filled(f, { units: 'metric' }))
		.join('\n');

describe('refusals say why and what would work', () => {
	it.each([
		['a nozzle below the amps', planned((b) => (b.torch.fittedA = 30)), 'fit the 45 A nozzle'],
		[
			'amps above every nozzle',
			planned(
				(b) => (
					(b.torch.nozzles = [
						{ ratingA: 30, boreMm: 0.8, kind: 'cut', cleanMm: null, severMm: null }
					]),
					(b.torch.fittedA = 30)
				)
			),
			'turn down to 30 A'
		],
		['a set-point outside the window', planned((b) => (b.air.setPointBar = 7)), 'turn it down'],
		[
			'a window never reached',
			planned((b) => ((b.air.compressor.cutInBar = 3), (b.air.compressor.cutOutBar = 4.5))),
			'never reached'
		],
		['a plate past sever', planned(undefined, { thicknessMm: 23 }), '22 mm is the most at 45 A'],
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

	it('North America: lawful above the wire’s ordinary rating on a circuit for this machine alone, and not beyond', () => {
		const alone = (ratingA: number) => (b: Bench) => {
			b.supply.breaker.ratingA = ratingA;
			b.supply.cord = null;
			b.supply.loads.forEach((load) => (load.on = b.supply.elsewhere[0]!.name));
		};
		const lawful = planned(alone(30), {}, TROLLEY);
		expect(told(lawful, 'safety')).toContain('NEC 630.12');
		expect(lawful.checks.find((c) => c.part === 'Wire')).toMatchObject({ word: 'thin wire' });
		const beyond = planned(alone(60), {}, TROLLEY);
		expect(told(beyond, 'safety')).toContain('does not protect');
		expect(beyond.firstLimit).toMatchObject({ part: 'Wire', stopsAtS: 0 });
	});

	it('a cord that nothing in front of it protects stops the work, however short the duty', () => {
		const cord = planned((b) => (b.supply.cord!.size = 'mm2-1.5'));
		expect(cord.firstLimit).toMatchObject({ part: 'Cord', word: 'cord not protected' });
		expect(told(cord, 'safety')).toContain('Use 4 mm² or thicker');
		expect(told(cord, 'safety')).toContain('The 32 A breaker does not protect');
		// The fuse in the plug is nearer, and is what is named; one that is larger than the breaker guards nothing.
		const behind = (plugFuseA: number) =>
			planned((b) => {
				b.supply.cord!.size = 'mm2-1.5';
				b.supply.plugFuseA = plugFuseA;
			});
		expect(told(behind(25), 'safety')).toContain('The 25 A plug fuse does not protect');
		expect(told(behind(32), 'safety')).toContain('The 32 A breaker does not protect');
		const fused = planned((b) => {
			b.supply.cord!.size = 'mm2-1.5';
			b.supply.plugFuseA = 13;
		});
		expect(fused.checks.find((c) => c.part === 'Cord')!.verdict).not.toBe('stops');
	});

	it('never advise a larger breaker', () => {
		for (const p of [planned(), planned((b) => (b.supply.breaker.ratingA = 10))]) {
			expect(JSON.stringify(p.findings)).not.toMatch(/(fit|use|take) a larger breaker/i);
		}
	});

	it('name the fume of the metal', () => {
		const always = (metal: Cut['metal']) =>
			planned(undefined, { metal })
				.cautions.map(({ text }) => text)
				.join(' ');
		expect(always('galvanized')).toContain('Zinc');
		expect(always('stainless')).toContain('chromium');
		expect(always('brass')).toContain('lead');
		expect(always('mild-steel')).toContain('nitrided');
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

	it('an overloaded receptacle is tight and the weakest link, never a stop', () => {
		const result = planned((b) => (b.supply.receptacleA = 13));
		expect(result.weakestLink?.part).toBe('Receptacle');
		expect(result.firstLimit).toBeNull();
	});

	it('too thick has no speed, no time, no cuts, and says what would do', () => {
		const result = planned(undefined, { thicknessMm: 30 });
		for (const id of [
			'setup.speedMmS',
			'setup.lineS',
			'setup.arcS',
			'wear.cutsLeft',
			'cut.throughS'
		] as const)
			expect(result.figures[id].value, id).toBeNull();
		expect(told(result, 'refusal')).toContain('oxy-fuel');
		expect(
			told(planned(undefined, { thicknessMm: 30, metal: 'stainless' }), 'refusal')
		).not.toContain('oxy-fuel');
	});

	it('a bevel that would stand the shield on its rim too far off is refused, and rollers hold it', () => {
		const at = (bevelDeg: number, guide: Cut['guide'] = 'kept') =>
			planned(undefined, { bevelDeg, guide });
		expect(at(15).stations.cut.verdict).not.toBe('stops');
		expect(at(45).firstLimit).toMatchObject({ part: 'Bevel' });
		expect(told(at(45), 'refusal')).toContain('roller');
		expect(at(45).choices.standoff).toBe('guide');
		expect(at(45, 'roller').stations.cut.verdict).not.toBe('stops');
		expect(at(30).figures['setup.standoffMm'].value).toBeCloseTo(5 * Math.tan(Math.PI / 6), 9);
		// What its distance holds for is said where there is one.
		expect(told(at(30), 'caution')).toContain('The distance holds for');
		const tooThick = planned(undefined, { bevelDeg: 30, thicknessMm: 40 });
		expect(told(tooThick, 'refusal')).toContain('Too thick');
		expect(told(tooThick, 'caution')).not.toContain('Bevel');
	});

	it('a hot shop and short pauses stop the cutter, and fewer amps run on', () => {
		const bench = structuredClone(BAY_2);
		const result = spokenPlan({
			bench,
			cut: DEFAULT_CUT,
			evidence: NO_EVIDENCE,
			work: { ...bench.usual, by: 'pattern', arcS: 60, restS: 20, shopC: 35 },
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
		const asked = { gouge: { ...DEFAULT_CUT.gouge, asked: true } };
		expect(planned(undefined, asked, TROLLEY).stations.gouge).toMatchObject({
			verdict: 'not set',
			word: 'no gouging nozzle'
		});
		expect(planned(undefined, asked).stations.gouge.verdict).not.toBe('not set');
		// Nobody asked: it judges nothing, whatever stands in its fields.
		expect(
			planned(undefined, { gouge: { ...asked.gouge, asked: false, depthMm: 40 } }).checks
		).toEqual(planned().checks);
	});
});

describe('what a line says and leaves out', () => {
	it('the regulator is told which way to turn, and not for what no gauge shows', () => {
		const { airMinBar, airMaxBar } = BAY_2.cutter;
		const at = (bar: number) =>
			told(
				planned((b) => (b.air.setPointBar = bar)),
				'refusal'
			);
		const turn = /regulator stands at .* turn it (up|down)/;
		expect(at(airMinBar - 0.05)).not.toMatch(turn);
		expect(at(airMaxBar + 0.05)).not.toMatch(turn);
		expect(turn.exec(at(airMinBar - 0.5))?.[1]).toBe('up');
		expect(turn.exec(at(airMaxBar + 0.5))?.[1]).toBe('down');
	});
	it('thin sheet is told once: that it warps, or that no hand follows, never both', () => {
		const kinds = new Set<string>();
		for (let mm = 0.5; mm <= 12; mm += 0.25) {
			const words = told(
				planned(() => {}, { thicknessMm: mm, school: 'full' }),
				'caution'
			);
			const said = [/Thin sheet: a hand/, /more than a hand follows/].filter((one) =>
				one.test(words)
			);
			expect(said.length, `${mm} mm`).toBeLessThanOrEqual(1);
			for (const one of said) kinds.add(one.source);
		}
		expect(kinds.size).toBeGreaterThan(0);
	});
	it('metal and coats stand among the findings whenever they stand among the cautions', () => {
		for (const metal of METAL_IDS)
			for (const coating of COATINGS)
				for (const backCoating of COATINGS) {
					const p = planned(undefined, { metal, coating, backCoating });
					const safety = told(p, 'safety');
					const own = p.cautions.filter(({ id }) => id === 'metal' || id === 'coating');
					for (const { text } of own)
						expect(safety, `${metal}, ${coating}, ${backCoating}`).toContain(text);
					// Nothing but plain clean steel is without any.
					expect(own.length === 0, `${metal}, ${coating}, ${backCoating}`).toBe(
						metal === 'mild-steel' && coating === 'none' && backCoating === 'none'
					);
				}
	});
	it('the metal of a spot flies to all sides, that of a groove ahead', () => {
		for (const target of TARGETS) {
			const gouge = { ...DEFAULT_CUT.gouge, asked: true, target };
			expect(told(planned(undefined, { gouge }), 'safety'), target).toContain(
				isSpot(target) ? 'Metal flies to all sides: nobody near' : 'Metal flies ahead of the torch'
			);
		}
	});
});

describe('only what this bench has is named', () => {
	const caution = (change: (b: Bench) => void) => told(planned(change), 'caution');
	it('a tap or selector where the machine takes more than one voltage', () => {
		const high = (b: Bench) => void (b.supply.nominalV = 260);
		const two = (b: Bench) => {
			high(b);
			b.cutter.inputs.push({ ...b.cutter.inputs[0]!, voltageV: 120 });
		};
		expect(caution(high)).toMatch(/is above the \d+ V that this machine takes: another circuit\./);
		expect(caution(two)).toMatch(/takes: another circuit, or its tap or selector\./);
	});
	it('a cord where there is one', () => {
		const weak = (b: Bench) => void (b.supply.wire.lengthM = 2000);
		const refusal = (change: (b: Bench) => void) => told(planned(change), 'refusal');
		const corded = refusal(weak);
		expect(corded).toContain('or a shorter or thicker cord.');
		const plain = refusal((b) => {
			weak(b);
			b.supply.cord = null;
		});
		expect(plain).toContain('cannot deliver');
		expect(plain).toContain('or another circuit.');
		expect(plain).not.toContain('cord');
	});
	it('no depth where all of the plate must stay', () => {
		const gouge = { ...DEFAULT_CUT.gouge, asked: true, target: 'groove' as const, depthMm: 3 };
		const at = (plateMm: number) =>
			told(planned(undefined, { gouge: { ...gouge, plateMm, keepMm: 2 } }), 'refusal');
		expect(at(2)).toContain('Of 2 mm plate 2 mm must stay: nothing of it can be gouged out.');
		expect(at(4)).toContain('of 4 mm plate at most 2 mm deep');
	});
});

describe('a breaker under the label', () => {
	it.each([
		// Its own rating, the fuse that the label asks for, and what is said of it.
		[32, 25, undefined],
		[25, 25, undefined],
		[20, 25, 'the label asks for a fuse of 25 A'],
		[20, null, undefined],
		[19.5, null, undefined],
		[16, null, 'the label’s largest current is 20 A'],
		[13, null, 'the label’s effective current is 14 A'],
		[13, 25, 'the label asks for a fuse of 25 A']
	])('of %s A, where it asks for %s A', (ratingA, fuseA, says) => {
		const p = planned((b) => {
			b.supply.breaker.ratingA = ratingA;
			Object.assign(b.cutter.inputs[0]!, { inputMaxA: 20, inputEffA: 14, fuseA });
		});
		const said = told(p, 'caution');
		if (says) expect(said).toContain(`The breaker is ${ratingA} A; ${says}`);
		else expect(said).not.toContain('The breaker is');
	});
});
