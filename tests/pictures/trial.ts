/** How well drawn pictures are read, against the goals. */
import { readBevel } from '../../src/lib/core/photo/bevel';
import { readKerf } from '../../src/lib/core/photo/kerf';
import { readEdge } from '../../src/lib/core/photo/edge';
import { linearLight } from '../../src/lib/core/photo/light';
import { readNozzle, type NozzleReading } from '../../src/lib/core/photo/nozzle';
import { edgePicture, type EdgeTruth } from './edge';
import { endPicture } from './end';
import { kerfPicture } from './kerf';
import type { Picture } from './lens';
import { nozzlePicture, type NozzleTruth } from './nozzle';

export interface Line {
	what: string;
	value: string;
	goal: string;
	held: boolean;
}
/** The value that so many of ten thousand stay under. */
export function quantile(values: readonly number[], share: number): number {
	const sorted = [...values].sort((a, b) => a - b);
	return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}
export const lightOf = ({ rgba, width, height }: Picture) => linearLight(rgba, width, height);

/** Misses among n that are still no sign of a worse rate than `rate`, `surely` so often (binomial). */
function missesAllowed(n: number, rate: number, surely: number): number {
	let term = (1 - rate) ** n;
	let sum = term;
	let k = 0;
	while (sum < surely && k < n) {
		term *= ((n - k) / (k + 1)) * (rate / (1 - rate));
		sum += term;
		k++;
	}
	return k;
}

/** Lines of a trial; `surely`: how sure a miss of a goal must be before it is told, ½ takes it as it stands. */
function judge(surely: number) {
	return {
		/** So many of a hundred errors are within the goal. */
		within: (
			what: string,
			errors: readonly number[],
			of: number,
			goal: number,
			unit: string
		): Line => ({
			what: `${what}, ${100 * of} %`,
			value: `${quantile(errors, of).toFixed(3)}${unit}, ${errors.length} pictures`,
			goal: `at most ${goal}${unit}`,
			held:
				errors.filter((e) => !(e <= goal)).length <= missesAllowed(errors.length, 1 - of, surely)
		}),
		/** At least so many are as they should be. */
		share: (what: string, right: number, of: number, goal: number): Line => ({
			what,
			value: `${of ? ((100 * right) / of).toFixed(1) : '–'} % of ${of}`,
			goal: `at least ${100 * goal} %`,
			held: of - right <= missesAllowed(of, 1 - goal, surely)
		})
	};
}

function refusals(
	{ share }: ReturnType<typeof judge>,
	cases: readonly { must: string | null; refused: string | null }[],
	readableLeast: number
): Line[] {
	const must = cases.filter((c) => c.must !== null);
	const refused = must.filter((c) => c.refused !== null);
	const readable = cases.filter((c) => c.must === null);
	const right = refused.filter((c) => c.refused === c.must);
	return [
		share('unreadable ones that are refused', refused.length, must.length, 0.98),
		share('refused for the right reason', right.length, refused.length, 0.8),
		share(
			'readable ones that are read',
			readable.filter((c) => c.refused === null).length,
			readable.length,
			readableLeast
		)
	];
}

export interface NozzleCase {
	seed: number;
	truth: NozzleTruth;
	refused: string | null;
	read: NozzleReading | null;
}
export function nozzleCases(seed: number, count: number): NozzleCase[] {
	return Array.from({ length: count }, (_, i) => {
		const { picture, truth } = nozzlePicture(seed + i);
		const answer = readNozzle(lightOf(picture), truth.faceMm);
		return {
			seed: seed + i,
			truth,
			refused: 'refused' in answer ? answer.refused : null,
			read: 'read' in answer ? answer.read : null
		};
	});
}
export function nozzleTrial(seed: number, count: number, surely = 0.5): Line[] {
	const { within, share } = judge(surely);
	const cases = nozzleCases(seed, count);
	const read = cases.flatMap(({ truth, read }) => (read && !truth.fault ? [{ truth, read }] : []));
	const off = (c: (typeof read)[number]) => Math.abs(c.read.boreMm.value - c.truth.boreMm);
	const bands = [
		[35, 999, 0.02, 0.03],
		[20, 35, 0.03, 0.06],
		[12, 20, 0.05, null],
		[8, 12, 0.08, null]
	] as const;
	const nicked = read.filter((c) => c.truth.nickMm > 0);
	const clean = read.filter((c) => c.truth.nickMm === 0);
	return [
		...bands.flatMap(([from, to, boreMm, ovalMm]) => {
			const here = read.filter((c) => c.truth.pxPerMm >= from && c.truth.pxPerMm < to);
			const at = `at ${from} px/mm${to > 100 ? ' and more' : ` to ${to}`}`;
			const oval = here.map((c) =>
				Math.abs(c.read.outOfRoundMm.value - (c.truth.longMm - c.truth.shortMm))
			);
			return [
				within(`bore ${at}`, here.map(off), 0.95, boreMm, ' mm'),
				...(ovalMm === null ? [] : [within(`out of round ${at}`, oval, 0.95, ovalMm, ' mm')])
			];
		}),
		share('nicks that are found', nicked.filter((c) => c.read.nickMm).length, nicked.length, 0.9),
		share(
			'whole bores without a nick',
			clean.filter((c) => !c.read.nickMm).length,
			clean.length,
			0.95
		),
		share(
			'errors inside two told spreads',
			read.filter((c) => off(c) < 2 * c.read.boreMm.spread).length,
			read.length,
			0.9
		),
		share(
			'not wrong with confidence',
			read.filter((c) => off(c) <= Math.max(0.1, 3 * c.read.boreMm.spread)).length,
			read.length,
			0.99
		),
		...refusals(
			{ within, share },
			cases.map(({ truth, refused }) => ({ must: truth.fault, refused })),
			0.95
		)
	];
}

