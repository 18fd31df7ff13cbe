/**
 * What nobody has checked yet: a bench keeps the paths of the values that were taken as typical. A path
 * stands for all that is under it: `cutter.inputs.0.duty` for every duty pair. Such a value is never told
 * as coming from the label (D), only as typical (R).
 */
import type { Bench } from './bench';

/** Everything that a bench has. */
export const ALL_OF_A_BENCH = ['supply', 'cutter', 'torch', 'air', 'usual'] as const;

const under = (path: string, top: string) => path === top || path.startsWith(`${top}.`);

/** Whether a value, or anything under its path, is typical and not yet checked. */
export const isTypical = (typical: readonly string[], path: string): boolean =>
	typical.some((t) => under(path, t) || under(t, path));

type Node = Record<string, unknown>;
const isNode = (x: unknown): x is Node => typeof x === 'object' && x !== null;
const childrenOf = (bench: Bench, path: string): string[] => {
	const node = path.split('.').reduce<unknown>((n, key) => (n as Node | null)?.[key], bench);
	return isNode(node) ? Object.keys(node).map((key) => `${path}.${key}`) : [];
};

/** The same bench with the value at `path`, and all under it, checked by the person. */
export function checked<B extends Bench>(bench: B, path: string): B {
	const apart = (t: string): string[] => {
		if (under(t, path)) return [];
		if (!under(path, t)) return [t];
		// It stands for more than what was checked: its other parts stay typical.
		return childrenOf(bench, t).flatMap(apart);
	};
	const typical = bench.typical.flatMap(apart).sort();
	return { ...bench, typical };
}

/** The same bench with all under these paths taken as typical. */
export function asTypical<B extends Bench>(bench: B, paths: readonly string[]): B {
	const rest = bench.typical.filter((t) => !paths.some((path) => under(t, path)));
	const more = paths.filter((path) => !rest.some((t) => under(path, t)));
	return { ...bench, typical: [...rest, ...more].sort() };
}

/** Typical still, when two people checked different things: what neither of them did. */
export const typicalToBoth = (mine: readonly string[], theirs: readonly string[]): string[] => [
	...new Set([
		...mine.filter((m) => theirs.some((t) => under(m, t))),
		...theirs.filter((t) => mine.some((m) => under(t, m)))
	])
];
