import { createContext, untrack } from 'svelte';
import { browser } from '$app/environment';
import {
	applied,
	filled,
	METALS,
	planAsKept,
	saidAsKept,
	say,
	showQuantity,
	type Bench,
	type Change,
	type Chart,
	type Cut,
	type Evidence,
	type FigureChange,
	type FigureId,
	type Plan,
	type Said,
	type PlanInputs,
	type Quantity,
	type Settings,
	type Told,
	type Shown,
	type UnitSystem,
	type Work,
	NAMES
} from '$lib/core';
import { searchFromCut } from '$lib/formats/cutSearch';
import type { ListItem } from '$lib/core/list/inputs';
import type { GaugeTable } from '$lib/core/quantity/gauge';
import type { Revisions } from '$lib/formats/bodies/house';
import { BenchDraft } from './benchDraft.svelte';
import { Hand } from './hand.svelte';
import { writeSearch } from './history';
import type { Kept } from './outbox';
import { planner } from './planner.svelte';
import type { Step } from './steps';
import type { Ticks } from './ticks';
import type { LogLine, PartSetInfo, WorkbenchData } from './workbenchData';

const UNHASHED = { hashed: false };

/** Of whatever inputs. Throws where nothing plans yet. */
function worked(inputs: PlanInputs): Plan {
	const here = planner();
	if (!here) throw new Error('Nothing plans here yet: import plansHere.');
	return here.plan(inputs, UNHASHED);
}

/** All of it is so already. */
const holds = <T extends object>(whole: T, part: Partial<T>): boolean =>
	(Object.keys(part) as (keyof T)[]).every((key) => whole[key] === part[key]);

/** What one press of the log button means, until somebody counts more. */
export const ONCE = { cuts: 1, pierced: 0, failed: 0 } as const;

/** One line to the person, with a way back when there is one. */
export interface Notice {
	text: string;
	/** Done; kept on this device, which is not done; or refused. */
	kind: 'done' | 'kept' | 'problem';
	undo?: () => void;
	/** Does again what was just taken back. */
	redo?: () => void;
}

/** The bench, the cut and everything planned from them; shared by all screens. */
export class Workbench {
	/** As the server keeps it. */
	stored = $state.raw() as WorkbenchData;
	/** As it came, with the plan of that; what is kept since then has another. */
	#sent = $state.raw() as WorkbenchData;
	#cut = $state.raw() as Cut;
	/** Every value that is said reads it: as a state of its own it does not change with every cut. */
	#gauge = $state.raw() as GaugeTable;
	work = $state.raw() as Work;
	evidence = $state.raw() as Evidence;
	settings = $state.raw() as Settings;
	chart = $state.raw<Chart | null>(null);
	cards = $state.raw<WorkbenchData['cards']>([]);
	partSet = $state.raw<PartSetInfo | null>(null);
	log = $state.raw<LogLine[]>([]);
	/** What was logged from this device, newest first. */
	steps = $state.raw<Step[]>([]);
	/** What the next entries are for; nobody has to say. */
	whatFor = $state('');
	/** Who works at this device; nobody has to say. */
	who = $state('');
	/** What was ticked of the checks on this device today, for which cut; null: nothing, or not known yet. */
	ticked = $state.raw<Ticks['shown']>(null);
	measured = $state.raw<LogLine[]>([]);
	/** What the last measurement, or its withdrawal, moved. */
	moved = $state.raw<{ title: string; changes: FigureChange[] } | undefined>();
	units = $state.raw<UnitSystem>('metric');
	notice = $state.raw<Notice | undefined>();
	/** Handed over to the day’s list by another page, until it takes them up. */
	forList = $state.raw<ListItem[]>([]);
	/** How often the planned cut was made, to be logged by the next press. */
	counted = $state.raw<{ cuts: number; pierced: number; failed: number }>(ONCE);
	/** Figure whose working is open. */
	opened = $state.raw<FigureId | undefined>();
	/** On this device, not with the server: in their order, and what stepped aside. */
	waiting = $state.raw<Kept[]>([]);
	/** The server did not answer when it was asked last. */
	away = $state.raw(false);
	/** The planned cut as a query, as of the last release of a control. */
	search = $state.raw('');
	readonly draft: BenchDraft;

	constructor(data: WorkbenchData) {
		this.stored = data;
		this.draft = new BenchDraft(() => this.stored);
		this.#took(data, false);
	}

