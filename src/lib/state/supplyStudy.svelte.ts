import type { SupplyAnswer } from '$lib/workers/supply.worker';
import SupplyWorker from '$lib/workers/supply.worker?worker';
import { Study } from './study.svelte';

export type SupplyStudy = Study<SupplyAnswer>;

/** Session in time, fixes and solved sizes; the sizes come with the second answer. */
export function supplyStudy(): SupplyStudy {
	return new Study(
		() => new SupplyWorker(),
		(answer) => answer.solved !== undefined,
		(answer, before) => ({ ...answer, solved: answer.solved ?? before?.solved })
	);
}
