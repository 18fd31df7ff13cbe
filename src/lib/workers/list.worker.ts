/** The run of a list, off the screen's thread. Thin: it calls the core. */
import { wholeStudy, type WholeAsk, type WholeStudy } from '$lib/core/studies/list/book';

export interface ListQuestion extends WholeAsk {
	key: string;
}
export interface ListAnswer {
	inputsHash: string;
	study: WholeStudy;
}

self.onmessage = ({ data: { key, ...ask } }: MessageEvent<ListQuestion>) => {
	const study = wholeStudy(ask);
	self.postMessage({ inputsHash: key, study } satisfies ListAnswer);
};
