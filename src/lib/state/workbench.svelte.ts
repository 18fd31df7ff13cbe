import { createContext, untrack } from 'svelte';
import * as v from 'valibot';
import {
	applied,
	BenchSchema,
	explain,
	isMeasurement,
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
	type Explanation,
	type FigureChange,
	type FigureId,
	type KeptPlan,
	type Plan,
	type PlanInputs,
	type Quantity,
	type Settings,
	type Shown,
	type TestCut,
	type UnitSystem,
	type Work,
	REGISTRY
} from '$lib/core';
import { inputsHash } from '$lib/core/plan/plan';
import { searchFromCut } from '$lib/formats/cutUrl';
import { fieldProblems, sentence } from '$lib/formats/problem';
import { nowIso } from './clock';
import { writeSearch } from './history';
import { loadsFollow } from './circuits';
import { newOpId } from './ids';
import { send } from './outbox';
import { setPath } from './path';

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
	partSet: PartSetInfo | null;
	log: LogLine[];
	/** Every measurement that still counts, newest first. */
	measured: LogLine[];
	chart: Chart | null;
	cards: { id: string; name: string; search: string }[];
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
	kind: 'done' | 'problem';
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
	/** Stale save: the other version, until the person decides. */
	theirs = $state.raw<{ revision: number; bench: Bench } | undefined>();
	waiting = $state.raw(0);
	/** A handle is being dragged: links and washes wait for its release. */
	dragging = $state.raw(false);
	/** The planned cut as a query, as of the last release of a control. */
	search = $state.raw('');
	#past = $state.raw<Bench[]>([]);
	/** The card that was taken off last, so that it can be put back by its name. */
	#offShelf: WorkbenchData['cards'] = [];
	#restTimer: ReturnType<typeof setTimeout> | undefined;

	constructor(data: WorkbenchData) {
		this.take(data);
	}

	/** Takes what a navigation brought; an edited draft of the same bench stays. */
	take(data: WorkbenchData): void {
		const sameBench = this.#data?.benchId === data.benchId;
		const keepDraft = sameBench && this.edited;
		this.#data = data;
		if (!keepDraft) {
			this.bench = data.bench;
			this.#past = [];
		}
		this.cut = data.cut;
		this.work = data.work;
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
	readonly working: Explanation | undefined = $derived(
		this.opened && explain(this.inputs, this.opened)
	);
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

	/** Edits one value of the bench; gives the reason when it is refused, and then changes nothing. */
	edit(path: string, value: unknown): string | undefined {
		const draft = loadsFollow(this.bench, setPath(this.bench, path, value));
		const parsed = v.safeParse(BenchSchema, draft);
		if (!parsed.success) {
			const problems = fieldProblems(parsed.issues);
			const own = problems.find((p) => p.field === path);
			return own ? `${own.message} is accepted, got ${own.received}` : sentence(problems[0]!);
		}
		this.#past = [...this.#past, this.bench];
		this.bench = parsed.output;
		return undefined;
	}
	/** Takes a fix in one gesture; the notice takes it back in one. */
	apply(change: Change, told: string): void {
		const before = { bench: this.bench, past: this.#past, cut: this.cut, work: this.work };
		const after = applied(this.inputs, change);
		if (change.bench) {
			this.#past = [...this.#past, this.bench];
			this.bench = after.bench;
		}
		this.cut = after.cut;
		this.work = after.work;
		this.settle();
		const undo = () => {
			this.bench = before.bench;
			this.#past = before.past;
			this.cut = before.cut;
			this.work = before.work;
			this.settle();
			this.notice = { kind: 'done', text: 'Put back as it was.' };
		};
		this.notice = { kind: 'done', text: told, undo };
	}
	undoEdit(): void {
		const before = this.#past.at(-1);
		if (!before) return;
		this.bench = before;
		this.#past = this.#past.slice(0, -1);
	}
	discardEdits(): void {
		this.bench = this.#data.bench;
		this.#past = [];
		this.theirs = undefined;
	}

	/** Saves the draft over the revision it started from; a stale save shows both versions. */
	async saveBench(over = this.#data.revision): Promise<void> {
		const bench = this.bench;
		const result = await send<{ revision: number; bench: Bench }>({
			method: 'PUT',
			path: `/api/benches/${this.benchId}`,
			body: { opId: newOpId(), revision: over, bench }
		});
		if (result.outcome === 'waiting') {
			this.#kept('The bench is kept on this device and sent when the server answers.');
			return;
		}
		if (result.outcome === 'refused') {
			if (result.status === 409) {
				this.theirs = result.problem.theirs as { revision: number; bench: Bench };
			}
			this.notice = { kind: 'problem', text: result.problem.message };
			return;
		}
		const { revision } = result.data;
		this.#data = {
			...this.#data,
			revision,
			bench,
			benches: this.#data.benches.map((b) =>
				b.id === this.benchId ? { ...b, name: bench.name } : b
			)
		};
		this.#past = [];
		this.theirs = undefined;
		this.notice = { kind: 'done', text: 'Bench saved.' };
	}
	/** The person decided to take the other version. */
	takeTheirs(): void {
		if (!this.theirs) return;
		this.#data = { ...this.#data, ...this.theirs };
		this.discardEdits();
	}

	/** Writes one entry; the new evidence re-plans everything. `told` says what was done. */
	async logEntry(entry: Entry, told: string): Promise<boolean> {
		const result = await send<{ id: number; evidence: Evidence }>({
			method: 'POST',
			path: '/api/log',
			body: {
				opId: newOpId(),
				benchId: this.benchId,
				at: nowIso(),
				entry,
				inputsHash: this.inputsHash
			}
		});
		if (result.outcome === 'waiting') {
			this.#kept(`${told} Kept on this device and sent when the server answers.`);
			return true;
		}
		if (result.outcome === 'refused') {
			this.notice = { kind: 'problem', text: result.problem.message };
			return false;
		}
		const { id, evidence } = result.data;
		const line = { id, at: nowIso(), entry, undone: false };
		this.#newEvidence(evidence, entry, told);
		this.log = [line, ...this.log];
		if (isMeasurement(entry)) this.measured = [line, ...this.measured];
		this.notice = { kind: 'done', text: told, undo: () => void this.undoEntry(id) };
		return true;
	}

	#newEvidence(evidence: Evidence, entry: Entry, title: string): void {
		const before = this.plan;
		this.evidence = evidence;
		if (isMeasurement(entry)) this.moved = { title, changes: whatChanged(before, this.plan) };
	}

	async undoEntry(id: number): Promise<void> {
		const result = await send<{ evidence: Evidence }>({
			method: 'POST',
			path: `/api/log/${id}/undo`,
			body: { opId: newOpId() }
		});
		if (result.outcome === 'waiting') {
			this.#kept('Taken back on this device; sent when the server answers.');
			return;
		}
		if (result.outcome === 'refused') {
			this.notice = { kind: 'problem', text: result.problem.message };
			return;
		}
		const line = [...this.log, ...this.measured].find((l) => l.id === id);
		if (line) this.#newEvidence(result.data.evidence, line.entry, 'Taken back.');
		else this.evidence = result.data.evidence;
		this.measured = this.measured.filter((l) => l.id !== id);
		this.log = this.log.map((l) => (l.id === id ? { ...l, undone: true } : l));
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
		const result = await send<{ set: PartSetInfo; previousId: string | null; evidence: Evidence }>({
			method: 'POST',
			path: '/api/sets',
			body: { opId: newOpId(), benchId: this.benchId, name }
		});
		if (result.outcome !== 'done') {
			const text =
				result.outcome === 'waiting'
					? 'The new pair is kept on this device and sent when the server answers.'
					: result.problem.message;
			this.notice = { kind: result.outcome === 'waiting' ? 'done' : 'problem', text };
			return;
		}
		const { set, previousId, evidence } = result.data;
		const before = { partSet: this.partSet, evidence: this.evidence };
		this.partSet = set;
		this.evidence = evidence;
		const undo = async () => {
			const back = await send({
				method: 'POST',
				path: `/api/sets/${set.id}/unfit`,
				body: { opId: newOpId(), previousId }
			});
			if (back.outcome === 'done') Object.assign(this, before);
			const text = back.outcome === 'refused' ? back.problem.message : 'The old pair is back in.';
			this.notice = { kind: back.outcome === 'refused' ? 'problem' : 'done', text };
		};
		this.notice = { kind: 'done', text: `${name} is in the torch.`, undo: () => void undo() };
	}

	/** Puts the planned cut on the shelf, with everything it was planned from. */
	async saveCard(name: string): Promise<boolean> {
		const search = this.search;
		const result = await send<{ id: string }>({
			method: 'POST',
			path: '/api/cards',
			body: { opId: newOpId(), benchId: this.benchId, name, search }
		});
		if (result.outcome === 'refused') {
			this.notice = { kind: 'problem', text: result.problem.message };
			return false;
		}
		if (result.outcome === 'waiting') {
			this.#kept('The card is kept on this device and sent when the server answers.');
			return true;
		}
		const { id } = result.data;
		this.cards = [...this.cards, { id, name, search }];
		const undo = () => void this.shelveCard(id, false);
		this.notice = { kind: 'done', text: `${name} is on the shelf.`, undo };
		return true;
	}
	/** Takes a card off the shelf, or puts it back. */
	async shelveCard(id: string, onShelf: boolean): Promise<void> {
		const result = await send({
			method: 'PUT',
			path: `/api/cards/${id}`,
			body: { opId: newOpId(), onShelf }
		});
		if (result.outcome === 'refused') {
			this.notice = { kind: 'problem', text: result.problem.message };
			return;
		}
		const card = [...this.cards, ...this.#offShelf].find((one) => one.id === id);
		if (card) {
			this.#offShelf = onShelf ? [] : [card];
			const others = this.cards.filter((one) => one.id !== id);
			this.cards = onShelf ? [...others, card] : others;
		}
		if (result.outcome === 'waiting') return this.#kept('Kept on this device and sent later.');
		const text = `${card?.name ?? 'The card'} is ${onShelf ? 'back on' : 'off'} the shelf.`;
		const undo = () => void this.shelveCard(id, !onShelf);
		this.notice = { kind: 'done', text, undo };
	}

	/** Puts a whole cut chart in place of the one before; gives the reason when it is refused. */
	async saveChart(name: string, rows: ChartRow[]): Promise<string | undefined> {
		const result = await send<{ chart: Chart | null; evidence: Evidence }>({
			method: 'PUT',
			path: `/api/charts/${this.benchId}`,
			body: { opId: newOpId(), name, rows }
		});
		if (result.outcome === 'refused') return result.problem.message;
		if (result.outcome === 'waiting') {
			this.#kept('The chart is kept on this device and sent when the server answers.');
			return undefined;
		}
		this.chart = result.data.chart;
		this.evidence = result.data.evidence;
		return undefined;
	}

	async saveSettings(change: Partial<Settings>): Promise<void> {
		const settings = { ...this.settings, ...change };
		const result = await send<{ revision: number; settings: Settings }>({
			method: 'PUT',
			path: '/api/settings',
			body: { opId: newOpId(), revision: this.#data.settingsRevision, settings }
		});
		if (result.outcome === 'done') {
			this.settings = settings;
			this.#data = { ...this.#data, settings, settingsRevision: result.data.revision };
		} else if (result.outcome === 'refused') {
			this.notice = { kind: 'problem', text: result.problem.message };
		} else {
			this.settings = settings;
			this.#kept('The setting is kept on this device and sent when the server answers.');
		}
	}

	#kept(text: string): void {
		this.waiting++;
		this.notice = { kind: 'done', text };
	}
}

export const [getWorkbench, setWorkbench] = createContext<Workbench>();
