import type { Kind } from '$lib/core/stored/kind';

/** A row that this program cannot read: it was damaged, or a newer program wrote it. */
export class UnreadableError extends Error {
	constructor(
		readonly what: string,
		reason: string
	) {
		super(`${what} cannot be read: ${reason}`);
	}
}

/** Reads what stands in a row by the one reader of its kind; throws {@link UnreadableError}. */
export function readStored<T>(kind: Kind<T>, what: string, text: string, version: number): T {
	let data: unknown;
	try {
		data = JSON.parse(text);
	} catch {
		throw new UnreadableError(what, 'it is not JSON');
	}
	const read = kind.read(data, version);
	if (!read.ok) throw new UnreadableError(what, read.reason);
	return read.value;
}
