import { describe, expect, it } from 'vitest';
import * as v from 'valibot';
import { BAY_2, TROLLEY } from '../../../../scripts/demo/benches';
import { getPath, setPath } from './path';
import {
	BenchSchema,
	CutSchema,
	DEFAULT_CUT,
	EntrySchema,
	plateInput,
	SettingsSchema,
	DEFAULT_SETTINGS,
	type Bench
} from '..';

/** Fields refused for a bench with one value changed. */
function refused(path: string, value: unknown, bench: Bench = BAY_2): string[] {
	const parsed = v.safeParse(BenchSchema, setPath(bench, path, value));
	return parsed.success ? [] : parsed.issues.map((issue) => v.getDotPath(issue) ?? '');
}

/** Paths of every number in a bench, arrays included. */
function numbersIn(node: unknown, path = ''): string[] {
	if (typeof node === 'number') return [path];
	if (node === null || typeof node !== 'object') return [];
	return Object.entries(node).flatMap(([key, child]) =>
		numbersIn(child, path ? `${path}.${key}` : key)
	);
}

describe('a bench', () => {
	it('is taken as it is, both demo benches', () => {
		expect(v.parse(BenchSchema, BAY_2)).toEqual(BAY_2);
		expect(v.parse(BenchSchema, TROLLEY)).toEqual(TROLLEY);
	});

	it('refuses words, NaN, infinity and absurd sizes in every number it has, naming that field', () => {
		const paths = numbersIn(BAY_2);
		expect(paths.length).toBeGreaterThan(45);
		for (const path of paths) {
			for (const bad of ['12', NaN, Infinity, -1e9, 1e9, null, undefined, {}, []]) {
				const optional =
					getPath(BAY_2, path) === null || /(airFlowLpm|inputMaxA|gelG|faceMm)$/.test(path);
				if (bad === null && optional) continue;
				// What a program of an earlier shape did not tell has a value to start from.
				const told = /usual\.(humidity|cuts)$|toleranceShare$|faceRadiusMm$|faceMm$/;
				if (bad === undefined && told.test(path)) continue;
				const fields = refused(path, bad);
				expect(fields.length, `${path} = ${JSON.stringify(bad)}`).toBeGreaterThan(0);
				// The field itself, or the rule that it broke beside it.
				expect(
					fields.some((f) => f === path || path.startsWith(f.split('.')[0]!)),
					`${path}: ${fields.join()}`
				).toBe(true);
			}
		}
	});

	it.each([
		['cutter.airMaxBar', 4, 'cutter.airMaxBar'],
		['cutter.severMm', 11, 'cutter.severMm'],
		['air.compressor.cutInBar', 9, 'air.compressor.cutOutBar'],
		['air.compressor.points.1.atBar', 3, 'air.compressor.points'],
		['air.compressor.points.1.flowLpm', 400, 'air.compressor.points'],
		['air.source', 'bottle', 'air.bottle'],
		['supply.circuit', 'Bay 1 sockets', 'supply.circuit'],
		['supply.loads.0.on', 'nowhere', 'supply.loads'],
		['torch.fittedA', 60, 'torch.fittedA'],
		['supply.phases', 3, 'supply.nominalV'],
		['supply.nominalV', 400, 'supply.nominalV']
	])('refuses %s = %s, a rule between fields, at %s', (path, value, field) => {
		expect(refused(path, value)).toContain(field);
	});

	it('refuses a gouging nozzle as the one that is cut with', () => {
		const torch = { ...BAY_2.torch, fittedA: 60 };
		torch.nozzles = torch.nozzles.map((n) => (n.kind === 'gouge' ? { ...n, ratingA: 60 } : n));
		expect(refused('torch', torch)).toContain('torch.fittedA');
		expect(refused('torch', { ...torch, fittedA: 45 })).toEqual([]);
	});

	it.each([
		['', 'name'],
		['   ', 'name'],
		['x'.repeat(61), 'name'],
		['two\nlines', 'name'],
		['nul\u0000', 'name']
	])('refuses the name %j', (name, field) => {
		expect(refused('name', name)).toContain(field);
	});

	it.each(['Bay 2', '<b>Bay</b>', 'Schütz & Söhne', '№ 7', "Robert'); DROP TABLE benches;--"])(
		'takes the name %s as text',
		(name) => {
			expect(refused('name', name)).toEqual([]);
		}
	);

	it('drops keys that it does not know instead of storing them', () => {
		const parsed = v.parse(BenchSchema, {
			...BAY_2,
			extra: 'x',
			supply: { ...BAY_2.supply, __proto__: { a: 1 } }
		});
		expect(Object.keys(parsed)).not.toContain('extra');
	});
});