export interface EdgeCase {
	seed: number;
	truth: EdgeTruth;
	answer: ReturnType<typeof readEdge>;
}
export function edgeCases(seed: number, count: number): EdgeCase[] {
	return Array.from({ length: count }, (_, i) => {
		const { picture, truth } = edgePicture(seed + i);
		return { seed: seed + i, truth, answer: readEdge(lightOf(picture), truth.thicknessMm) };
	});
}
/** Lag with its side: positive where the lines trail to the left. */
export const lagOf = (read: { lagDeg: { value: number }; wentTo: 'left' | 'right' }): number =>
	read.wentTo === 'right' ? read.lagDeg.value : -read.lagDeg.value;

export function edgeTrial(seed: number, count: number, surely = 0.5): Line[] {
	const { within, share } = judge(surely);
	const cases = edgeCases(seed, count);
	const read = cases.flatMap(({ truth, answer }) =>
		'read' in answer && !truth.fault ? [{ truth, read: answer.read }] : []
	);
	const off = (c: (typeof read)[number]) => Math.abs(lagOf(c.read) - c.truth.lagDeg);
	const thick = read.filter((c) => c.truth.thicknessMm >= 12);
	const thin = read.filter((c) => c.truth.thicknessMm < 12);
	return [
		within('lag', read.map(off), 0.5, 0.5, '°'),
		within('lag from 12 mm', thick.map(off), 0.95, 2, '°'),
		within('lag from 4 mm', thin.map(off), 0.95, 2.5, '°'),
		share(
			'kinds of dross that are right',
			read.filter((c) => c.read.dross === c.truth.dross).length,
			read.length,
			0.85
		),
		share(
			'errors inside two told spreads',
			read.filter((c) => off(c) < 2 * c.read.lagDeg.spread).length,
			read.length,
			0.9
		),
		share(
			'not wrong with confidence',
			read.filter((c) => off(c) <= Math.max(5, 3 * c.read.lagDeg.spread)).length,
			read.length,
			0.99
		),
		...refusals(
			{ within, share },
			cases.map(({ truth, answer }) => ({
				must: truth.fault,
				refused: 'refused' in answer ? answer.refused : null
			})),
			0.85
		)
	];
}

/** One in five has no edge or is blurred. */
export function endTrial(seed: number, count: number, surely = 0.5): Line[] {
	const { within, share } = judge(surely);
	const cases = Array.from({ length: count }, (_, i) => {
		const fault = i % 10 === 3 ? 'no-edge' : i % 10 === 7 ? 'blurred' : null;
		const { picture, truth } = endPicture(seed + i, fault);
		return { truth, answer: readBevel(lightOf(picture)) };
	});
	const read = cases.flatMap(({ truth, answer }) =>
		'read' in answer && !truth.fault ? [{ truth, read: answer.read }] : []
	);
	const off = read.map((c) => Math.abs(c.read.bevelDeg.value - c.truth.bevelDeg));
	return [
		within('bevel', off, 0.95, 1.5, '°'),
		share(
			'sides that are right',
			read.filter((c) => c.read.side === c.truth.side).length,
			read.length,
			0.99
		),
		share(
			'errors inside two told spreads',
			off.filter((error, i) => error < 2 * read[i]!.read.bevelDeg.spread).length,
			read.length,
			0.9
		),
		...refusals(
			{ within, share },
			cases.map(({ truth, answer }) => ({
				must: truth.fault,
				refused: 'refused' in answer ? answer.refused : null
			})),
			0.85
		)
	];
}

const KERF_FAULTS = ['no-rule', 'no-kerf', 'blurred', 'small'] as const;
export function kerfCases(seed: number, count: number) {
	return Array.from({ length: count }, (_, i) => {
		const fault = i % 6 === 5 ? KERF_FAULTS[Math.floor(i / 6) % KERF_FAULTS.length]! : null;
		const { picture, truth } = kerfPicture(seed + i, fault);
		return { seed: seed + i, truth, answer: readKerf(lightOf(picture), 1) };
	});
}
/** One in six cannot be read. */
export function kerfTrial(seed: number, count: number, surely = 0.5): Line[] {
	const { within, share } = judge(surely);
	const cases = kerfCases(seed, count);
	const read = cases.flatMap(({ truth, answer }) =>
		'read' in answer && !truth.fault ? [{ truth, read: answer.read }] : []
	);
	const off = (c: (typeof read)[number]) => Math.abs(c.read.kerfMm.value - c.truth.kerfMm);
	const fine = read.filter((c) => c.truth.pxPerMm >= 20);
	const coarse = read.filter((c) => c.truth.pxPerMm < 20);
	return [
		within('kerf at 20 px/mm and more', fine.map(off), 0.95, 0.08, ' mm'),
		within('kerf below 20 px/mm', coarse.map(off), 0.95, 0.12, ' mm'),
		share(
			'errors inside two told spreads',
			read.filter((c) => off(c) < 2 * c.read.kerfMm.spread).length,
			read.length,
			0.9
		),
		share(
			'not wrong with confidence',
			read.filter((c) => off(c) <= Math.max(0.1, 3 * c.read.kerfMm.spread)).length,
			read.length,
			0.99
		),
		...refusals(
			{ within, share },
			cases.map(({ truth, answer }) => ({
				must: truth.fault,
				refused: 'refused' in answer ? answer.refused : null
			})),
			0.85
		)
	];
}
