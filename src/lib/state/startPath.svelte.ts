/** The first hour: which question is asked, what was answered, and the bench that comes of it. */
import * as v from 'valibot';
import { DEFAULT_CUT, type Bench, type Cut, type UnitSystem } from '$lib/core';
import { CutSchema } from '$lib/core/inputs/cut';
import { QUESTION_IDS } from '$lib/core/answers/questions';
import { answered, AnswersSchema, isAnswered, type Answers } from '$lib/core/answers/answered';
import type { QuestionId } from '$lib/core/answers/shapes';
import { typicalBench, REGIONS, type Region } from '$lib/core/answers/typical';
import { searchFromCut } from '$lib/formats/cutSearch';
import { fieldProblems, sentence } from '$lib/formats/problem';
import { forget, recall, remember } from './remembered';
import { checkedBench } from './editBench';
import { newOpId } from './ids';
import { sendNow } from './outbox';
import { trialWorkbench } from './trial';
import type { Workbench } from './workbench.svelte';

/** The last step is the first cut, which is no field of the bench. */
export type StepId = QuestionId | 'cut';
export const STEP_IDS: readonly StepId[] = [...QUESTION_IDS, 'cut'];
export type StepState = 'known' | 'typical' | 'to come';

/** What is kept on this device between two visits. */
const KeptSchema = v.object({
	opId: v.string(),
	region: v.picklist(REGIONS),
	answers: AnswersSchema,
	cut: CutSchema,
	cutAsked: v.boolean(),
	/** What it is about: a bench that stands, by id; none: a new one. */
	benchId: v.nullable(v.string())
});
type Kept = v.InferOutput<typeof KeptSchema>;
const keyOf = (benchId: string | null) => `steady-start-${benchId ?? 'new'}`;

function readKept(benchId: string | null): Kept | undefined {
	const kept = recall(keyOf(benchId), KeptSchema);
	return kept?.benchId === benchId ? kept : undefined;
}

/** What is cut first where plates are in inches, until somebody says. */
const QUARTER_INCH_MM = 6.35;

export interface Standing {
	id: string;
	revision: number;
	bench: Bench;
}

export class StartPath {
	region = $state.raw<Region>('iec');
	answers = $state.raw<Answers>({});
	cut = $state.raw<Cut>(DEFAULT_CUT);
	cutAsked = $state.raw(false);
	at = $state.raw<StepId>('amps');
	problem = $state.raw<string | undefined>();
	busy = $state.raw(false);
	/** Something was answered on this device before. */
	resumed = $state.raw(false);
	readonly #standing = $state.raw<Standing | undefined>();
	readonly base: Bench = $derived(this.#standing?.bench ?? typicalBench(this.region));
	readonly bench: Bench = $derived(answered(this.base, this.answers));
	readonly trial: Workbench;
	#opId = newOpId();

	constructor(ask: { region: Region; units: UnitSystem; standing?: Standing; at?: StepId }) {
		this.region = ask.region;
		this.#standing = ask.standing;
		if (ask.units !== 'metric') this.cut = { ...this.cut, thicknessMm: QUARTER_INCH_MM };
		this.trial = trialWorkbench(this.bench, ask.units, this.cut);
		if (ask.at) this.at = ask.at;
	}

	/** What this device remembers of an earlier visit; only in the browser. */
	resume(asked: StepId | undefined): void {
		const kept = readKept(this.#standing?.id ?? null);
		if (!kept) return;
		this.#opId = kept.opId;
		this.region = kept.region;
		this.answers = kept.answers;
		this.cut = kept.cut;
		this.cutAsked = kept.cutAsked;
		this.resumed = Object.keys(kept.answers).length > 0;
		this.at = asked ?? STEP_IDS.find((id) => this.stateOf(id) === 'to come') ?? 'cut';
		this.#show();
	}

	get isNew(): boolean {
		return this.#standing === undefined;
	}

	get #key(): string {
		return keyOf(this.#standing?.id ?? null);
	}

	stateOf(id: StepId): StepState {
		if (id === 'cut') return this.cutAsked ? 'known' : 'to come';
		if (isAnswered(this.bench, id)) return 'known';
		return this.answers[id] === 'unknown' || !this.isNew ? 'typical' : 'to come';
	}
	count(state: StepState): number {
		return STEP_IDS.filter((id) => this.stateOf(id) === state).length;
	}

	/** Takes an answer and goes on; a refused one is told and changes nothing. */
	answer<Id extends QuestionId>(id: Id, known: unknown): boolean {
		return this.#take({ ...this.answers, [id]: { known } }, id);
	}
	unknown(id: QuestionId): boolean {
		return this.#take({ ...this.answers, [id]: 'unknown' }, id);
	}
	answerCut(change: Partial<Cut>): void {
		this.cut = { ...this.cut, ...change };
		this.cutAsked = true;
		this.#keep();
		this.#show();
	}

	#take(answers: Answers, id: QuestionId): boolean {
		const read = v.safeParse(AnswersSchema, answers);
		const result = read.success
			? checkedBench(answered(this.base, read.output))
			: ({ ok: false, issues: read.issues } as const);
		if (!result.ok) {
			this.problem = sentence(fieldProblems(result.issues)[0]!);
			return false;
		}
		this.answers = answers;
		// Another bench than the one that may have been sent already.
		this.#opId = newOpId();
		this.problem = undefined;
		this.at = STEP_IDS[STEP_IDS.indexOf(id) + 1]!;
		this.#keep();
		this.#show();
		return true;
	}

	goTo(id: StepId): void {
		this.at = id;
		this.problem = undefined;
	}
	back(): void {
		this.goTo(STEP_IDS[Math.max(0, STEP_IDS.indexOf(this.at) - 1)]!);
	}
	chooseRegion(region: Region): void {
		this.region = region;
		this.#keep();
		this.#show();
	}

	#show(): void {
		this.trial.draft.bench = this.bench;
		this.trial.cut = this.cut;
		this.trial.work = this.bench.usual;
	}
	#keep(): void {
		const kept: Kept = {
			opId: this.#opId,
			region: this.region,
			answers: this.answers,
			cut: this.cut,
			cutAsked: this.cutAsked,
			benchId: this.#standing?.id ?? null
		};
		// Without storage the path still ends on the card; only leaving it half way loses it.
		remember(this.#key, kept);
	}
	/** Begins again with nothing answered. */
	forget(): void {
		forget(this.#key);
		this.#opId = newOpId();
		this.answers = {};
		this.cut = DEFAULT_CUT;
		this.cutAsked = this.resumed = false;
		this.goTo('amps');
		this.#show();
	}

	/** Keeps the bench; gives the address of its card, or nothing when it was refused. */
	async finish(): Promise<string | undefined> {
		if (this.busy) return undefined;
		this.busy = true;
		const { bench } = this;
		const standing = this.#standing;
		// The same bench for a press that is repeated, or whose answer was lost.
		const result = await sendNow<{ id?: string }>(
			standing
				? {
						method: 'PUT',
						path: `/api/benches/${standing.id}`,
						body: { opId: newOpId(), revision: standing.revision, bench }
					}
				: { method: 'POST', path: '/api/benches', body: { opId: this.#opId, bench } }
		);
		this.busy = false;
		if (result.outcome !== 'done') {
			this.problem = `${result.problem.message} Your answers are kept on this device.`;
			return undefined;
		}
		forget(this.#key);
		const id = standing?.id ?? result.data.id!;
		return `/first?${searchFromCut(this.cut, bench.usual, bench.usual, id)}`;
	}
}
