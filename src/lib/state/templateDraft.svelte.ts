import * as v from 'valibot';
import { createStore, get, set, type UseStore } from 'idb-keyval';
import type { PlanInputs } from '$lib/core';
import type { Job } from '$lib/core/studies/job';
import {
	contoursOf,
	ShapeSchema,
	STARTING_SHAPES,
	type Shape,
	type ShapeKind
} from '$lib/core/shape/makers';
import type { Contour } from '$lib/core/shape/outline';
import { ContoursSchema, TemplateSchema } from '$lib/core/shape/schema';
import type { Keep, TemplateSide } from '$lib/core/shape/template';
import { FILE_MOST_BYTES, type OutlineReading } from '$lib/formats/outline/gather';
import type {
	CheckAnswer,
	MakeAnswer,
	MakeQuestion,
	ReadAnswer,
	ReadQuestion,
	TemplateDrawing
} from '$lib/workers/template.worker';
import { OneQuestion } from './oneQuestion';
import TemplateWorker from '$lib/workers/template.worker?worker';

/** Nobody cuts more of one template in a go. */
export const PARTS_MOST = 200;
/** As it stands on this device, maybe since an earlier program. */
const KeptSchema = v.object({
	/** Where the outline comes from: a few dimensions, or a drawing. */
	source: v.variant('kind', [
		v.object({ kind: v.literal('shape'), shape: ShapeSchema }),
		v.object({ kind: v.literal('drawing'), name: v.string(), contours: ContoursSchema })
	]),
	keep: TemplateSchema.entries.keep,
	outside: TemplateSchema.entries.outside,
	holes: TemplateSchema.entries.holes,
	parts: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(PARTS_MOST)),
	title: v.optional(v.string())
});
type Drawn = { kind: 'drawing'; name: string; contours: readonly Contour[] };
type Source = { kind: 'shape'; shape: Shape } | Drawn;
type Kept = Omit<v.InferOutput<typeof KeptSchema>, 'source'> & { source: Source };
const START: Kept = {
	source: { kind: 'shape', shape: STARTING_SHAPES.flange },
	keep: 'part',
	outside: 'kept',
	holes: 'kept',
	parts: 1
};
const KEY = 'template';
/** Nobody waits longer for a file, or for a template, ms. */
const DEADLINE_MS = 20_000;

/** The template being made, kept on this device, so that a reload loses nothing. */
export class TemplateDraft {
	source = $state.raw<Source>(START.source);
	keep = $state<Keep>(START.keep);
	outside = $state<TemplateSide>(START.outside);
	holes = $state<TemplateSide>(START.holes);
	parts = $state(START.parts);
	/** What the last file said about itself. */
	reading = $state.raw<OutlineReading | undefined>();
	fileName = $state('');
	problem = $state<string | undefined>();
	busy = $state(false);
	drawing = $state.raw<TemplateDrawing | undefined>();
	job = $state.raw<Job | undefined>();
	/** What the cut makes of it; undefined: not worked out yet. */
	check = $state.raw<CheckAnswer | undefined>();