describe('the input of the data plate', () => {
	const at = (nominalV: number, phases: 1 | 3 = 1) =>
		plateInput({ supply: { nominalV, phases }, cutter: TROLLEY.cutter });

	it('is the nearest to the supply, with its phases', () => {
		expect(at(120)?.voltageV).toBe(120);
		expect(at(115)?.voltageV).toBe(120);
		expect(at(230)?.voltageV).toBe(240);
		expect(at(240)?.inputMaxA).toBe(13);
	});

	it('is none for a voltage in between or for other phases', () => {
		expect(at(170)).toBeUndefined();
		expect(at(400)).toBeUndefined();
		expect(at(240, 3)).toBeUndefined();
	});
});

describe('a cut', () => {
	it('starts where a person starts when nothing is said', () => {
		expect(v.parse(CutSchema, {})).toEqual(DEFAULT_CUT);
		expect(v.parse(CutSchema, { gouge: { depthMm: 2 } }).gouge).toEqual({
			...DEFAULT_CUT.gouge,
			depthMm: 2
		});
	});

	it.each([
		['thicknessMm', 0],
		['thicknessMm', 101],
		['lengthMm', 5],
		['typedA', 1],
		['metal', 'wood'],
		['aim', 'pretty'],
		['school', 'old'],
		['guide', 'both'],
		['start', 'middle']
	])('refuses %s = %s', (field, value) => {
		expect(v.is(CutSchema, { [field]: value })).toBe(false);
	});
});

describe('log entries', () => {
	const cut = {
		kind: 'cut',
		metal: 'mild-steel',
		thicknessMm: 6,
		outputA: 45,
		lengthMm: 300,
		arcS: 14,
		starts: 1,
		start: 'edge'
	};

	it('are told apart by their kind', () => {
		expect(v.is(EntrySchema, cut)).toBe(true);
		expect(v.is(EntrySchema, { ...cut, kind: 'pit' })).toBe(false);
		expect(v.is(EntrySchema, { kind: 'pit', pitMm: 0.5 })).toBe(true);
	});

	it.each([
		['half a start', { ...cut, starts: 0.5 }],
		['no start', { ...cut, starts: 0 }],
		['a negative arc', { ...cut, arcS: -1 }],
		['a drain that fills', { kind: 'drain', fromBar: 5, toBar: 6, seconds: 10 }],
		['a fill that drains', { kind: 'fill', fromBar: 6, toBar: 5, seconds: 10 }],
		['a test of no time', { kind: 'fill', fromBar: 5, toBar: 6, seconds: 0 }],
		[
			'volts that rise under load',
			{ kind: 'volts', idleV: 220, arcV: 225, outputA: 45, clampA: null }
		],
		[
			'sparks past the horizon',
			{ kind: 'test-cut', metal: 'brass', thicknessMm: 3, outputA: 30, speedMmS: 10, lagDeg: 95 }
		]
	])('refuse %s', (_, entry) => {
		expect(v.is(EntrySchema, entry)).toBe(false);
	});
});

describe('settings', () => {
	it('take the schools of the trade and nothing between', () => {
		expect(v.is(SettingsSchema, DEFAULT_SETTINGS)).toBe(true);
		expect(v.is(SettingsSchema, { ...DEFAULT_SETTINGS, pierceTiltDeg: 40 })).toBe(false);
		expect(v.is(SettingsSchema, { ...DEFAULT_SETTINGS, electrodePrice: -1 })).toBe(false);
	});
});
