/** Readings of drawn pictures, kept: see plans.test.ts. How near they are to the truth, the trials judge. */
import { describe, it } from 'vitest';
import { readBevel } from '../../src/lib/core/photo/bevel';
import { readEdge } from '../../src/lib/core/photo/edge';
import { readKerf } from '../../src/lib/core/photo/kerf';
import { nozzleByHand, readNozzle } from '../../src/lib/core/photo/nozzle';
import { EDGE_FAULTS, edgePicture } from '../pictures/edge';
import { endPicture } from '../pictures/end';
import { kerfPicture } from '../pictures/kerf';
import { NOZZLE_FAULTS, nozzlePicture } from '../pictures/nozzle';
import { lightOf } from '../pictures/trial';
import { asKept, table } from './told';

/** Answers to pictures of the seeds from `from` on: one without a fault each, then each fault once. */
const told = <Fault>(
	from: number,
	sound: number,
	faults: readonly Fault[],
	read: (seed: number, fault: Fault | null) => unknown
) =>
	table(
		Object.fromEntries([
			...Array.from({ length: sound }, (_, k) => [`seed ${from + k}`, read(from + k, null)]),
			...faults.map((fault, k) => [String(fault), read(from + sound + k, fault)])
		]) as Record<string, unknown>
	);

describe('photos', () => {
	it('of a nozzle', async () => {
		const read = (seed: number, fault: (typeof NOZZLE_FAULTS)[number] | null) => {
			const { picture, truth } = nozzlePicture(seed, fault);
			const answer = readNozzle(lightOf(picture), truth.faceMm);
			if (!('read' in answer)) return answer;
			return {
				...answer.read,
				byHand: nozzleByHand(answer.read.face, answer.read.bore, truth.faceMm)
			};
		};
		await asKept('photo nozzle', told(40, 4, NOZZLE_FAULTS, read));
	});
	it('of an edge', async () => {
		await asKept(
			'photo edge',
			told(40, 4, EDGE_FAULTS, (seed, fault) => {
				const { picture, truth } = edgePicture(seed, fault);
				return readEdge(lightOf(picture), truth.thicknessMm);
			})
		);
	});
	it('of an end', async () => {
		await asKept(
			'photo end',
			told(40, 5, ['no-edge', 'blurred'] as const, (seed, fault) =>
				readBevel(lightOf(endPicture(seed, fault).picture))
			)
		);
	});
	it('of a kerf', async () => {
		const faults = ['no-rule', 'no-kerf', 'blurred', 'small'] as const;
		await asKept(
			'photo kerf',
			told(40, 4, faults, (seed, fault) => {
				const light = lightOf(kerfPicture(seed, fault).picture);
				const answer = readKerf(light, 1);
				if (!('read' in answer)) return answer;
				const { left, right } = answer.read;
				return { found: answer.read, laid: readKerf(light, 1, { left, right }) };
			})
		);
	});
});