	/** Takes what the server sent; an edited draft of the same bench stays, over what it started from. */
	take(data: WorkbenchData): void {
		const sameBench = this.stored.benchId === data.benchId;
		this.stored = data;
		if (!sameBench || !this.draft.edited) this.draft.take();
		this.#took(data, sameBench);
	}
	#took(data: WorkbenchData, sameBench: boolean): void {
		this.#sent = data;
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
		this.tellSearch();
	}
	/** The cut that an address asks for. */
	takeCut({ cut, work }: Pick<WorkbenchData, 'cut' | 'work'>): void {
		this.counted = ONCE;
		this.cut = cut;
		this.work = work;
		this.tellSearch();
	}
	get cut(): Cut {
		return this.#cut;
	}
	set cut(cut: Cut) {
		this.#cut = cut;
		this.#gauge = METALS[cut.metal].gauge;
	}
	get gauge(): GaugeTable {
		return this.#gauge;
	}
	/** Of everything here that two people can change. */
	get revisions(): Revisions {
		return this.stored.revisions;
	}
	get chartName(): string {
		return this.stored.chartName;
	}
	/** What this device changed itself is no news to it. */
	revised(change: Partial<Revisions>): void {
		this.stored = { ...this.stored, revisions: { ...this.stored.revisions, ...change } };
	}

	get benchId(): string {
		return this.stored.benchId;
	}
	get benches(): { id: string; name: string }[] {
		return this.stored.benches;
	}
	/** As it is being edited; the stored one until somebody touches it. */
	get bench(): Bench {
		return this.draft.bench;
	}

	readonly inputs: PlanInputs = $derived({
		bench: this.bench,
		cut: this.cut,
		evidence: this.evidence,
		work: this.work,
		settings: this.settings,
		chart: this.chart
	});
	/** The plan that came with the page, while it is the one of these inputs. */
	#asSent({ bench, cut, evidence, work, settings, chart }: PlanInputs): (Plan & Said) | null {
		const sent = this.#sent;
		const same =
			bench === sent.bench &&
			cut === sent.cut &&
			evidence === sent.evidence &&
			work === sent.work &&
			settings === sent.settings &&
			chart === sent.chart;
		return same ? sent.spoken : null;
	}
	/**
	 * The server draws what it sends. Here that stays on the screen until this device can plan, and `behind`
	 * says when it is of something else; then every digit counts, for what is ticked, logged or kept by it.
	 */
	#planOf(inputs: PlanInputs): Plan {
		const sent = planner() ? !browser && this.#asSent(inputs) : this.#sent.spoken;
		return sent || worked(inputs);
	}
	/** The plan on the screen is of an earlier cut: what works it out is still on its way. */
	get behind(): boolean {
		return !planner() && !this.#asSent(this.inputs);
	}
	/** A saved card shows the numbers that it was saved with. */
	readonly plan: Plan = $derived.by(() => {
		const today = this.#planOf(this.inputs);
		return this.stored.kept ? planAsKept(today, this.stored.kept) : today;
	});
	/** Of these inputs, or of a saved card; worked out when somebody asks. */
	get inputsHash(): string {
		const { kept, spoken } = this.#sent;
		return kept?.inputsHash ?? planner()?.inputsHash(this.inputs) ?? spoken?.inputsHash ?? '';
	}
	readonly #hand = new Hand(() => this.inputs);
	/** Inputs as of when the hand last rested; comparisons and charts go by them during a drag. */
	readonly calmInputs: PlanInputs = $derived(this.#hand.rested ?? this.inputs);
	/** A handle is being dragged: links and washes wait for its release. */
	get dragging(): boolean {
		return this.#hand.dragging;
	}
	/** The plan for what is not under the hand: the same one, except while a handle moves. */
	readonly calmPlan: Plan = $derived.by(() => {
		const calm = this.calmInputs;
		// What plans may come only now.
		planner();
		// Not tracked: the inputs under the hand change with every frame, the calm ones do not.
		return untrack(() => (calm === this.inputs ? this.plan : this.#planOf(calm)));
	});
	/** Says a plan in sentences; comes after the first screen, which has those of the server. */
	speak = $state.raw<((inputs: PlanInputs) => Said) | undefined>();
	/** The sentences of what is not under the hand; until there are any, what warns of every cut goes on warning. */
	readonly said: Said = $derived.by(() => {
		const { kept } = this.stored;
		const unspoken = { findings: [], cautions: this.#sent.spoken?.cautions ?? [] };
		const today = this.#asSent(this.calmInputs) ?? this.speak?.(this.calmInputs) ?? unspoken;
		return kept ? saidAsKept(today, kept) : today;
	});
	/** The same cut by each school on amps, for the comparison; its screen brings what plans. */
	readonly schools: Record<'matched' | 'full' | 'circuit', Plan> = $derived.by(() => {
		const { cut } = this.calmInputs;
		const by = (school: Cut['school']) =>
			school === cut.school
				? this.calmPlan
				: worked({ ...this.calmInputs, cut: { ...cut, school } });
		return { matched: by('matched'), full: by('full'), circuit: by('circuit') };
	});

	/** The same cut on another bench, as a query. */
	searchOn(benchId: string, cut = this.cut): string {
		return searchFromCut(cut, this.work, this.work, benchId);
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
	/** A side, or a place that is marked out. */
	saySide(mm: number): string {
		return say(mm, { quantity: 'length', units: this.units, side: true });
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
		return this.say(from.figures[id].value, NAMES[id].quantity);
	}
	showFigure(id: FigureId): Shown {
		return this.show(this.plan.figures[id].value, NAMES[id].quantity);
	}

	/** A choice was made: links and address tell it. */
	setCut(change: Partial<Cut>): void {
		this.#put(change);
		this.#settle();
	}
	setGouge(change: Partial<Cut['gouge']>): void {
		this.setCut(this.#groove(change));
	}
	/** Whoever sets a groove wants one. */
	#groove = (change: Partial<Cut['gouge']>): Pick<Cut, 'gouge'> => ({
		gouge: { ...this.cut.gouge, asked: true, ...change }
	});
	#gougedSo = (change: Partial<Cut['gouge']>): boolean =>
		this.cut.gouge.asked && holds(this.cut.gouge, change);
	setWork(change: Partial<Work>): void {
		this.work = { ...this.work, ...change };
		this.#settle();
	}
	/** While a control moves. */
	#put(change: Partial<Cut>): void {
		// What was counted was another cut; a groove is none.
		if (!change.gouge && this.counted !== ONCE) this.counted = ONCE;
		this.cut = { ...this.cut, ...change };
	}
	/** A handle was gripped: what is not under the hand follows as soon as it rests. */
	grip(): void {
		this.#hand.grip();
	}
	/** The handle moves on: a hand that has not come to the next step yet does not rest either. */
	dragCut(change: Partial<Cut>): void {
		if (!holds(this.cut, change)) this.#put(change);
		this.#hand.moved(() => this.#hand.rest());
	}
	dragGouge(change: Partial<Cut['gouge']>): void {
		this.dragCut(this.#gougedSo(change) ? {} : this.#groove(change));
	}
	release(): void {
		this.still();
		this.#settle();
	}
	/** A key or a button steps, perhaps on and on: links know at once, the rest once it rests. */
	stepCut(change: Partial<Cut>): void {
		this.#hand.step();
		this.#put(change);
		this.tellSearch();
		this.#hand.moved(() => this.release());
	}
	stepGouge(change: Partial<Cut['gouge']>): void {
		if (!this.#gougedSo(change)) this.stepCut(this.#groove(change));
	}
	/** Nothing moves any more. */
	still(): void {
		this.#hand.still();
	}
	/** The address tells the cut. */
	#settle(): void {
		this.tellSearch();
		writeSearch(this.search);
	}
	tellSearch(): void {
		this.search = searchFromCut(this.cut, this.work, this.stored.bench.usual, this.benchId);
	}

	/** Takes a fix in one gesture; the notice takes it back in one. */
	apply(change: Change, told: string): void {
		const { draft, cut, work } = this;
		const { bench, past } = draft;
		const after = applied(this.inputs, change);
		if (change.bench) draft.change(after.bench);
		this.cut = after.cut;
		this.work = after.work;
		this.#settle();
		const undo = () => {
			draft.back({ bench, past });
			this.cut = cut;
			this.work = work;
			this.#settle();
			this.notice = { kind: 'done', text: 'Changed back.' };
		};
		this.notice = { kind: 'done', text: told, undo };
	}
	/** This bench is what the server keeps, at that revision; no edit is left. */
	stands(bench: Bench, revision: number): void {
		const benches = this.stored.benches.map((b) =>
			b.id === this.benchId ? { ...b, name: bench.name } : b
		);
		this.stored = { ...this.stored, revision, bench, benches };
		this.revised({ bench: revision });
		this.draft.discard();
	}

	/** The newest entry that still counts. */
	readonly lastEntry: LogLine | undefined = $derived(this.log.find((line) => !line.undone));
	/** The planned cut can be made, and so logged. */
	readonly canLogCut: boolean = $derived(this.plan.figures['setup.arcS'].value !== null);

	/** Somebody was quicker: what the screen shows is asked for again. */
	refresh: () => void = () => {};
}

export const [getWorkbench, setWorkbench] = createContext<Workbench>();
