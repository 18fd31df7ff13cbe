import type { SetupAnswer } from '$lib/workers/setup.worker';
import SetupWorker from '$lib/workers/setup.worker?worker';
import { Study } from './study.svelte';

export type SetupStudy = Study<SetupAnswer>;

export function setupStudy(): SetupStudy {
	return new Study(() => new SetupWorker());
}
