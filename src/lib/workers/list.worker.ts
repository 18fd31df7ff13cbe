/** The run of a list, off the screen's thread. Thin: it calls the core. */
import { wholeStudy, type WholeAsk, type WholeStudy } from '$lib/core/studies/list/book';

export interface ListQuestion extends WholeAsk {
	key: string;
}
export interface ListAnswer {
	inputsHash: string;
	/** false: what one change buys comes with the next answer. */
	whole: boolean;
	study: WholeStudy;
}

self.onmessage = ({ data: { key, ...ask } }: MessageEvent<ListQuestion>) => {
	const tell = (study: WholeStudy, whole: boolean) =>
		self.postMessage({ inputsHash: key, whole, study } satisfies ListAnswer);
	tell(
		wholeStudy(ask, (study) => tell(study, false)),
		true
	);
};
