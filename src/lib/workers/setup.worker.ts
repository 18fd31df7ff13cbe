/** Best amps per aim and speed curves, off the screen's thread. Thin: it calls the core. */
import { advise, speedCurves, type Advice, type PlanInputs, type SpeedCurves } from '$lib/core';
import { inputsHash } from '$lib/core/plan/plan';

export interface SetupAnswer {
	inputsHash: string;
	curves: SpeedCurves;
	advice: Advice[];
}

self.onmessage = ({ data: inputs }: MessageEvent<PlanInputs>) => {
	self.postMessage({
		inputsHash: inputsHash(inputs),
		curves: speedCurves(inputs),
		advice: advise(inputs)
	} satisfies SetupAnswer);
};
