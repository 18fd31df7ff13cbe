/** Any answer of the core as lines of text, so that a changed answer shows as a changed line. */
import { expect } from 'vitest';

/** Values of a long row that are written out. */
const ROW_MOST = 40;

/** Five digits: more than anybody reads, few enough that no processor's last bit shows. */
const short = (n: number): string =>
	Number.isFinite(n) ? String(Number(n.toPrecision(5))) : String(n);
type Plain = string | number | boolean | null;
const isPlain = (value: unknown): value is Plain => typeof value !== 'object' || value === null;
const word = (value: Plain): string => (typeof value === 'number' ? short(value) : String(value));

/** A long row: how many of it, the sum of its numbers, and some from all over it. */
function row(values: readonly Plain[]): string {
	if (values.length <= ROW_MOST) return values.map(word).join(' ');
	const step = Math.ceil(values.length / ROW_MOST);
	const sum = values.reduce<number>((all, value) => all + Number(value), 0);
	const some = values.filter((_, i) => i % step === 0);
	return `${values.length} of sum ${short(sum)}: ${some.map(word).join(' ')}`;
}

/** Every value by the path to it; what is undefined or a function is left out. */
function valuesOf(value: unknown, path = ''): [string, string][] {
	if (value === undefined || typeof value === 'function') return [];
	if (isPlain(value)) return [[path, word(value)]];
	if (value instanceof Map || value instanceof Set) return valuesOf([...value], path);
	if (Array.isArray(value) || ArrayBuffer.isView(value)) {
		const items = Array.from(value as ArrayLike<unknown>);
		if (items.every(isPlain)) return [[path, row(items)]];
		return items.flatMap((item, i) => valuesOf(item, `${path}[${i}]`));
	}
	return Object.entries(value).flatMap(([key, item]) =>
		valuesOf(item, path ? `${path}.${key}` : key)
	);
}

/** Cases side by side: a line for each path, a column for each case; “·” where a case has no such thing. */
export function table(cases: Record<string, unknown>): string {
	const names = Object.keys(cases);
	const columns = Object.values(cases).map((value) => new Map(valuesOf(value)));
	const paths = [...new Set(columns.flatMap((column) => [...column.keys()]))];
	const line = (path: string) => {
		const cells = columns.map((column) => column.get(path) ?? '·');
		const alike = names.length > 1 && cells.every((cell) => cell === cells[0]);
		return `${path}: ${alike ? `all ${cells[0]}` : cells.join(' | ')}`;
	};
	return [...names.map((name, k) => `${k + 1} ${name}`), ...paths.map(line)].join('\n');
}

/** Is as it was kept; `npx vitest run tests/kept -u` keeps it anew. */
export const asKept = (name: string, text: string): Promise<void> =>
	expect(`${text}\n`).toMatchFileSnapshot(`./answers/${name.replaceAll(' ', '-')}.txt`);
