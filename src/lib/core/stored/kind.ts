/**
 * One reader for each kind of thing that is kept: the version beside the data → its table of upgrades →
 * the schema. Nothing that comes out of the store is cast, and whatever was kept once opens for ever.
 */
import * as v from 'valibot';

/** Data of an earlier version to the next one. Pure; what it does not know it leaves alone. */
export type Upgrade = (data: unknown) => unknown;

export type Read<T> =
	{ ok: true; value: T } | { ok: false; reason: string; issues: readonly v.BaseIssue<unknown>[] };

export interface Kind<T> {
	name: string;
	/** Version that is written now: one more than there are upgrades. */
	version: number;
	schema: v.GenericSchema<unknown, T>;
	read: (data: unknown, version: number) => Read<T>;
}

/**
 * `upgrades[k]` brings version k + 1 to k + 2. `tell` finds the version of data from before versions were
 * kept (0 in the row) by its shape.
 */
export function kindOf<S extends v.GenericSchema>(
	name: string,
	schema: S,
	upgrades: readonly Upgrade[] = [],
	tell: (data: unknown) => number = () => 1
): Kind<v.InferOutput<S>> {
	const version = upgrades.length + 1;
	return {
		name,
		version,
		schema: schema,
		read(data, from) {
			if (from > version) {
				const reason = `${name} of version ${from}; this program reads up to ${version}. Update the program.`;
				return { ok: false, reason, issues: [] };
			}
			const known = from >= 1 ? from : tell(data);
			const upgraded = upgrades.slice(known - 1).reduce<unknown>((d, up) => up(d), data);
			const parsed = v.safeParse(schema, upgraded);
			if (parsed.success) return { ok: true, value: parsed.output };
			const [first] = parsed.issues;
			const where = v.getDotPath(first) ?? '';
			return { ok: false, reason: `${name} ${where}: ${first.message}`, issues: parsed.issues };
		}
	};
}

export type Json = Record<string, unknown>;
export const isObject = (x: unknown): x is Json =>
	typeof x === 'object' && x !== null && !Array.isArray(x);

/** A change of one field, where it is an object. */
export function withField(data: Json, field: string, change: (value: Json) => Json): Json {
	const value = data[field];
	return isObject(value) ? { ...data, [field]: change(value) } : data;
}

/** A change of every object in a list. */
export const eachObject = (list: unknown, change: (item: Json) => Json): unknown =>
	Array.isArray(list) ? list.map((item: unknown) => (isObject(item) ? change(item) : item)) : list;
