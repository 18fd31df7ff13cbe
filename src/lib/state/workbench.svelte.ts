import { createContext, untrack } from 'svelte';
import {
	applied,
	isMeasurement,
	filled,
	METALS,
	plan,
	planAsKept,
	say,
	showQuantity,
	whatChanged,
	type Bench,
	type Change,
	type Chart,
	type ChartRow,
	type Cut,
	type Entry,
	type Evidence,
	type FigureChange,
	type FigureId,
	type KeptPlan,
	type Plan,
	type PlanInputs,
	type Quantity,
	type Settings,
	type Told,
	type Shown,
	type TestCut,
	type UnitSystem,
	type Work,
	REGISTRY
} from '$lib/core';
import { inputsHash } from '$lib/core/plan/plan';
import { searchFromCut } from '$lib/formats/cutSearch';
import type { Revisions } from '$lib/formats/api';
import { nowIso } from './clock';
import { writeSearch } from './history';
import { newOpId } from './ids';
import { dropDraft, keepDraft, keptDraft } from './keptDraft';
import { merged } from './merge';
import { drop, send, type Kept, type SendResult, type Write } from './outbox';

export interface PartSetInfo {
	id: string;
	name: string;
	fittedAt: string;
}
export interface LogLine {
	id: number;
	at: string;
	entry: Entry;
	undone: boolean;
}

/** What the server gives for one bench and one address. */
export interface WorkbenchData {
	benchId: string;
	revision: number;
	bench: Bench;
	benches: { id: string; name: string }[];
	evidence: Evidence;
	settings: Settings;
	settingsRevision: number;
	/** Of everything here that two people can change. */
	revisions: Revisions;
	partSet: PartSetInfo | null;
	/** The newest lines. */
	log: LogLine[];
	/** The newest measurements of each kind that count, newest first. */
	measured: LogLine[];
	chart: Chart | null;
	chartName: string;
	cards: { id: string; name: string; search: string; revision: number }[];
	cut: Cut;
	work: Work;
	units: UnitSystem;
	/** Of a saved card: its numbers as they were. */
	kept?: KeptPlan | null;
}

/** What was seen of a test cut. */
export type SeenCut = Pick<
	TestCut,
	'speedMmS' | 'lagDeg' | 'dross' | 'judged' | 'through' | 'took'
>;

const UNHASHED = { hashed: false };

/** A hand that has not moved for this long rests, ms. */
const REST_MS = 150;

/** One line to the person, with a way back when there is one. */
export interface Notice {
	text: string;
	/** Done; kept on this device, which is not done; or refused. */
	kind: 'done' | 'kept' | 'problem';
	undo?: () => void;
}

/** The bench, the cut and everything planned from them; shared by all screens. */
export class Workbench {
	#data = $state.raw() as WorkbenchData;
	/** The bench as it is being edited; the stored one until somebody touches it. */
	bench = $state.raw() as Bench;
	cut = $state.raw() as Cut;
	work = $state.raw() as Work;
	evidence = $state.raw() as Evidence;
	settings = $state.raw() as Settings;
	chart = $state.raw<Chart | null>(null);
	cards = $state.raw<WorkbenchData['cards']>([]);
	partSet = $state.raw<PartSetInfo | null>(null);
	log = $state.raw<LogLine[]>([]);
	measured = $state.raw<LogLine[]>([]);
	/** What the last measurement, or its withdrawal, moved. */
	moved = $state.raw<{ title: string; changes: FigureChange[] } | undefined>();
	units = $state.raw<UnitSystem>('metric');
	notice = $state.raw<Notice | undefined>();
	/** Figure whose working is open. */
	opened = $state.raw<FigureId | undefined>();
	/** Stale save: the other version, until the person decides, and what both changed. */
	theirs = $state.raw<{ revision: number; bench: Bench; fields: string[] } | undefined>();
	/** On this device, not with the server: in their order, and what stepped aside. */
	waiting = $state.raw<Kept[]>([]);
	/** The server did not answer when it was asked last. */
	away = $state.raw(false);
	/** A handle is being dragged: links and washes wait for its release. */
	dragging = $state.raw(false);
	/** The planned cut as a query, as of the last release of a control. */
	search = $state.raw('');
	#past = $state.raw<Bench[]>([]);
	/** What the edit started from; undefined: nothing is edited. */
	#base: { revision: number; bench: Bench } | undefined;
	/** The card that was taken off last, so that it can be put back by its name. */
	#offShelf: WorkbenchData['cards'] = [];
	#restTimer: ReturnType<typeof setTimeout> | undefined;