	#fileText = '';
	#asked = 0;
	#worker: Worker | undefined;
	#late: ReturnType<typeof setTimeout> | undefined;
	/** Each file has a worker of its own. */
	readonly #reader = new OneQuestion<ReadQuestion, ReadAnswer>(
		() => new TemplateWorker(),
		DEADLINE_MS
	);
	#making = false;
	/** What stands here is the person's word: nothing from before goes over it. */
	#changed = false;
	#store: UseStore | undefined;

	readonly contours = $derived(
		this.source.kind === 'shape' ? contoursOf(this.source.shape) : this.source.contours
	);
	/** As the person calls it; left out: by its shape or file. */
	title = $state<string | undefined>();
	readonly name = $derived(
		this.title ?? (this.source.kind === 'shape' ? this.source.shape.kind : this.source.name)
	);

	/** Takes up where this device left off. */
	async restore(): Promise<void> {
		try {
			this.#store = createStore('steady-arc-templates', 'draft');
			const kept = v.safeParse(KeptSchema, await get(KEY, this.#store));
			if (kept.success && !this.#changed) Object.assign(this, kept.output);
		} catch {
			// Storage may be closed to the page; the draft then lasts until it is left.
			this.#store = undefined;
		}
	}
	#keep(): void {
		this.#changed = true;
		if (!this.#store) return;
		const { source, keep, outside, holes, parts, title } = this;
		const kept = { source, keep, outside, holes, parts, title };
		set(KEY, kept, this.#store).catch(() => (this.#store = undefined));
	}

	change(change: Partial<Omit<Kept, 'source'>>): void {
		Object.assign(this, change);
		this.#keep();
	}
	choose(kind: ShapeKind): void {
		this.title = undefined;
		this.setShape(STARTING_SHAPES[kind]);
		this.reading = undefined;
		this.fileName = '';
	}
	setShape(shape: Shape): void {
		this.#setSource({ kind: 'shape', shape });
	}
	/** What was wrong with the outline before is not said of this one. */
	#setSource(source: Source): void {
		this.source = source;
		this.problem = undefined;
		this.#keep();
	}
	setDrawing(name: string, contours: readonly Contour[]): void {
		this.title = undefined;
		this.#setSource({ kind: 'drawing', name: name.slice(0, 60), contours });
	}

	async open(file: File | undefined): Promise<void> {
		if (!file) return;
		this.problem = undefined;
		if (file.size > FILE_MOST_BYTES) {
			this.problem = `${file.name} has ${Math.round(file.size / 1e6)} MB; ${Math.round(FILE_MOST_BYTES / 1e6)} MB is the most. Nothing was read.`;
			return;
		}
		this.fileName = file.name;
		this.#fileText = await file.text();
		this.readAs(undefined);
	}
	/** Reads the open file again with another unit. */
	readAs(unitMm: number | undefined): void {
		this.busy = true;
		this.#reader.ask(
			{ kind: 'read', name: this.fileName, text: this.#fileText, unitMm },
			{
				done: (answer) => this.#takeReading(answer),
				failed: (why) => {
					this.busy = false;
					this.problem =
						why === 'late'
							? `${this.fileName} took longer than ${DEADLINE_MS / 1000} s and was stopped. Save only the outline of the part. The outline before stays.`
							: `${this.fileName} could not be read. The outline before stays.`;
				}
			}
		);
	}
	/** The person does not want to wait for the file. */
	stopReading(): void {
		this.#reader.stop();
		this.busy = false;
		this.problem = `${this.fileName} was not read to its end. The outline before stays.`;
	}

	/** Makes the template anew; a worker that is busy with an older one is replaced. */
	make(plan: PlanInputs, torch: { shieldRadiusMm: number; kerfMm: number }): void {
		const { contours, keep, outside, holes, parts } = this;
		if (this.#making) this.close();
		this.#making = true;
		this.#post({
			id: ++this.#asked,
			kind: 'make',
			input: { contours, keep, outside, holes, ...torch },
			plan: $state.snapshot(plan),
			parts
		});
	}

	#post(question: MakeQuestion): void {
		clearTimeout(this.#late);
		this.#late = setTimeout(() => {
			this.close();
			this.problem = `This outline is too intricate: after ${DEADLINE_MS / 1000} s it was not done, and was stopped.`;
		}, DEADLINE_MS);
		if (!this.#worker) {
			this.#worker = new TemplateWorker();
			this.#worker.onmessage = ({ data }: MessageEvent<MakeAnswer | CheckAnswer>) =>
				this.#take(data);
			this.#worker.onerror = () => {
				// One that broke, or never came, answers no more: the next template has a new one.
				this.close();
				this.problem = 'The drawing could not be worked on. Nothing was changed.';
			};
		}
		this.#worker.postMessage(question);
	}

	#take(answer: MakeAnswer | CheckAnswer): void {
		if (answer.id !== this.#asked) return;
		if (answer.kind === 'check') {
			clearTimeout(this.#late);
			this.#making = false;
			this.check = answer;
			return;
		}
		this.drawing = answer.drawing;
		this.check = undefined;
		this.job = answer.job;
	}
	#takeReading(answer: ReadAnswer): void {
		this.busy = false;
		this.reading = answer.reading;
		this.problem = answer.problem;
		const found = answer.reading?.contours;
		if (found?.length) this.setDrawing(this.fileName.replace(/\.\w+$/, ''), found);
		else if (found) this.problem = 'No closed outline was found; the one before stays.';
	}

	/** The page is left. */
	leave(): void {
		this.#reader.stop();
		this.close();
	}
	close(): void {
		clearTimeout(this.#late);
		this.#worker?.terminate();
		this.#worker = undefined;
		this.#making = false;
	}
}
