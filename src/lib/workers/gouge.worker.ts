import type { PlanInputs } from '$lib/core';
import { grooveChoices, type GrooveAnswer } from '$lib/core/studies/grooves';

onmessage = ({ data }: MessageEvent<PlanInputs>) => {
	postMessage(grooveChoices(data) satisfies GrooveAnswer);
};
