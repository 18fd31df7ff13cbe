import type { BenchAnswer } from '$lib/formats/api';

const STEPS_MM = [5, 10, 20, 50];

/** One scale for all benches and the cut, mm: up to a round number, with about four numbered marks. */
export function scaleOf(
	answers: readonly Pick<BenchAnswer, 'severMm'>[],
	thicknessMm: number
): { mostMm: number; marksMm: number[] } {
	const most = Math.max(thicknessMm, ...answers.map(({ severMm }) => severMm), 10) * 1.04;
	const step = STEPS_MM.find((mm) => most / mm <= 6) ?? 50;
	const mostMm = Math.ceil(most / step) * step;
	return { mostMm, marksMm: Array.from({ length: mostMm / step + 1 }, (_, i) => i * step) };
}
