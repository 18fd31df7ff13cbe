import { describe, expect, it } from 'vitest';
import * as v from 'valibot';
import { NewEntrySchema } from './bodies/records';
import { OpIdSchema } from './bodies/common';
import { PlanRequestSchema } from './bodies/planned';
import { badInput, fieldProblems, sentence } from './problem';
import { benchFileJsonSchema, jsonSchema, openApiDocument } from './openapi';

interface Operation {
	parameters: { name: string; in: string }[];
	requestBody?: { content: Record<string, { schema: unknown }> };
	responses: Record<string, unknown>;
}
const document = openApiDocument('1') as { paths: Record<string, Record<string, Operation>> };
const operations = Object.entries(document.paths).flatMap(([path, methods]) =>
	Object.entries(methods).map(([method, operation]) => ({ path, method, operation }))
);

describe('the API document', () => {
	it('describes a route for every path, and a path for every route', () => {
		const files = Object.keys(import.meta.glob('/src/routes/api/**/+server.ts'));
		const routes = files.map((file) => file.replace('/src/routes', '').replace('/+server.ts', ''));
		const described = Object.keys(document.paths).map((path) =>
			path.replaceAll('{', '[').replaceAll('}', ']')
		);
		expect(described.sort()).toEqual(routes.sort());
	});

	it.each(operations.map((o) => [`${o.method} ${o.path}`, o] as const))(
		'names the parameters of %s',
		(_, { path, operation }) => {
			const inPath = [...path.matchAll(/\{(\w+)\}/g)].map((match) => match[1]);
			const told = operation.parameters.filter((p) => p.in === 'path').map((p) => p.name);
			expect(told).toEqual(inPath);
			expect(operation.responses).toHaveProperty('200');
		}
	);

	it('takes a body wherever something is written', () => {
		// What is let go is told by its address.
		for (const { method, path, operation } of operations.filter((o) => o.method !== 'delete')) {
			expect(operation.requestBody !== undefined, `${method} ${path}`).toBe(method !== 'get');
		}
	});

	it('publishes limits and choices as they are checked', () => {
		const text = JSON.stringify(benchFileJsonSchema());
		expect(text).toContain('"enum":["B","C","D"]');
		expect(text).toContain('"minimum":90,"maximum":690');
		expect(JSON.stringify(jsonSchema(NewEntrySchema))).toContain('test-cut');
	});
});

describe('refusals', () => {
	const issues = (schema: v.GenericSchema, input: unknown) => {
		const parsed = v.safeParse(schema, input);
		return parsed.success ? [] : fieldProblems(parsed.issues);
	};

	it('tell one problem a field, with what is accepted and what came', () => {
		const problems = issues(PlanRequestSchema, {
			benchId: 'b',
			cut: { thicknessMm: -1, metal: 'wood' }
		});
		expect(problems.map((p) => p.field).sort()).toEqual(['cut.metal', 'cut.thicknessMm']);
		expect(sentence(problems.find((p) => p.field === 'cut.thicknessMm')!)).toBe(
			'cut.thicknessMm: 0.3 to 100 mm, got -1'
		);
		expect(badInput(problems).code).toBe('bad-input');
	});

	it('say "is needed" for what is missing, and cut long values short', () => {
		expect(issues(NewEntrySchema, {})[0]).toMatchObject({
			field: 'opId',
			message: 'is needed',
			received: 'nothing'
		});
		const [long] = issues(OpIdSchema, 'x'.repeat(500));
		expect(long!.received.length).toBeLessThanOrEqual(60);
	});

	it.each(['short', 'has space here', 'ünïcode-id', '', 'x'.repeat(65)])(
		'take no op_id like "%s"',
		(opId) => {
			expect(v.is(OpIdSchema, opId)).toBe(false);
		}
	);
});
