/** Reads a value by its path: `supply.cord.lengthM`. */
export function getPath(root: unknown, path: string): unknown {
	return path
		.split('.')
		.reduce<unknown>((node, key) => (node as Record<string, unknown> | null)?.[key], root);
}

/** A copy with one value set; what is not on the path is shared with the original. */
export function setPath<T>(root: T, path: string, value: unknown): T {
	const [key, ...rest] = path.split('.') as [string, ...string[]];
	const copy = (Array.isArray(root) ? [...(root as unknown[])] : { ...root }) as Record<
		string,
		unknown
	>;
	copy[key] = rest.length ? setPath(copy[key] ?? {}, rest.join('.'), value) : value;
	return copy as T;
}
