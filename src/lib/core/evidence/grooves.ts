import { removalRead, shapeRead, GROOVE_READING } from '../gouge/calibrated';
import { grooveKey, type GougeEvidence } from '../gouge/inputs';
import type { Bench } from '../inputs/bench';
import { stat, type Of } from './supply';

/** Removal and shape by metal and nozzle, as logarithms over the model, from test grooves. */
export function grooveEvidence(
	bench: Bench,
	grooves: readonly Of<'test-groove'>[]
): GougeEvidence['gouge'] {
	const by = new Map<string, { removal: number[]; shape: number[] }>();
	for (const groove of grooves) {
		if (groove.modelMm3S === undefined) continue;
		const key = grooveKey(groove.metal, groove.nozzleA ?? bench.torch.fittedA);
		const reads = by.get(key) ?? { removal: [], shape: [] };
		reads.removal.push(removalRead(groove, groove.modelMm3S));
		reads.shape.push(shapeRead(groove));
		by.set(key, reads);
	}
	return Object.fromEntries(
		[...by].map(([key, { removal, shape }]) => [
			key,
			{ removal: stat(removal, GROOVE_READING)!, shape: stat(shape, GROOVE_READING)! }
		])
	);
}