	constructor(data: WorkbenchData) {
		this.take(data);
	}

	/** Takes what the server sent; an edited draft of the same bench stays, over what it started from. */
	take(data: WorkbenchData): void {
		const sameBench = this.#data?.benchId === data.benchId;
		const keepDraft = sameBench && this.edited;
		this.#data = data;
		if (!keepDraft) {
			this.bench = data.bench;
			this.#past = [];
			this.#base = undefined;
			this.theirs = undefined;
		}
		if (!sameBench) this.takeCut(data);
		this.evidence = data.evidence;
		this.settings = data.settings;
		this.chart = data.chart;
		this.cards = data.cards;
		this.partSet = data.partSet;
		this.log = data.log;
		this.measured = data.measured;
		if (!sameBench) this.moved = undefined;
		this.units = data.units;
		this.#tellSearch();
	}
	/** The cut that an address asks for. */
	takeCut({ cut, work }: Pick<WorkbenchData, 'cut' | 'work'>): void {
		this.cut = cut;
		this.work = work;
		this.#tellSearch();
	}
	get revisions(): Revisions {
		return this.#data.revisions;
	}
	get chartName(): string {
		return this.#data.chartName;
	}
	/** What this device changed itself is no news to it. */
	#revised(change: Partial<Revisions>): void {
		this.#data = { ...this.#data, revisions: { ...this.#data.revisions, ...change } };
	}

	get benchId(): string {
		return this.#data.benchId;
	}
	get benches(): { id: string; name: string }[] {
		return this.#data.benches;
	}
	get edited(): boolean {
		return this.#data !== undefined && this.#past.length > 0;
	}

	readonly inputs: PlanInputs = $derived({
		bench: this.bench,
		cut: this.cut,
		evidence: this.evidence,
		work: this.work,
		settings: this.settings,
		chart: this.chart
	});
	/** A saved card shows the numbers that it was saved with. */
	readonly plan: Plan = $derived.by(() => {
		const today = plan(this.inputs, UNHASHED);
		return this.#data.kept ? planAsKept(today, this.#data.kept) : today;
	});
	/** Of these inputs, or of a saved card; worked out when somebody asks. */
	get inputsHash(): string {
		return this.#data.kept?.inputsHash ?? inputsHash(this.inputs);
	}
	/** Inputs as of when the hand last rested; comparisons and charts go by them during a drag. */
	#restedInputs = $state.raw<PlanInputs | undefined>();
	readonly calmInputs: PlanInputs = $derived((this.dragging && this.#restedInputs) || this.inputs);
	/** The plan for what is not under the hand: the same one, except while a handle moves. */
	readonly calmPlan: Plan = $derived.by(() => {
		const calm = this.calmInputs;
		// Not tracked: the inputs under the hand change with every frame, the calm ones do not.
		return untrack(() => (calm === this.inputs ? this.plan : plan(calm, UNHASHED)));
	});
	/** The same cut by each school on amps, for the comparison. */
	readonly schools: Record<'matched' | 'full' | 'circuit', Plan> = $derived.by(() => {
		const { cut } = this.calmInputs;
		const by = (school: Cut['school']) =>
			school === cut.school
				? this.calmPlan
				: plan({ ...this.calmInputs, cut: { ...cut, school } }, UNHASHED);
		return { matched: by('matched'), full: by('full'), circuit: by('circuit') };
	});
	readonly gauge = $derived(METALS[this.cut.metal].gauge);

	/** The same cut on another bench, as a query. */
	searchOn(benchId: string): string {
		return searchFromCut(this.cut, this.work, this.work, benchId);
	}

	/** A value in the units of this device. */
	show(value: number | null, quantity: Quantity): Shown {
		if (value === null) return { text: '–', unit: '' };
		return showQuantity(value, { quantity, units: this.units, gauge: this.gauge });
	}
	say(value: number | null, quantity: Quantity): string {
		if (value === null) return '–';
		return say(value, { quantity, units: this.units, gauge: this.gauge });
	}
	/** The same as it was entered: for tables of values. */
	sayEntered(value: number | null, quantity: Quantity): string {
		if (value === null) return '–';
		return say(value, { quantity, units: this.units, gauge: this.gauge, asEntered: true });
	}
	/** A text with its values in the units of this device. */
	sayAll(told: Told): string {
		return filled(told, { units: this.units, gauge: this.gauge });
	}
	/** A figure of the plan in words: "22 mm/s". */
	sayFigure(id: FigureId, from: Plan = this.plan): string {
		return this.say(from.figures[id].value, REGISTRY[id].quantity);
	}
	showFigure(id: FigureId): Shown {
		return this.show(this.plan.figures[id].value, REGISTRY[id].quantity);
	}

	/** While a control moves. */
	setCut(change: Partial<Cut>): void {
		this.cut = { ...this.cut, ...change };
	}
	setGouge(change: Partial<Cut['gouge']>): void {
		// Whoever sets a groove wants one.
		this.cut = { ...this.cut, gouge: { ...this.cut.gouge, asked: true, ...change } };
	}
	setWork(change: Partial<Work>): void {
		this.work = { ...this.work, ...change };
	}
	/** A handle was gripped: what is not under the hand follows as soon as it rests. */
	grip(): void {
		this.#restedInputs = this.inputs;
		this.dragging = true;
	}
	/** The handle moves on. */
	dragCut(change: Partial<Cut>): void {
		this.setCut(change);
		clearTimeout(this.#restTimer);
		this.#restTimer = setTimeout(() => (this.#restedInputs = this.inputs), REST_MS);
	}
	release(): void {
		clearTimeout(this.#restTimer);
		this.dragging = false;
		this.settle();
	}
	/** On release of a control: the address tells the cut. */
	settle(): void {
		this.#tellSearch();
		writeSearch(this.search);
	}
	#tellSearch(): void {
		this.search = searchFromCut(this.cut, this.work, this.#data.bench.usual, this.benchId);
	}

	/** Takes a fix in one gesture; the notice takes it back in one. */
	apply(change: Change, told: string): void {
		const before = { bench: this.bench, past: this.#past, cut: this.cut, work: this.work };
		const after = applied(this.inputs, change);
		if (change.bench) {
			this.draftBench(after.bench);
		}
		this.cut = after.cut;
		this.work = after.work;
		this.settle();
		const undo = () => {
			this.bench = before.bench;
			this.#past = before.past;
			this.#keepDraft();
			this.cut = before.cut;
			this.work = before.work;
			this.settle();
			this.notice = { kind: 'done', text: 'Put back as it was.' };
		};
		this.notice = { kind: 'done', text: told, undo };
	}
	/** A changed bench, checked; it can be undone until it is saved. */
	draftBench(bench: Bench): void {
		this.#base ??= { revision: this.#data.revision, bench: this.#data.bench };
		this.#past = [...this.#past, this.bench];
		this.bench = bench;
		this.#keepDraft();
	}
	#keepDraft(): void {
		if (!this.edited) {
			this.#base = undefined;
			dropDraft(this.benchId);
		} else if (this.#base) {
			const { revision, bench: base } = this.#base;
			keepDraft(this.benchId, { revision, base, bench: this.bench });
		}
	}
	/** An edit that was not saved before the page was left. */
	async restoreDraft(): Promise<void> {
		const { benchId } = this;
		const draft = await keptDraft(benchId);
		if (!draft || this.edited || this.benchId !== benchId) return;
		this.#base = { revision: draft.revision, bench: draft.base };
		this.#past = [this.#data.bench];
		this.bench = draft.bench;
	}
	undoEdit(): void {
		const before = this.#past.at(-1);
		if (!before) return;
		this.bench = before;
		this.#past = this.#past.slice(0, -1);
		this.#keepDraft();
	}
	discardEdits(): void {
		this.bench = this.#data.bench;
		this.#past = [];
		this.theirs = undefined;
		this.#keepDraft();
	}

	/** Sends a write; tells what became of it unless it was done. */
	async #write<T>(
		write: Omit<Write, 'body'> & { body: Record<string, unknown> },
		keptWords = 'Kept on this device and sent when the server answers.'
	): Promise<SendResult<T>> {
		const whole: Write = { ...write, body: { opId: newOpId(), ...write.body } };
		const result = await send<T>(whole);
		if (result.outcome === 'waiting') {
			const { key } = result;
			const item = { key, write: whole, madeAt: nowIso() };
			this.waiting = [...this.waiting, item];
			const undo = () => void this.dropWaiting(key);
			this.notice = { kind: 'kept', text: keptWords, undo };
		} else if (result.outcome === 'aside') {
			const { key, status, problem } = result;
			const item = { key, write: whole, madeAt: nowIso(), refusal: { status, problem } };
			this.waiting = [...this.waiting, item];
			this.notice = {
				kind: 'problem',
				text: `${problem.message} It is set aside on this device; try it again or drop it above.`
			};
		} else if (result.outcome === 'refused') {
			this.notice = { kind: 'problem', text: result.problem.message };
		}
		return result;
	}
	/** Takes back what was not sent yet. */
	async dropWaiting(key: string): Promise<void> {
		const write = this.waiting.find((item) => item.key === key)?.write;
		const there = await drop(key);
		this.waiting = this.waiting.filter((item) => item.key !== key);
		if (!there) {
			this.notice = { kind: 'problem', text: 'It had gone out already; take it back in the log.' };
			return;
		}
		const reopened = write !== undefined && this.#reopen(write);
		const text = reopened
			? 'Taken back before it was sent: the edit is a draft again.'
			: 'Taken back before it was sent.';
		this.notice = { kind: 'done', text };
	}

	/** What an unsent write changed on the screen is as it was; an edit of this bench is a draft again. */
	#reopen({ path, base, body }: Write): boolean {
		if (path === '/api/settings' && base) this.settings = base as Settings;
		if (path !== `/api/benches/${this.benchId}` || !base) return false;
		const before = base as Bench;
		this.#stands(before, this.#data.revision);
		this.#base = { revision: body.revision as number, bench: before };
		this.#past = [before];
		this.bench = body.bench as Bench;
		this.#keepDraft();
		return true;
	}

	/** Saves the draft over the revision it started from; what somebody saved in between is kept. */
	async saveBench(over = this.#base?.revision ?? this.#data.revision): Promise<void> {
		const { bench, benchId } = this;
		const base = this.#base?.bench ?? this.#data.bench;
		const result = await this.#write<{ revision: number }>(
			{
				method: 'PUT',
				path: `/api/benches/${benchId}`,
				body: { revision: over, bench },
				base,
				words: `Edit of ${bench.name}`
			},
			'The bench is kept on this device and sent when the server answers.'
		);
		if (result.outcome === 'refused' && result.status === 409) {
			await this.#meet(base, bench, result.problem.theirs as { revision: number; bench: Bench });
			return;
		}
		if (result.outcome === 'refused') return;
		// Kept or saved, the edit is out of the hand: the bar closes.
		const revision = result.outcome === 'done' ? result.data.revision : this.#data.revision;
		this.#stands(bench, revision);
		if (result.outcome === 'done') this.notice = { kind: 'done', text: 'Bench saved.' };
	}
	#stands(bench: Bench, revision: number): void {
		const benches = this.#data.benches.map((b) =>
			b.id === this.benchId ? { ...b, name: bench.name } : b
		);
		this.#data = { ...this.#data, revision, bench, benches };
		this.#revised({ bench: revision });
		this.bench = bench;
		this.#past = [];
		this.theirs = undefined;
		this.#keepDraft();
	}
	/** Puts an edit together with what was saved in between; where both changed the same, both are shown. */
	async #meet(base: Bench, mine: Bench, theirs: { revision: number; bench: Bench }): Promise<void> {
		const both = merged(base, mine, theirs.bench);
		const { checkedBench } = await import('./editBench');
		const valid = both.ok ? checkedBench(both.value) : undefined;
		this.#base = { revision: theirs.revision, bench: theirs.bench };
		this.#data = { ...this.#data, revision: theirs.revision, bench: theirs.bench };
		this.#past = [theirs.bench];
		if (!valid?.ok) {
			this.bench = mine;
			this.theirs = { ...theirs, fields: both.ok ? [] : both.fields };
			this.#keepDraft();
			return;
		}
		this.bench = valid.bench;
		await this.saveBench(theirs.revision);
		if (this.edited) return;
		this.notice = {
			kind: 'done',
			text: 'Bench saved, together with what somebody else changed meanwhile.'
		};
	}
	/** The person decided to take the other version. */
	takeTheirs(): void {
		if (!this.theirs) return;
		const { revision, bench } = this.theirs;
		this.#stands(bench, revision);
	}
	/** An edit that waited and met another one: put together, or both shown. */
	async meetLate({ write, refusal, key }: Kept): Promise<boolean> {
		const theirs = refusal?.problem.theirs as { revision: number; bench: Bench } | undefined;
		const isEdit = write.path === `/api/benches/${this.benchId}` && refusal?.status === 409;
		// Whoever edits now decides first; until then the edit lies aside, in sight.
		if (!isEdit || !theirs || !write.base || this.edited) return false;
		await drop(key);
		await this.#meet(write.base as Bench, write.body.bench as Bench, theirs);
		return true;
	}

	/** Writes one entry; the new evidence re-plans everything. `told` says what was done. */
	async logEntry(entry: Entry, told: string): Promise<boolean> {
		const at = nowIso();
		const { benchId } = this;
		const result = await this.#write<{ id: number; evidence: Evidence }>(
			{
				method: 'POST',
				path: '/api/log',
				body: { benchId, at, entry, inputsHash: this.inputsHash },
				words: told.replace(/ (logged|taken)\.$/, '').replace(/\.$/, '')
			},
			'Not logged yet: kept on this device and sent when the server answers.'
		);
		if (result.outcome !== 'done') return result.outcome !== 'refused';
		// The answer may come when another bench is on the screen.
		if (this.benchId !== benchId) return true;
		const { id, evidence } = result.data;
		const line = { id, at, entry, undone: false };
		this.#newEvidence(evidence, entry, told);
		this.log = [line, ...this.log];
		if (isMeasurement(entry)) this.measured = [line, ...this.measured];
		this.notice = { kind: 'done', text: told, undo: () => void this.undoEntry(id) };
		return true;
	}

	#newEvidence(evidence: Evidence, entry: Entry, title: string): void {
		const before = this.plan;
		// A slow answer does not put older evidence over newer.
		if (evidence.revision < this.evidence.revision) return;
		this.evidence = evidence;
		this.#revised({ log: evidence.revision });
		if (isMeasurement(entry)) this.moved = { title, changes: whatChanged(before, this.plan) };
	}

	async undoEntry(id: number): Promise<void> {
		const line = [...this.log, ...this.measured].find((l) => l.id === id);
		const result = await this.#write<{ evidence: Evidence; outcome: 'undone' | 'already' }>(
			{
				method: 'POST',
				path: `/api/log/${id}/undo`,
				body: { at: nowIso() },
				words: 'Taking an entry back'
			},
			'Not taken back yet: kept on this device and sent when the server answers.'
		);
		if (result.outcome !== 'done') return;
		const { evidence, outcome } = result.data;
		if (line) this.#newEvidence(evidence, line.entry, 'Taken back.');
		else this.evidence = evidence;
		this.measured = this.measured.filter((l) => l.id !== id);
		this.log = this.log.map((l) => (l.id === id ? { ...l, undone: true } : l));
		if (outcome === 'already') {
			this.notice = { kind: 'done', text: 'Somebody had taken it back already.' };
			return;
		}
		this.notice = {
			kind: 'done',
			text: 'Taken back.',
			undo: line && (() => void this.logEntry(line.entry, 'Logged again.'))
		};
	}
	/** The newest entry that still counts. */
	readonly lastEntry: LogLine | undefined = $derived(this.log.find((line) => !line.undone));

	/** The planned cut can be made, and so logged. */
	readonly canLogCut: boolean = $derived(this.plan.figures['setup.arcS'].value !== null);

	/** One more cut like the planned one. */
	async logCut(): Promise<void> {
		const { figures, choices } = this.plan;
		const arcS = figures['setup.arcS'].value;
		const lengthMm = figures['setup.lineMm'].value;
		if (arcS === null || lengthMm === null || choices.startMethod === 'none') {
			this.notice = {
				kind: 'problem',
				text: 'This cut does not go through; there is nothing to log.'
			};
			return;
		}
		const { metal, thicknessMm, mesh } = this.cut;
		const entry: Entry = {
			kind: 'cut',
			metal,
			thicknessMm,
			lengthMm,
			outputA: figures['setup.currentA'].value!,
			arcS,
			starts: 1,
			...(mesh ? { mesh } : {}),
			start: choices.startMethod
		};
		await this.logEntry(entry, `Cut of ${this.say(lengthMm, 'length')} logged.`);
	}
	async logTestCut(seen: SeenCut, told: string): Promise<boolean> {
		return this.logEntry(this.testCut(seen), told);
	}
	/** A test cut in what is planned, at the amps that are planned. */
	testCut(seen: SeenCut): TestCut {
		const { figures } = this.plan;
		return {
			kind: 'test-cut',
			metal: this.cut.metal,
			// What the arc went through: a stack or a bevel counts as it stands.
			thicknessMm: figures['setup.arcMm'].value!,
			outputA: figures['setup.currentA'].value!,
			...seen
		};
	}
	async logStart(): Promise<void> {
		await this.logEntry({ kind: 'start', arcS: 1, start: 'edge' }, 'One start logged.');
	}

	/** New electrode and nozzle, as a pair. */
	async fitNewSet(name: string): Promise<void> {
		const { benchId } = this;
		const result = await this.#write<{
			set: PartSetInfo;
			previousId: string | null;
			revision: number;
			evidence: Evidence;
		}>(
			{
				method: 'POST',
				path: '/api/sets',
				body: { benchId, name, at: nowIso(), revision: this.revisions.parts },
				words: `${name} into the torch`
			},
			`${name}: not with the server yet, kept on this device and sent when it answers.`
		);
		if (result.outcome !== 'done') return this.#lookAgain(result);
		const { set, previousId, revision, evidence } = result.data;
		const before = { partSet: this.partSet, evidence: this.evidence };
		this.partSet = set;
		this.evidence = evidence;
		this.#revised({ parts: revision });
		const undo = async () => {
			const back = await this.#write<{ revision: number }>(
				{
					method: 'POST',
					path: `/api/sets/${set.id}/unfit`,
					body: { previousId },
					words: `${name} out again`
				},
				`${name} is not out yet: kept on this device and sent when the server answers.`
			);
			if (back.outcome !== 'done') return this.#lookAgain(back);
			Object.assign(this, before);
			this.#revised({ parts: back.data.revision });
			this.notice = {
				kind: 'done',
				text: before.partSet ? `${before.partSet.name} is back in.` : `${name} is out again.`
			};
		};
		this.notice = { kind: 'done', text: `${name} is in the torch.`, undo: () => void undo() };
	}
	/** Somebody was quicker: what the screen shows is asked for again. */
	refresh: () => void = () => {};
	#lookAgain(result: SendResult<unknown>): void {
		if (result.outcome === 'refused' && result.status === 409) this.refresh();
	}

	/** Puts the planned cut on the shelf, with everything it was planned from. */
	async saveCard(name: string): Promise<boolean> {
		const { search, benchId } = this;
		const result = await this.#write<{ id: string; revision: number }>(
			{
				method: 'POST',
				path: '/api/cards',
				body: { benchId, name, search },
				words: `Card ${name}`
			},
			'Not on the shelf yet: the card is kept on this device and sent when the server answers.'
		);
		if (result.outcome === 'refused') return false;
		if (result.outcome !== 'done') return true;
		const { id, revision } = result.data;
		this.cards = [...this.cards, { id, name, search, revision }];
		this.#revised({ cards: this.revisions.cards + 1 });
		const undo = () => void this.shelveCard(id, false);
		this.notice = { kind: 'done', text: `${name} is on the shelf.`, undo };
		return true;
	}
	/** Takes a card off the shelf, or puts it back. */
	async shelveCard(id: string, onShelf: boolean): Promise<void> {
		const card = [...this.cards, ...this.#offShelf].find((one) => one.id === id);
		const words = `${card?.name ?? 'A card'} ${onShelf ? 'back on' : 'off'} the shelf`;
		const result = await this.#write<{ revision: number }>(
			{
				method: 'PUT',
				path: `/api/cards/${id}`,
				body: { onShelf, revision: card?.revision },
				words
			},
			`${words}: not done yet, kept on this device and sent when the server answers.`
		);
		if (result.outcome !== 'done') return this.#lookAgain(result);
		if (card) {
			const now = { ...card, revision: result.data.revision };
			this.#offShelf = onShelf ? [] : [now];
			const others = this.cards.filter((one) => one.id !== id);
			this.cards = onShelf ? [...others, now] : others;
			this.#revised({ cards: this.revisions.cards + 1 });
		}
		const text = `${card?.name ?? 'The card'} is ${onShelf ? 'back on' : 'off'} the shelf.`;
		const undo = () => void this.shelveCard(id, !onShelf);
		this.notice = { kind: 'done', text, undo };
	}

	/** Puts a whole cut chart in place of the one before; the notice tells what became of it. */
	async saveChart(name: string, rows: ChartRow[]): Promise<'done' | 'kept' | 'refused'> {
		const result = await this.#write<{
			hash: string | null;
			revision: number;
			evidence: Evidence;
		}>(
			{
				method: 'PUT',
				path: `/api/charts/${this.benchId}`,
				body: { name, rows, revision: this.revisions.chart },
				words: `Cut chart of ${rows.length} rows`
			},
			'Not saved yet: the chart is kept on this device and sent when the server answers.'
		);
		if (result.outcome === 'refused') {
			this.#lookAgain(result);
			return 'refused';
		}
		if (result.outcome !== 'done') return 'kept';
		const { hash, revision, evidence } = result.data;
		this.chart = hash === null ? null : { hash, rows };
		this.evidence = evidence;
		this.#data = { ...this.#data, chartName: name };
		this.#revised({ chart: revision });
		return 'done';
	}

	async saveSettings(change: Partial<Settings>): Promise<void> {
		const settings = { ...this.settings, ...change };
		const result = await this.#write<{ revision: number; settings: Settings }>(
			{
				method: 'PUT',
				path: '/api/settings',
				body: { revision: this.#data.settingsRevision, settings },
				base: this.settings,
				words: 'A setting of the shop'
			},
			'The setting counts on this device only until the server answers.'
		);
		if (result.outcome === 'refused') return this.#lookAgain(result);
		this.settings = settings;
		if (result.outcome !== 'done') return;
		const { revision } = result.data;
		this.#data = { ...this.#data, settings, settingsRevision: revision };
		this.#revised({ settings: revision });
	}
}

export const [getWorkbench, setWorkbench] = createContext<Workbench>();
