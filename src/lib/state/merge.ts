/** Two edits of one thing, put together: what only one of them changed is taken from that one. */
export type Merged<T> = { ok: true; value: T } | { ok: false; fields: string[] };

const isPlain = (x: unknown): x is Record<string, unknown> =>
	typeof x === 'object' && x !== null && !Array.isArray(x);
const same = (x: unknown, y: unknown) => JSON.stringify(x) === JSON.stringify(y);

function mergeAt(
	base: unknown,
	mine: unknown,
	theirs: unknown,
	at: string,
	clash: string[]
): unknown {
	if (same(mine, theirs) || same(theirs, base)) return mine;
	if (same(mine, base)) return theirs;
	if (isPlain(base) && isPlain(mine) && isPlain(theirs)) {
		const keys = new Set([...Object.keys(theirs), ...Object.keys(mine)]);
		const merged: Record<string, unknown> = {};
		for (const key of keys) {
			const field = at === '' ? key : `${at}.${key}`;
			const value = mergeAt(base[key], mine[key], theirs[key], field, clash);
			if (value !== undefined) merged[key] = value;
		}
		return merged;
	}
	const lists = [base, mine, theirs];
	if (lists.every(Array.isArray)) {
		const [b, m, t] = lists as unknown[][];
		if (b!.length === m!.length && b!.length === t!.length) {
			return b!.map((one, i) => mergeAt(one, m![i], t![i], `${at}.${i}`, clash));
		}
	}
	clash.push(at);
	return mine;
}

/** `fields`: what both changed, each to something else. */
export function merged<T>(base: T, mine: T, theirs: T): Merged<T> {
	const clash: string[] = [];
	const value = mergeAt(base, mine, theirs, '', clash) as T;
	return clash.length ? { ok: false, fields: clash } : { ok: true, value };
}
