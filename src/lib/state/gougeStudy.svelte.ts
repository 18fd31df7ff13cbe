import type { GrooveAnswer } from '$lib/core/studies/grooves';
import GougeWorker from '$lib/workers/gouge.worker?worker';
import { Study } from './study.svelte';

export type GougeStudy = Study<GrooveAnswer>;

export function gougeStudy(): GougeStudy {
	return new Study(() => new GougeWorker());
}
