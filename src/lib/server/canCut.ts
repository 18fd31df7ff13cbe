import type { Cut } from '$lib/core';
import { byAnswer, canCut, once as onceOnly } from '$lib/core/studies/canCut';
import { BENCHES_ASKED_MOST, type BenchAnswer } from '$lib/formats/bodies/planned';
import { requestedInputs } from './planning';
import type { Store } from './store';

/** Every bench of the shop on one cut at its full amps, the best answer first. */
export function answersOf(store: Store, { cut, once }: { cut: Cut; once: boolean }): BenchAnswer[] {
	return store.benches
		.all()
		.slice(0, BENCHES_ASKED_MOST)
		.map(({ id, bench, revision }): BenchAnswer => {
			const inputs = requestedInputs(store, {
				benchId: id,
				cut: { ...cut, school: 'full' },
				work: { ...bench.usual, by: 'cut' }
			});
			return {
				id,
				name: bench.name,
				revision,
				cutterName: bench.cutter.name,
				nominalV: bench.supply.nominalV,
				...canCut(once ? onceOnly(inputs) : inputs)
			};
		})
		.sort(byAnswer);
}
