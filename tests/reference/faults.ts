import type { FaultFile, Often } from '../../src/lib/core/faults/file';
import { Finder, type Answer, type Said } from '../../src/lib/core/faults/finder';
import { SHIPPED_FAULTS } from '../../src/lib/core/faults/shipped';
import { hotWork, type Watch } from '../../src/lib/core/preflight/hotWork';
import type { Compute } from './compute';

const parts = (text: unknown): string[][] =>
	String(text)
		.split('; ')
		.filter(Boolean)
		.map((row) => row.split(' '));
const often = (words: string[]) => words.join(' ') as Often;
const answersOf = (text: unknown): Answer[] =>
	parts(text).map(([look, said]) => ({ look: look!, said: said as Said }));
const ids = (text: unknown) => String(text).split(' ').filter(Boolean);

const cause = (
	id: string,
	common: Often,
	shows: Record<string, Often>
): FaultFile['causes'][number] => ({
	id,
	name: id,
	station: 'checks',
	common,
	fix: id,
	stop: false,
	shows
});
const look = (
	id: string,
	sign: 'yes' | 'no',
	tells: Record<string, Often>
): FaultFile['looks'][number] => ({
	id,
	ask: id,
	yes: 'yes',
	no: 'no',
	sign,
	minutes: 1,
	how: id,
	tells,
	off: false,
	covers: false
});
const fileOf = (
	causes: FaultFile['causes'],
	looks: FaultFile['looks'],
	bench: FaultFile['bench'] = []
): FaultFile => ({
	format: 'steady-arc/faults',
	version: 1,
	symptoms: ['s', 't'].map((id) => ({ id, name: id, help: id })),
	causes,
	looks,
	bench
});
const rest = <T>(rows: string[][], at: number, of: (row: string[]) => T): Map<string, T[]> => {
	const all = new Map<string, T[]>();
	for (const row of rows) all.set(row[0]!, [...(all.get(row[0]!) ?? []), of(row.slice(at))]);
	return all;
};

export const FAULT_COMPUTE: Record<string, Compute> = {
	fault_posterior: (i) => {
		const shows = rest(parts(i.shows), 1, ([s, ...w]) => [s!, often(w)] as const);
		const tells = rest(parts(i.looks), 2, ([c, ...w]) => [c!, often(w)] as const);
		const signs = new Map(parts(i.looks).map(([id, sign]) => [id!, sign as 'yes' | 'no']));
		const causes = parts(i.prior).map(([id, ...w]) =>
			cause(id!, often(w), Object.fromEntries(shows.get(id!) ?? []))
		);
		const looks = [...tells].map(([id, told]) =>
			look(id, signs.get(id)!, Object.fromEntries(told))
		);
		const finder = new Finder(
			fileOf(causes, looks, [{ id: 'bench', up: ids(i.up), down: ids(i.down) }])
		);
		const weights = finder.weights({
			symptom: String(i.symptom),
			answers: answersOf(i.answers),
			inVain: ids(i.in_vain),
			known: ['bench']
		});
		const shares = finder.beliefsOf(weights).map((b) => [`share_${b.cause}`, b.share] as const);
		const bits = looks.map(({ id }) => [`bits_${id}`, finder.bitsOf(id, weights)] as const);
		return Object.fromEntries<number>([...shares, ...bits]);
	},
	binary_channel: (i) => {
		const word = (p: unknown): Often =>
			p === 0.9
				? 'nearly always'
				: p === 0.6
					? 'often'
					: p === 0.3
						? 'sometimes'
						: p === 0.1
							? 'rarely'
							: 'never';
		const both = ['a', 'b'].map((id) => cause(id, 'often', { s: 'often' }));
		const finder = new Finder(fileOf(both, [look('l', 'yes', { a: word(i.p), b: word(i.q) })]));
		return { bits: finder.bitsOf('l', finder.weights({ symptom: 's', answers: [] })) };
	},
	fault_fact: (i) => ({
		leads: new Finder(SHIPPED_FAULTS).find({
			symptom: String(i.symptom),
			answers: answersOf(i.answers)
		}).lead!.cause
	}),
	hot_work: (i) => {
		const sheet = hotWork({ startMs: 0, workMin: Number(i.work_min), watch: i.watch as Watch });
		return {
			watch_min: sheet.watchMin,
			until_min: sheet.watchUntilMs / 60_000,
			clear: sheet.clearM
		};
	}
};
