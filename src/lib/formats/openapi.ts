import { toJsonSchema } from '@valibot/to-json-schema';
import { BenchFileSchema } from './benchFile';
import { BENCHES } from './operations/benches';
import { HOUSE } from './operations/house';
import type { Operation, Schema } from './operations/operation';
import { PLANNED } from './operations/planned';
import { RECORDS } from './operations/records';
import { WORK } from './operations/work';

/** JSON Schema (draft 2020-12) of what is accepted; refinements that it cannot say are left to the server. */
export function jsonSchema(schema: Schema): Record<string, unknown> {
	return toJsonSchema(schema, {
		typeMode: 'input',
		errorMode: 'ignore',
		target: 'draft-2020-12'
	}) as Record<string, unknown>;
}

const OPERATIONS: readonly Operation[] = [...PLANNED, ...BENCHES, ...RECORDS, ...WORK, ...HOUSE];

const REFUSAL_WORDS: Record<number, string> = {
	400: 'Bad input; names each field and what is accepted',
	404: 'Unknown id',
	409: 'Changed in between; nothing was overwritten',
	413: 'Body too large; tells the limit',
	422: 'Too intricate: it took too long and was stopped',
	503: 'Busy: nothing was changed, Retry-After says when to ask again',
	507: 'The disk is full or cannot be written; nothing was changed'
};

const PROBLEM = {
	type: 'object',
	required: ['code', 'message', 'fields'],
	properties: {
		code: { type: 'string' },
		message: { type: 'string' },
		fields: {
			type: 'array',
			items: {
				type: 'object',
				required: ['field', 'message', 'received'],
				properties: {
					field: { type: 'string' },
					message: { type: 'string' },
					received: { type: 'string' }
				}
			}
		}
	}
};

function operation(o: Operation): Record<string, unknown> {
	const json = (schema: unknown) => ({ 'application/json': { schema } });
	return {
		summary: o.summary,
		parameters: [
			...(o.params ?? []).map((name) => ({
				name,
				in: 'path',
				required: true,
				schema: { type: 'string' }
			})),
			...[...(o.query ?? []), ...(o.optionalQuery ?? [])].map((name) => ({
				name,
				in: 'query',
				required: o.query?.includes(name) ?? false,
				schema: { type: 'string' }
			}))
		],
		...(o.body && { requestBody: { required: true, content: json(jsonSchema(o.body)) } }),
		...(o.fileBody && {
			requestBody: {
				required: true,
				content: { [o.fileBody]: { schema: { type: 'string', format: 'binary' } } }
			}
		}),
		responses: {
			200: { description: 'Done', content: json({ type: 'object' }) },
			...Object.fromEntries(
				(o.refusals ?? []).map((status) => [
					status,
					{
						description: REFUSAL_WORDS[status]!,
						content: json({ $ref: '#/components/schemas/Problem' })
					}
				])
			)
		}
	};
}

/** The API in OpenAPI 3.1, from the schemas that check the requests. */
export function openApiDocument(version: string): Record<string, unknown> {
	const paths: Record<string, Record<string, unknown>> = {};
	for (const o of OPERATIONS) (paths[o.path] ??= {})[o.method] = operation(o);
	return {
		openapi: '3.1.0',
		info: {
			title: 'Steady Arc',
			version,
			description:
				'Planning and records for a hand-held air plasma cutter. Numbers are in the units of their names: thicknessMm, flowLpm (free air), pressureBar (gauge).'
		},
		paths,
		components: { schemas: { Problem: PROBLEM } }
	};
}

export function benchFileJsonSchema(): Record<string, unknown> {
	return { ...jsonSchema(BenchFileSchema), title: 'Steady Arc bench file' };
}
