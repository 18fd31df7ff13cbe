import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nnls } from './nnls';

const of = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('non-negative least squares', () => {
	it('property: meets the Kuhn–Tucker conditions, which hold at the least point and nowhere else', () => {
		const system = fc.integer({ min: 1, max: 5 }).chain((n) =>
			fc.record({
				rows: fc.array(fc.array(of(0, 10), { minLength: n, maxLength: n }), {
					minLength: n,
					maxLength: 12
				}),
				y: fc.array(of(-5, 20), { minLength: 12, maxLength: 12 })
			})
		);
		fc.assert(
			fc.property(system, ({ rows, y }) => {
				const n = rows[0]!.length;
				const at = Array.from({ length: n }, (_, i) => i);
				// A small belief in zero keeps the system definite, as ours always is.
				const gram = at.map((a) =>
					at.map((b) => rows.reduce((sum, r) => sum + r[a]! * r[b]!, a === b ? 0.01 : 0))
				);
				const c = at.map((a) => rows.reduce((sum, r, k) => sum + r[a]! * y[k]!, 0));
				const x = nnls(gram, c)!;
				const scale = Math.max(1, ...c.map(Math.abs));
				at.forEach((i) => {
					const slope = c[i]! - gram[i]!.reduce((sum, g, j) => sum + g * x[j]!, 0);
					expect(x[i]).toBeGreaterThanOrEqual(0);
					expect(slope / scale).toBeLessThan(1e-6);
					if (x[i]! > 1e-9) expect(Math.abs(slope) / scale).toBeLessThan(1e-6);
				});
			}),
			{ numRuns: 200 }
		);
	});

	it('gives none for more columns than it tries', () => {
		const nine = Array.from({ length: 9 }, () => 1);
		expect(
			nnls(
				nine.map(() => nine),
				nine
			)
		).toBeUndefined();
	});
});
