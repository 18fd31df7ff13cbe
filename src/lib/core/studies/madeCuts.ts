/** The planned cut, made several times: what the log is told. */
import { START_METHODS } from '../cut/start';
import type { Cut } from '../inputs/defaults';
import type { Plan } from '../plan/types';
import type { Job } from './job';
import type { StartOption } from '../wear/starts';
import type { Entry } from '../evidence/entries';

export type MadeCut = Extract<Entry, { kind: 'cut' }>;

/** One entry holds no more, by the log's own limits and by what a person counts in one go. */
export const CUTS_AT_ONCE_MOST = 200;
const LENGTH_MOST_MM = 100_000;
const STARTS_MOST = 1000;
const ARC_MOST_S = 36_000;

/** How a piece of this plate is pierced: straight where that goes through well, else rolled. */
export function pierceOf(starts: readonly StartOption[]): StartOption | undefined {
	const goes = (method: StartOption['method']) =>
		starts.find((s) => s.method === method && s.fits !== 'too thick' && s.throughS !== null);
	const straight = goes('pierce');
	return straight?.fits === 'fits' ? straight : (goes('rolled') ?? straight);
}

/** The most of the planned cut that one gesture logs; 0: it does not go through. */
export function cutsAtOnce({ figures }: Plan): number {
	const [arcS, lengthMm] = [figures['setup.arcS'].value, figures['setup.lineMm'].value];
	if (arcS === null || lengthMm === null) return 0;
	return Math.min(
		CUTS_AT_ONCE_MOST,
		Math.floor(LENGTH_MOST_MM / lengthMm),
		Math.floor(ARC_MOST_S / arcS)
	);
}

/**
 * Entries of `cuts` such cuts, `pierced` of them started in the plate instead of as planned; at most two.
 * Nothing where the cut does not go through, or more are pierced than were made.
 */
export function madeCuts(
	{ figures, choices }: Plan,
	cut: Cut,
	{ cuts, pierced }: { cuts: number; pierced: number }
): MadeCut[] {
	const arcS = figures['setup.arcS'].value;
	const lengthMm = figures['setup.lineMm'].value;
	const { startMethod, starts } = choices;
	if (arcS === null || lengthMm === null || startMethod === 'none' || pierced > cuts) return [];
	const { metal, thicknessMm, mesh } = cut;
	const throughS = (method: StartOption['method']) =>
		starts.find((s) => s.method === method)?.throughS ?? 0;
	const of = (n: number, start: StartOption['method']): MadeCut[] =>
		n === 0
			? []
			: [
					{
						kind: 'cut',
						metal,
						thicknessMm,
						lengthMm: n * lengthMm,
						outputA: figures['setup.currentA'].value!,
						// The other start takes its own time to go through.
						arcS: n * (arcS - throughS(startMethod) + throughS(start)),
						starts: n,
						...(mesh ? { mesh } : {}),
						start
					}
				];
	const pierce = pierced > 0 ? pierceOf(starts) : undefined;
	if (pierced > 0 && !pierce) return [];
	return [...of(cuts - pierced, startMethod), ...(pierce ? of(pierced, pierce.method) : [])];
}

/** All cuts of a job as the log takes them, those that start alike together; nothing where one does not go through. */
export function madeJob(job: Job, { figures }: Plan, cut: Cut): MadeCut[] {
	const outputA = figures['setup.currentA'].value;
	if (outputA === null || job.arcS === null) return [];
	const { metal, thicknessMm, mesh } = cut;
	return START_METHODS.flatMap((start) => {
		const of = job.cuts.filter((one) => one.start === start);
		if (of.length === 0) return [];
		const sum = (what: (one: Job['cuts'][number]) => number) =>
			of.reduce((total, one) => total + what(one), 0);
		const [lengthMm, arcS] = [sum((one) => one.lengthMm), sum((one) => one.arcS ?? 0)];
		// So many parts in one entry, by the limits of an entry.
		const most = Math.floor(
			Math.min(STARTS_MOST / of.length, LENGTH_MOST_MM / lengthMm, ARC_MOST_S / arcS)
		);
		if (most < 1) return [];
		const shares: number[] = [];
		for (let left = job.parts; left > 0; left -= most) shares.push(Math.min(most, left));
		return shares.map((parts): MadeCut => ({
			kind: 'cut',
			metal,
			thicknessMm,
			lengthMm: parts * lengthMm,
			outputA,
			arcS: parts * arcS,
			starts: parts * of.length,
			...(mesh ? { mesh } : {}),
			start
		}));
	});
}

export type MadeGroove = Extract<Entry, { kind: 'groove' }>;

/** The planned groove, all of its pieces, as one entry; `many`: more than one entry holds; undefined: it cannot be made. */
export function madeGroove(
	{ figures, groove }: Plan,
	{ gouge, metal, lengthMm }: Cut
): MadeGroove | 'many' | undefined {
	const [strings, pieceS] = [figures['gouge.strings'].value, figures['gouge.pieceS'].value];
	if (strings === null || pieceS === null) return undefined;
	const pieceMm = groove ? strings * (gouge.lengthMm ?? lengthMm) : gouge.widthMm;
	const entry: MadeGroove = {
		kind: 'groove',
		metal: gouge.metal ?? metal,
		outputA: figures['gouge.currentA'].value!,
		lengthMm: gouge.pieces * pieceMm,
		arcS: gouge.pieces * pieceS,
		starts: gouge.pieces * strings
	};
	const holds =
		entry.starts <= STARTS_MOST && entry.lengthMm <= LENGTH_MOST_MM && entry.arcS <= ARC_MOST_S;
	return holds ? entry : 'many';
}
