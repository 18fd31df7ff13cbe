import { create as contentDisposition } from 'content-disposition';
import * as v from 'valibot';
import { DomainError } from '$lib/core';
import type { HeavyAnswer } from './heavy/work';
import { UnreadableError } from './stored';
import { ReusedError } from './writes';
import {
	badInput,
	fieldProblems,
	isBody,
	noBody,
	problemFromDomainError,
	type Problem
} from '$lib/formats/problem';

/** Thrown by request helpers, answered by {@link answer}. */
class Refusal extends Error {
	constructor(
		readonly status: number,
		readonly problem: Problem,
		/** When to come again, s. */
		readonly retryS?: number
	) {
		super(problem.message);
	}
}

export function refuse(
	status: number,
	code: Problem['code'],
	message: string,
	fields: Problem['fields'] = [],
	retryS?: number
): never {
	throw new Refusal(status, { code, message, fields }, retryS);
}

export function unknown(what: string, id: string): never {
	refuse(404, 'unknown', `There is no ${what} "${id.slice(0, 64)}".`);
}

/** Somebody was quicker: both versions come back, nothing was overwritten. */
export function stale(message: string, theirs: unknown, yours: unknown): Response {
	return Response.json({ code: 'stale', message, fields: [], theirs, yours }, { status: 409 });
}

/** A file to be saved under a name in any script (RFC 6266). */
export function file(body: BodyInit, type: string, name: string): Response {
	return new Response(body, {
		headers: { 'content-type': type, 'content-disposition': contentDisposition(oneLine(name)) }
	});
}
/** Control characters, lone surrogates and slashes are no part of a file's name. */
const oneLine = (name: string) =>
	name
		.toWellFormed()
		.replace(/[\p{C}\u2028\u2029/\\]/gu, '')
		.trim() || 'file';

/** What a thread worked out, as it is sent. */
export function answered(found: HeavyAnswer): Response {
	if (found.outcome === 'file') return file(found.body, found.type, found.name);
	if (found.outcome === 'refused') {
		return Response.json(found.problem, { status: found.status });
	}
	if (found.outcome === 'json') {
		return new Response(found.body, { headers: { 'content-type': 'application/json' } });
	}
	throw new Error('An outline is kept, not sent.');
}

/** When it was done; a clock that runs ahead does not put entries into the future. */
export function atLatestNow(at: string | undefined): string {
	const now = new Date().toISOString();
	return at !== undefined && at < now ? at : now;
}

/** A time that a person wrote by hand: one that has not been yet is refused, not moved. */
export function notInFuture(at: string, field: string): string {
	if (at <= new Date(Date.now() + 60_000).toISOString()) return at;
	throw new Refusal(
		400,
		badInput([{ field, message: 'a time that has been', received: at.slice(0, 30) }])
	);
}

/** A whole number from 1 in the query. */
export function wholeNumber(
	url: URL,
	name: string,
	otherwise: number,
	most = Number.MAX_SAFE_INTEGER
): number {
	const text = url.searchParams.get(name);
	if (text === null) return otherwise;
	const value = Number(text);
	if (Number.isSafeInteger(value) && value >= 1 && value <= most) return value;
	throw new Refusal(
		400,
		badInput([
			{ field: name, message: `a whole number from 1 to ${most}`, received: text.slice(0, 20) }
		])
	);
}

/** Reads and checks a JSON body; throws a refusal that names each field. */
export async function readBody<S extends v.GenericSchema>(
	request: Request,
	schema: S
): Promise<v.InferOutput<S>> {
	let data: unknown;
	try {
		data = await request.json();
	} catch (error) {
		if (isTooLarge(error)) refuse(413, 'too-large', (error as Error).message);
		refuse(400, 'bad-json', 'The body is not JSON.');
	}
	if (!isBody(data)) throw new Refusal(400, noBody(data));
	const parsed = v.safeParse(schema, data);
	if (!parsed.success) throw new Refusal(400, badInput(fieldProblems(parsed.issues)));
	return parsed.output;
}
const isTooLarge = (error: unknown) => (error as { status?: unknown } | null)?.status === 413;

/** What the store says when it cannot write just now, with what to do about it. */
const STORE_FAULTS: Record<string, { status: 503 | 507; message: string; retryS?: number }> = {
	SQLITE_BUSY: {
		status: 503,
		message: 'Another program is writing to the store. Nothing was changed; try again in a moment.',
		retryS: 1
	},
	SQLITE_FULL: {
		status: 507,
		message: 'The disk of the server is full. Nothing was changed; make room and try again.'
	},
	SQLITE_IOERR: {
		status: 507,
		message: 'The disk of the server cannot be written. Nothing was changed; look at the disk.'
	},
	SQLITE_READONLY: {
		status: 507,
		message: 'The data folder cannot be written. Nothing was changed; look at its rights.'
	}
};

/** The refusal that an error stands for; undefined: it is a fault of the program. */
function refusalOf(error: unknown): Response | undefined {
	const problem = (body: Problem, status: number, headers?: HeadersInit) =>
		Response.json(body, { status, headers });
	const again = (retryS?: number): HeadersInit => (retryS ? { 'retry-after': String(retryS) } : {});
	if (error instanceof Refusal) return problem(error.problem, error.status, again(error.retryS));
	if (error instanceof DomainError) return problem(problemFromDomainError(error), 400);
	if (error instanceof ReusedError) {
		return problem({ code: 'reused', message: error.message, fields: [] }, 409);
	}
	if (error instanceof UnreadableError) {
		const message = `${error.message}. Nothing was changed; the backup may still have it.`;
		return problem({ code: 'fault', message, fields: [] }, 500);
	}
	const { code } = (error ?? {}) as { code?: unknown };
	const [, fault] =
		typeof code === 'string'
			? (Object.entries(STORE_FAULTS).find(([prefix]) => code.startsWith(prefix)) ?? [])
			: [];
	if (!fault) return undefined;
	const { status, message, retryS } = fault;
	return problem({ code: 'busy', message, fields: [] }, status, again(retryS));
}

/** Runs a handler: refusals and domain errors become their problem, the rest goes to the fault page. */
export async function answer(handler: () => unknown): Promise<Response> {
	try {
		const result = await handler();
		return result instanceof Response ? result : Response.json(result);
	} catch (error) {
		const refusal = refusalOf(error);
		if (refusal) return refusal;
		throw error;
	}
}
