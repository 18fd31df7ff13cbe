/** Session in time, fixes and solved sizes, off the screen's thread. Thin: it calls the core. */
import {
	fixesFor,
	solvedFor,
	studySession,
	type Fix,
	type PlanInputs,
	type SessionStudy,
	type Solved
} from '$lib/core';

export interface SupplyAnswer {
	inputsHash: string;
	study: SessionStudy;
	fixes: Fix[];
	/** Comes with the second answer: it takes longest. */
	solved: Solved[] | undefined;
}

self.onmessage = ({ data: inputs }: MessageEvent<PlanInputs>) => {
	const study = studySession(inputs);
	const answer = { inputsHash: study.inputsHash, study, fixes: fixesFor(inputs) };
	const send = (solved: Solved[] | undefined) =>
		self.postMessage({ ...answer, solved } satisfies SupplyAnswer);
	send(undefined);
	send(solvedFor(inputs));
};
