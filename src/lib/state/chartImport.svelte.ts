import { CHART_BYTES_MOST, type ChartReading, type Mapping } from '$lib/formats/chartCsv';
import type { ChartField } from '$lib/formats/chartFields';
import type { ChartAnswer, ChartQuestion } from '$lib/workers/chart.worker';
import { OneQuestion } from './oneQuestion';
import ChartWorker from '$lib/workers/chart.worker?worker';

/** Nobody waits longer for a file, ms. */
const DEADLINE_MS = 20_000;

/** A chart file being looked at; nothing is written before the person says so. */
export class ChartImport {
	fileName = $state('');
	reading = $state.raw<ChartReading | undefined>();
	problem = $state<string | undefined>();
	busy = $state(false);
	/** The person has looked at the questions. */
	looked = $state(false);
	#text = '';
	/** The person's own mapping; undefined: guessed. */
	#said: Mapping | undefined;
	readonly #reader = new OneQuestion<ChartQuestion, ChartAnswer>(
		() => new ChartWorker(),
		DEADLINE_MS
	);

	readonly questions = $derived(this.reading?.messages.filter((m) => m.kind === 'question') ?? []);
	readonly errors = $derived(this.reading?.messages.filter((m) => m.kind === 'error') ?? []);
	/** There is something to take, and nothing left to answer. */
	readonly ready = $derived(
		!this.busy &&
			(this.reading?.rows.length ?? 0) > 0 &&
			(this.questions.length === 0 || this.looked)
	);

	async open(file: File | undefined): Promise<void> {
		if (!file) return;
		this.leave();
		this.fileName = file.name;
		// Looked at before it is read: a file of any size must not fill the memory.
		if (file.size > CHART_BYTES_MOST) {
			this.problem = `${file.name} has ${Math.round(file.size / 1e6)} MB; a chart has at most ${CHART_BYTES_MOST / 1e6} MB. Nothing was read.`;
			return;
		}
		this.#text = await file.text();
		this.#ask(undefined);
	}

	/** The person says which column is what; −1: none. */
	map(field: ChartField, column: number, unit: string): void {
		// What was said last counts, also while its answer is still under way.
		const mapping: Mapping = { ...(this.#said ?? this.reading?.mapping) };
		if (column < 0) delete mapping[field];
		else mapping[field] = { column, unit };
		this.#ask(mapping);
	}

	#ask(mapping: Mapping | undefined): void {
		this.#said = mapping;
		this.busy = true;
		this.looked = false;
		this.#reader.ask(
			{ text: this.#text, mapping },
			{
				done: ({ reading }) => {
					this.busy = false;
					this.reading = reading;
				},
				failed: (why) => {
					this.busy = false;
					this.problem =
						why === 'late'
							? `${this.fileName} took longer than ${DEADLINE_MS / 1000} s and was stopped. Nothing was read.`
							: `${this.fileName} could not be read.`;
				}
			}
		);
	}
	/** The person does not want to wait. */
	stopReading(): void {
		const { fileName } = this;
		this.leave();
		this.problem = `${fileName} was not read to its end. Nothing was taken.`;
	}

	leave(): void {
		this.fileName = this.#text = '';
		this.reading = undefined;
		this.problem = undefined;
		this.busy = false;
		this.#reader.stop();
	}
	close(): void {
		this.#reader.stop();
	}
}
