import type { UnitSystem } from '$lib/core';
import { MM_PER_IN } from '$lib/core/quantity/units';
import type { BenchAnswer } from '$lib/formats/bodies/planned';

const STEPS_MM = {
	metric: [5, 10, 20, 50],
	imperial: [0.25, 0.5, 1, 2].map((inches) => inches * MM_PER_IN)
};

/** One scale for all benches and the cut, mm: up to a round number, with about four numbered marks. */
export function scaleOf(
	answers: readonly Pick<BenchAnswer, 'severMm'>[],
	thicknessMm: number,
	units: UnitSystem
): { mostMm: number; marksMm: number[] } {
	const most = Math.max(thicknessMm, ...answers.map(({ severMm }) => severMm), 10) * 1.04;
	const steps = STEPS_MM[units === 'metric' ? 'metric' : 'imperial'];
	const step = steps.find((mm) => most / mm <= 6) ?? steps.at(-1)!;
	const mostMm = Math.ceil(most / step) * step;
	return {
		mostMm,
		marksMm: Array.from({ length: Math.round(mostMm / step) + 1 }, (_, i) => i * step)
	};
}
