import * as v from 'valibot';
import { DomainError } from '$lib/core';

/** One field that was refused: where, what is accepted, what came. */
export interface FieldProblem {
	/** Path in the body: `bench.supply.cord.lengthM`. */
	field: string;
	/** What is accepted. */
	message: string;
	received: string;
}

/** The body of every refusal of the API. */
export interface Problem {
	code:
		| 'bad-json'
		| 'bad-input'
		| 'unknown'
		| 'stale'
		| 'too-large'
		| 'refused'
		| 'reused'
		| 'busy'
		| 'too-heavy'
		| 'locked'
		| 'fault';
	message: string;
	fields: FieldProblem[];
}

function received(input: unknown): string {
	if (input === undefined) return 'nothing';
	// What has no JSON (a function: arrays have some where fields are looked for) is no value at all.
	const text = typeof input === 'string' ? `"${input}"` : (JSON.stringify(input) ?? 'nothing');
	return text.length > 60 ? `${text.slice(0, 57)}…` : text;
}

/** Field problems from Valibot's issues, one per field, the first told. */
export function fieldProblems(
	issues: readonly v.BaseIssue<unknown>[],
	prefix = ''
): FieldProblem[] {
	const byField = new Map<string, FieldProblem>();
	for (const issue of issues) {
		const path = v.getDotPath(issue) ?? '';
		const field = [prefix, path].filter(Boolean).join('.') || '(body)';
		if (!byField.has(field)) {
			// Valibot tells a missing key in its own words; ours are plainer.
			const message = issue.message.startsWith('Invalid key') ? 'is needed' : issue.message;
			byField.set(field, { field, message, received: received(issue.input) });
		}
	}
	return [...byField.values()];
}

/** "supply.cord.lengthM: 0.1 to 100 m, got -2" */
export function sentence(problem: FieldProblem): string {
	return `${problem.field}: ${problem.message}, got ${problem.received}`;
}

/** A list is an object to the language, not to us. */
export const isBody = (data: unknown): data is Record<string, unknown> =>
	typeof data === 'object' && data !== null && !Array.isArray(data);
export const noBody = (data: unknown): Problem =>
	badInput([{ field: '(body)', message: 'a JSON object', received: received(data) }]);

export function badInput(fields: FieldProblem[]): Problem {
	return { code: 'bad-input', message: fields.map(sentence).join('; '), fields };
}

export function problemFromDomainError(error: DomainError): Problem {
	const { field, allowed, received: got } = error.info;
	return {
		code: 'bad-input',
		message: error.message,
		fields: [{ field, message: allowed, received: got }]
	};
}
