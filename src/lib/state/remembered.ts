/**
 * Small things that stay on this device over reloads, by name. A browser that keeps nothing (storage closed to
 * the page, or full) forgets them with the page; what is read may come from an earlier program.
 */
import * as v from 'valibot';

/** Only to be asked where it may throw: even its name does where storage is closed. */
function quietly<T>(work: (storage: Storage) => T): T | undefined {
	try {
		return globalThis.localStorage && work(globalThis.localStorage);
	} catch {
		return undefined;
	}
}

export const recallText = (key: string): string | undefined =>
	quietly((storage) => storage.getItem(key)) ?? undefined;
export const rememberText = (key: string, text: string): void =>
	void quietly((storage) => storage.setItem(key, text));
export const forget = (key: string): void => void quietly((storage) => storage.removeItem(key));

export const remember = (key: string, value: unknown): void =>
	rememberText(key, JSON.stringify(value));

/** undefined: nothing is kept, or nothing that `schema` takes. */
export function recall<S extends v.GenericSchema>(
	key: string,
	schema: S
): v.InferOutput<S> | undefined {
	const text = recallText(key);
	if (text === undefined) return undefined;
	try {
		const read = v.safeParse(schema, JSON.parse(text));
		return read.success ? read.output : undefined;
	} catch {
		return undefined;
	}
}
