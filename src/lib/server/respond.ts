import * as v from 'valibot';
import { DomainError } from '$lib/core';
import { UnreadableError } from './stored';
import {
	badInput,
	fieldProblems,
	problemFromDomainError,
	type Problem
} from '$lib/formats/problem';

/** Thrown by request helpers, answered by {@link answer}. */
class Refusal extends Error {
	constructor(
		readonly status: number,
		readonly problem: Problem
	) {
		super(problem.message);
	}
}

export function refuse(status: number, code: Problem['code'], message: string): never {
	throw new Refusal(status, { code, message, fields: [] });
}

export function unknown(what: string, id: string): never {
	throw new Refusal(404, {
		code: 'unknown',
		message: `There is no ${what} "${id.slice(0, 64)}".`,
		fields: []
	});
}

/** Reads and checks a JSON body; throws a refusal that names each field. */
export async function readBody<S extends v.GenericSchema>(
	request: Request,
	schema: S
): Promise<v.InferOutput<S>> {
	let data: unknown;
	try {
		data = await request.json();
	} catch {
		refuse(400, 'bad-json', 'The body is not JSON.');
	}
	const parsed = v.safeParse(schema, data);
	if (!parsed.success) throw new Refusal(400, badInput(fieldProblems(parsed.issues)));
	return parsed.output;
}

/** Runs a handler: refusals and domain errors become their problem, the rest goes to the fault page. */
export async function answer(handler: () => unknown): Promise<Response> {
	try {
		const result = await handler();
		return result instanceof Response ? result : Response.json(result);
	} catch (error) {
		if (error instanceof Refusal) return Response.json(error.problem, { status: error.status });
		if (error instanceof DomainError) {
			return Response.json(problemFromDomainError(error), { status: 400 });
		}
		if (error instanceof UnreadableError) {
			const message = `${error.message}. Nothing was changed; the backup may still have it.`;
			return Response.json({ code: 'fault', message, fields: [] } satisfies Problem, {
				status: 500
			});
		}
		throw error;
	}
}
