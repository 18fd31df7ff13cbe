import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Entry } from '$lib/core';
import { csvLine, entriesFromCsv, LOG_CSV_HEADER, type CsvEntry } from './logCsv';
import { logQuery, QUERY_MOST } from './logQuery';

const TODAY = '2026-11-26';
const NOW = '2026-11-26T12:00:00.000Z';
const ask = (text: string) => logQuery(text, TODAY);

describe('words asked of the log', () => {
	it('are thickness, amps, metal, kind, start, a date, or else a name', () => {
		expect(ask('8 mm rolled')).toMatchObject({ thicknessMm: [8], starts: ['rolled'], words: [] });
		expect(ask('1/4 in mild steel 45 A')).toMatchObject({
			thicknessMm: [6.35],
			outputA: [45],
			metals: ['mild-steel']
		});
		expect(ask('pits sluice hangers')).toMatchObject({
			kinds: ['pit'],
			words: ['sluice', 'hangers']
		});
		expect(ask('failed 30A')).toMatchObject({ kinds: ['start'], outputA: [30] });
	});

	it.each([
		['18 Nov', '2026-11-18', '2026-11-19'],
		['18 Dec', '2025-12-18', '2025-12-19'],
		['31 Oct 2024', '2024-10-31', '2024-11-01'],
		['october', '2026-10-01', '2026-11-01'],
		['Dec 2025', '2025-12-01', '2026-01-01'],
		['2026-02', '2026-02-01', '2026-03-01'],
		['2026-02-28', '2026-02-28', '2026-03-01'],
		['2025', '2025-01-01', '2026-01-01']
	])('"%s" is a time: the last such one that has been', (text, from, before) => {
		expect(ask(text)).toMatchObject({ from, before, words: [] });
	});

	it('that look like a month and are none are names', () => {
		expect(ask('mark').words).toEqual(['mark']);
		expect(ask('mayor').words).toEqual(['mayor']);
	});

	it('property: anything typed is read, and nothing of it twice', () => {
		fc.assert(
			fc.property(fc.string({ maxLength: QUERY_MOST + 50 }), (text) => {
				const query = ask(text);
				expect(query.words.join('').length).toBeLessThanOrEqual(text.length);
			})
		);
	});
});

const CUT: Entry = {
	kind: 'cut',
	metal: 'mild-steel',
	thicknessMm: 6,
	outputA: 45,
	lengthMm: 300,
	arcS: 13.9,
	starts: 1,
	start: 'edge',
	nozzleA: 45
};
const file = (...entries: CsvEntry[]) => [LOG_CSV_HEADER, ...entries.map(csvLine)].join('\r\n');

describe('the log as CSV', () => {
	it('property: comes back as it was written', () => {
		const text = fc.string({ maxLength: 40 }).map((t) => t.trim().replace(/\r/g, ''));
		const entry = fc.oneof(
			fc.constant(CUT),
			fc.constant<Entry>({ ...CUT, mesh: true, starts: 3 }),
			fc.constant<Entry>({ kind: 'pit', pitMm: 0.53 }),
			fc.constant<Entry>({ kind: 'bore', boreMm: 1.14, acrossMm: 1.18, newMm: 1.1 }),
			fc.constant<Entry>({ kind: 'look', seen: 'smeared' }),
			fc.constant<Entry>({ kind: 'start', arcS: 1, start: 'edge', times: 4 }),
			fc.constant<Entry>({ kind: 'drain', fromBar: 8, toBar: 6, seconds: 40 })
		);
		fc.assert(
			fc.property(
				fc.array(fc.record({ entry, who: text, whatFor: text }), { maxLength: 8 }),
				(all) => {
					const given = all.map(({ entry: e, who, whatFor }) => ({
						at: '2026-11-24T11:20:00.000Z',
						entry: e,
						...(who && { who }),
						...(whatFor && { whatFor })
					}));
					const read = entriesFromCsv(file(...given), NOW);
					expect(read.problems).toEqual([]);
					expect(read.entries).toEqual(given);
				}
			)
		);
	});

	it('names the row of what it does not take, and then takes nothing', () => {
		const good = { at: '2026-11-24T11:20:00.000Z', entry: CUT };
		const bad = [
			file(good).replace('300', '-300'),
			file(good).replace('2026-11-24', '2027-11-24'),
			file(good).replace('2026-11-24', '2026-02-31'),
			file(good).replace('mild-steel', 'unobtainium'),
			file(good).replace('2026-11-24T11:20:00.000Z', 'last Tuesday'),
			file(good).replace(',cut,', ',cutlet,')
		];
		for (const text of bad) {
			const { entries, problems } = entriesFromCsv(text, NOW);
			expect(entries, text).toEqual([]);
			expect(problems, text).toHaveLength(1);
			expect(problems[0]!.row).toBe(2);
		}
		expect(entriesFromCsv('a,b\n1,2', NOW).problems.map(({ message }) => message)).toEqual([
			'a column "when" is missing',
			'a column "what" is missing'
		]);
	});

	it('does not let a note become a formula of a spreadsheet', () => {
		const line = csvLine({ at: NOW, entry: CUT, whatFor: '=1+1' });
		expect(line).toContain("'=1+1");
		expect(entriesFromCsv(`${LOG_CSV_HEADER}\r\n${line}`, NOW).entries[0]!.whatFor).toBe('=1+1');
	});

	it('property: a file made to hurt is refused in words', () => {
		fc.assert(
			fc.property(fc.string({ maxLength: 300 }), (text) => {
				const { entries, problems } = entriesFromCsv(text, NOW);
				expect(entries.length === 0 || problems.length === 0).toBe(true);
			})
		);
	});
});
