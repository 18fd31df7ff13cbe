import { describe, expect, it } from 'vitest';
import { referenceChecks } from './run';

const checks = referenceChecks();

describe('values from outside the project', () => {
	it('are at least sixty, over every topic of the core', () => {
		expect(checks.length).toBeGreaterThan(60);
		expect(new Set(checks.map((c) => c.topic)).size).toBeGreaterThanOrEqual(12);
	});

	it.each(checks.map((c) => [c.id, c] as const))('%s', (_, check) => {
		expect(
			check.holds,
			`${check.quantity}: ${check.computed} against ${check.expected} ± ${check.tolerance} ${check.unit} (${check.source})`
		).toBe(true);
	});
});
