import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { FaultFileSchema, OFTEN, type FaultFile } from './file';
import { SHIPPED_FAULTS } from './shipped';

const changed = (change: (file: FaultFile) => void): unknown => {
	const file = structuredClone(SHIPPED_FAULTS);
	change(file);
	return file;
};
const wrong = (file: unknown): string[] => {
	const parsed = v.safeParse(FaultFileSchema, file);
	return parsed.success
		? []
		: parsed.issues.map((issue) => [v.getDotPath(issue), issue.message].filter(Boolean).join(': '));
};

describe('the file of faults that is shipped', () => {
	it('holds the symptoms of the trade and some thirty causes, each found by a look or left to a technician', () => {
		expect(SHIPPED_FAULTS.symptoms.map(({ id }) => id)).toEqual(
			expect.arrayContaining([
				'no-pilot',
				'no-transfer',
				'drops-out',
				'sputters',
				'wanders',
				'side-arc',
				'not-through',
				'parts-fast',
				'breaker',
				'earth-fault',
				'arc-fault',
				'pressure-falls',
				'intermittent'
			])
		);
		expect(SHIPPED_FAULTS.symptoms.filter(({ id }) => id.startsWith('lamp-'))).toHaveLength(4);
		expect(SHIPPED_FAULTS.causes.length).toBeGreaterThanOrEqual(30);
		for (const { id, stop } of SHIPPED_FAULTS.causes) {
			const shown = SHIPPED_FAULTS.looks.some(
				({ covers, tells }) => !covers && (OFTEN[tells[id] ?? 'never'] ?? 0) >= OFTEN.often
			);
			expect(shown || stop, id).toBe(true);
		}
	});

	it('opens nothing: whoever looks at torch or clamp is told to switch off, and no look asks for a cover', () => {
		for (const { id, covers, how, off } of SHIPPED_FAULTS.looks) {
			if (!covers) expect(how, id).not.toMatch(/open the (cutter|machine|panel)|take .*cover/i);
			if (/^Cutter off/.test(how)) expect(off, id).toBe(true);
		}
		const { causes } = SHIPPED_FAULTS;
		expect(causes.find(({ id }) => id === 'inside')!.fix).toMatch(/technician/);
		for (const id of ['breaker-small', 'start-noise'])
			expect(causes.find((c) => c.id === id)!.fix).toMatch(/licensed electrician/);
	});
});

describe('a file that a shop wrote', () => {
	it('is taken when it is as it was', () => {
		expect(wrong(changed(() => {}))).toEqual([]);
	});
	it.each([
		[
			'a cause that shows an unknown symptom',
			(f: FaultFile) => (f.causes[0]!.shows.humming = 'often'),
			'causes.0.shows: there is no symptom “humming”'
		],
		[
			'a look that tells of an unknown cause',
			(f: FaultFile) => (f.looks[3]!.tells.gremlins = 'often'),
			'looks.3.tells: there is no cause “gremlins”'
		],
		[
			'a look after an unknown one',
			(f: FaultFile) => (f.looks[2]!.after = 'no-such'),
			'there is no look “no-such”'
		],
		[
			'looks that wait for each other',
			(f: FaultFile) => {
				f.looks[0]!.after = f.looks[1]!.id;
				f.looks[1]!.after = f.looks[0]!.id;
			},
			'wait for each other'
		],
		[
			'a look that waits for itself',
			(f: FaultFile) => (f.looks[0]!.after = f.looks[0]!.id),
			'wait for each other'
		],
		[
			'the same cause twice',
			(f: FaultFile) => f.causes.push(structuredClone(f.causes[0]!)),
			'stands twice'
		],
		[
			'the bench for an unknown cause',
			(f: FaultFile) => f.bench[0]!.up.push('ghosts'),
			'bench.0.up: there is no cause “ghosts”'
		],
		[
			'a symptom that nothing shows',
			(f: FaultFile) => f.symptoms.push({ id: 'hums', name: 'Hums', help: 'x' }),
			'no cause shows “Hums”'
		],
		[
			'a number in place of a word',
			(f: FaultFile) => ((f.causes[0]!.shows as Record<string, unknown>)['no-transfer'] = 1.4),
			'one of nearly always, often'
		],
		[
			'a word of its own',
			(f: FaultFile) => ((f.causes[0]! as { common: string }).common = 'mostly'),
			'causes.0.common: one of nearly always'
		],
		[
			'minutes of nothing',
			(f: FaultFile) => (f.looks[0]!.minutes = 0),
			'looks.0.minutes: at least 0.05'
		],
		[
			'minutes that are no number',
			(f: FaultFile) => (f.looks[0]!.minutes = NaN),
			'looks.0.minutes'
		],
		['an id with a blank', (f: FaultFile) => (f.causes[1]!.id = 'two words'), 'causes.1.id'],
		[
			'a hundred causes',
			(f: FaultFile) => {
				for (let i = 0; i < 60; i++) f.causes.push({ ...f.causes[0]!, id: `more-${i}` });
			},
			'causes: at most 60'
		],
		[
			'something it does not know',
			(f: FaultFile) => ((f as unknown as { extra: number }).extra = 1),
			'extra'
		]
	])('is refused whole with its place: %s', (_, change, words) => {
		expect(wrong(changed((f) => void change(f))).join('\n')).toContain(words);
	});
	it.each([null, 4, 'text', [], {}, { format: 'other' }])('is refused when it is %j', (file) => {
		expect(wrong(file).length).toBeGreaterThan(0);
	});
});
