import { readdirSync, readFileSync } from 'node:fs';
import { COMPUTE, type Value } from './compute';

interface Expected {
	value: Value;
	unit: string;
	rel_tol?: number;
	abs_tol?: number;
	/** The value is a bound, not the answer. */
	bound?: 'least' | 'most';
}
interface Case {
	id: string;
	group: string;
	source: string;
	/** computed · table from memory · common practice */
	kind: string;
	inputs: Record<string, Value>;
	expected: Record<string, Expected>;
	rel_tol?: number;
	abs_tol?: number;
}

export interface ReferenceCheck {
	id: string;
	topic: string;
	source: string;
	kind: string;
	quantity: string;
	unit: string;
	expected: Value;
	computed: Value;
	/** Absolute deviation; 0 or 1 for words. */
	deviation: number;
	/** Absolute. */
	tolerance: number;
	holds: boolean;
}

const FOLDER = new URL('./cases/', import.meta.url);

function compare(
	expected: Expected,
	computed: Value,
	of: Case
): Pick<ReferenceCheck, 'deviation' | 'tolerance' | 'holds'> {
	if (typeof expected.value !== 'number' || typeof computed !== 'number') {
		const same = expected.value === computed;
		return { deviation: same ? 0 : 1, tolerance: 0, holds: same };
	}
	if (expected.bound) {
		const short =
			expected.bound === 'least' ? expected.value - computed : computed - expected.value;
		return { deviation: Math.max(0, short), tolerance: 1e-9, holds: short <= 1e-9 };
	}
	// An entry's own tolerance goes before the case's; absolute and relative never mix.
	const own = expected.abs_tol !== undefined || expected.rel_tol !== undefined ? expected : of;
	const tolerance = Math.max(own.abs_tol ?? 0, (own.rel_tol ?? 0) * Math.abs(expected.value), 1e-9);
	const deviation = Math.abs(computed - expected.value);
	return { deviation, tolerance, holds: deviation <= tolerance };
}

/** Every value of every case that the core computes, beside what it should be. */
export function referenceChecks(): ReferenceCheck[] {
	const checks: ReferenceCheck[] = [];
	for (const file of readdirSync(FOLDER).sort()) {
		const { topic, cases } = JSON.parse(readFileSync(new URL(file, FOLDER), 'utf8')) as {
			topic: string;
			cases: Case[];
		};
		for (const one of cases) {
			const compute = COMPUTE[one.group];
			if (!compute) throw new Error(`no computation for the reference group ${one.group}`);
			const computed = compute(one.inputs);
			const names = Object.keys(computed).filter((name) => Object.hasOwn(one.expected, name));
			if (names.length === 0) throw new Error(`reference case ${one.id} compares nothing`);
			for (const name of names) {
				const expected = one.expected[name]!;
				checks.push({
					id: names.length > 1 ? `${one.id}/${name}` : one.id,
					topic,
					source: one.source,
					kind: one.kind,
					quantity: name,
					unit: expected.unit,
					expected: expected.value,
					computed: computed[name]!,
					...compare(expected, computed[name]!, one)
				});
			}
		}
	}
	return checks;
}
