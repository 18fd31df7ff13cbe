/** Reads a cut chart off the screen's thread. Thin: it calls the format. */
import { readChartCsv, type ChartReading, type Mapping } from '$lib/formats/chartCsv';

export interface ChartQuestion {
	text: string;
	/** The person's own mapping of columns; left out: guessed. */
	mapping: Mapping | undefined;
}
export interface ChartAnswer {
	reading: ChartReading;
}

self.onmessage = ({ data }: MessageEvent<ChartQuestion>) => {
	const { text, mapping } = data;
	self.postMessage({ reading: readChartCsv(text, mapping) } satisfies ChartAnswer);
};
