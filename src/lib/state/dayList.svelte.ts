/** The day's list on the screen: edited, planned in a worker, worked through, and taken back step by step. */
import { DEFAULT_CUT, type PlanInputs } from '$lib/core';
import { inOwnOrder, twice, withItem, without } from '$lib/core/list/edit';
import { DayListSchema, ListItemSchema, type DayList, type ListItem } from '$lib/core/list/inputs';
import { inputsHash } from '$lib/core/plan/plan';
import { asSeen } from '$lib/core/arcline/propose';
import type { ArcSeen } from '$lib/core/arcline/events';
import { hash53 } from '$lib/core/solve/hash';
import { entryOf, realOf, type RealItem } from '$lib/core/studies/list/worked';
import type { InDrawer } from '$lib/core/studies/list/eats';
import type { Split } from '$lib/core/studies/list/benches';
import { timedPieces, withLearnt, type Learnt } from '$lib/core/studies/list/learnt';
import { askedItems } from '$lib/formats/dayList';
import type { Tick, Ticked } from '$lib/formats/ticked';
import ListWorker from '$lib/workers/list.worker?worker';
import type { ListAnswer, ListQuestion } from '$lib/workers/list.worker';
import * as v from 'valibot';
import { nowIso, secondOfDay } from './clock';
import { newOpId } from './ids';
import { ListEdits, type StoredList } from './listEdits.svelte';
import { Study } from './study.svelte';
import type { Workbench } from './workbench.svelte';
import { ListTicks, ms, NOTHING } from './listTicks.svelte';
import { write } from './write';

export interface DayListSent {
	lists: { id: string; name: string; archived: boolean; items: number }[];
	open: ({ id: string; revision: number; list: DayList } & Ticked) | null;
	drawer: InDrawer;
}
/** Two people at one list see each other's ticks after so long, ms. */
const FOLLOW_MS = 4000;

/** An item with nothing asked but this. */
export const newItem = (of: v.InferInput<typeof ListItemSchema>): ListItem =>
	v.parse(ListItemSchema, of);

export class DayListView {
	lists = $state.raw<DayListSent['lists']>([]);
	readonly edits: ListEdits;
	readonly pressed: ListTicks;
	drawer = $state.raw<InDrawer>({ electrode: 0, nozzle: 0 });
	/** Item whose fields are open. */
	opened = $state<string | undefined>();
	/** A page shows the plates: they are laid then. */
	laysPlates = $state(false);

	readonly #whole = new Study<ListAnswer, ListQuestion>(
		() => new ListWorker(),
		({ whole }) => whole,
		// What one change bought before stands until it is worked out again.
		(answer, before) =>
			answer.whole || !before
				? answer
				: { ...answer, study: { ...answer.study, buys: before.study.buys } }
	);
	readonly #live = new Study<ListAnswer, ListQuestion>(() => new ListWorker());

	constructor(
		readonly bench: Workbench,
		sent: DayListSent
	) {
		this.edits = new ListEdits(bench, (id, { name, items }) => {
			const archived = this.lists.find((one) => one.id === id)?.archived ?? false;
			const info = { id, name, archived, items: items.length };
			this.lists = [info, ...this.lists.filter((one) => one.id !== id)];
		});
		this.pressed = new ListTicks(bench);
		this.take(sent);
	}

	take({ lists, open, drawer }: DayListSent): void {
		this.lists = lists;
		this.drawer = drawer;
		// What is being written here is newer than what came.
		if (this.edits.saving && open?.id === this.id) return;
		this.pressed.open(open?.id ?? '', open ?? NOTHING);
		// The same list as it stands here: what was edited can still be taken back.
		if (open && open.id === this.id && open.revision === this.edits.revision) return;
		this.edits.open(open);
	}
	get id(): string {
		return this.edits.id;
	}
	get list(): DayList | undefined {
		return this.edits.list;
	}

	/**
	 * What waited has gone out, or was dropped by hand: the server is asked which. Call it from an effect; until
	 * then it counts as made.
	 */
	settle(): void {
		if (this.pressed.unclear && !this.bench.away) void this.#lookAgain(this.id);
	}
	/** While the run sheet is open: what others tick, and edit, comes in. Call it from an effect. */
	follow(): () => void {
		const timer = setInterval(() => {
			const quiet = !this.pressed.underWay && !this.edits.saving;
			if (this.edits.revision > 0 && quiet && !this.bench.away && !document.hidden)
				void this.#lookAgain(this.id);
		}, FOLLOW_MS);
		return () => clearInterval(timer);
	}
	async #lookAgain(id: string): Promise<void> {
		const edited = this.edits.made;
		const pressed = this.pressed.made;
		try {
			const response = await fetch(`/api/lists/${id}`);
			if (!response.ok || this.id !== id) return;
			const { revision, list, ...ticked } = (await response.json()) as StoredList & Ticked;
			// Pressed, or edited, while the answer was on its way: it is older than what stands here.
			if (this.edits.made !== edited || this.pressed.made !== pressed) return;
			if (this.pressed.underWay || this.edits.saving) return;
			if (revision > this.edits.revision) this.edits.open({ id, revision, list });
			this.pressed.told(ticked);
		} catch {
			// Later, when it answers.
		}
	}

	readonly #base: PlanInputs = $derived.by(() => ({
		...this.bench.calmInputs,
		cut: DEFAULT_CUT
	}));
	readonly asked = $derived.by(() =>
		this.list ? askedItems(this.list, this.bench.stored.bench.usual) : []
	);
	readonly study = $derived(this.#whole.answer?.study);
	readonly stale = $derived(this.#whole.stale || (this.asked.length > 0 && !this.study));
	readonly liveStudy = $derived(this.#live.answer?.study);
	readonly run = $derived(
		this.study?.run && !('trouble' in this.study.run) ? this.study.run : undefined
	);
	readonly trouble = $derived(
		this.study?.run && 'trouble' in this.study.run ? this.study.run : undefined
	);
	get canUndo(): boolean {
		return this.edits.canUndo;
	}
	readonly itemOf = (id: string) => this.list?.items.find((item) => item.id === id);
	readonly planOf = (id: string) => this.study?.plans.find((plan) => plan.id === id);
	/** Items in the order of the run; those that cannot be made, and until there is a run all, as entered. */
	readonly inOrder = $derived.by((): ListItem[] => {
		const items = this.list?.items ?? [];
		const order = this.run?.items.map(({ id }) => id) ?? [];
		const place = (id: string) => (order.includes(id) ? order.indexOf(id) : Infinity);
		return this.list?.order === 'own'
			? items
			: [...items].sort((a, b) => place(a.id) - place(b.id) || 0);
	});

	/** Asks the worker; call it from an effect. */
	ask(): void {
		const { list, asked } = this;
		if (!list || asked.length === 0) return;
		const base = this.#base;
		const { drawer, laysPlates } = this;
		const question = { base, list, asked, drawer, laysPlates };
		const key = hash53(JSON.stringify([list, drawer, laysPlates]));
		const hash = `${inputsHash(base)} ${key}`;
		this.#whole.ask({ ...question, key: hash }, hash);
	}
	askLive(): void {
		const { list, asked } = this;
		const { startedMs } = this.pressed;
		if (!list || startedMs === undefined || asked.length === 0) return;
		const made = this.pressed.endsOf('done');
		const failed = this.pressed.endsOf('failed');
		const lastMs = Math.max(startedMs, ...this.pressed.ticks.map(({ at }) => ms(at)));
		const base = this.#base;
		const beganS = secondOfDay(startedMs);
		const live = { made, failed, nowS: (lastMs - startedMs) / 1000, beganS };
		const key = hash53(JSON.stringify([list, live]));
		const hash = `${inputsHash(base)} ${key}`;
		this.#live.ask({ base, list, asked, drawer: this.drawer, live, key: hash }, hash);
	}
	close(): void {
		this.#whole.close();
		this.#live.close();
	}

	// Editing

	/** One step of the edit; it is written at once and can be taken back. */
	edit(change: (list: DayList) => DayList): void {
		this.edits.edit(change);
	}
	undo(): void {
		this.edits.undo();
	}
	create(list: DayList): void {
		const id = newOpId();
		this.pressed.open(id, NOTHING);
		this.edits.begin(id, list);
	}
	createEmpty(name: string): void {
		this.create(v.parse(DayListSchema, { name, items: [] }));
	}
	copy(): void {
		if (this.list) this.create({ ...this.list, name: `${this.list.name}, again`.slice(0, 60) });
	}
	async archive(archived: boolean): Promise<void> {
		const { id, revision } = this.edits;
		const result = await write<StoredList>(this.bench, {
			method: 'POST',
			path: `/api/lists/${id}`,
			body: { revision, archived },
			words: archived ? 'Putting a list away' : 'Taking a list out again'
		});
		if (result.outcome !== 'done' || this.id !== id) return;
		this.edits.revision = result.data.revision;
		this.lists = this.lists.map((one) => (one.id === id ? { ...one, archived } : one));
		this.bench.notice = {
			kind: 'done',
			text: archived ? 'Put away; it stays among the lists.' : 'Out again.',
			undo: () => void this.archive(!archived)
		};
	}

	/** Items to a list of their own on another bench: first there, then off this one. */
	async partWith({ id: benchId, name, there }: Split): Promise<void> {
		const { list, id } = this;
		if (!list) return;
		const theirs = {
			...list,
			name: `${list.name}, ${name}`.slice(0, 60),
			items: list.items.filter((item) => there.includes(item.id))
		};
		const result = await write<StoredList>(this.bench, {
			method: 'PUT',
			path: `/api/lists/${newOpId()}`,
			body: { benchId, revision: 0, list: theirs },
			words: `List ${theirs.name}`
		});
		if (result.outcome === 'refused' || this.id !== id) return;
		this.edit((now) => without(now, there));
		if (result.outcome === 'done')
			this.bench.notice = {
				kind: 'done',
				text: `${theirs.items.length} ${theirs.items.length === 1 ? 'item stands' : 'items stand'} on a list of their own at ${name}.`
			};
	}

	setItem(id: string, change: Partial<ListItem>): void {
		this.edit((list) => withItem(list, id, change));
	}
	setQuote(change: Partial<DayList['quote']>): void {
		this.edit((list) => ({ ...list, quote: { ...list.quote, ...change } }));
	}
	add(items: readonly ListItem[]): void {
		if (!this.list) this.createEmpty('Today');
		this.edit((list) => ({ ...list, items: [...list.items, ...items] }));
	}
	/** The planned cut, or the planned groove, as an item. */
	addPlanned(what: ListItem['what']): void {
		const { cut, search } = this.bench;
		const mm = this.bench.say(cut.thicknessMm, 'thickness');
		const name =
			what === 'groove' ? `Groove in ${mm}` : `${mm}, ${this.bench.say(cut.lengthMm, 'length')}`;
		const pieces = what === 'groove' ? cut.gouge.pieces : 1;
		const item = { id: this.newId(), name: name.slice(0, 60), what, search, pieces };
		this.add([newItem(item)]);
	}
	/** An id that no item has. */
	newId(): string {
		return `i${newOpId().replaceAll('-', '').slice(0, 12)}`;
	}
	remove(id: string): void {
		this.edit((list) => without(list, [id]));
	}
	duplicate(id: string): void {
		if (this.itemOf(id)) this.edit((list) => twice(list, id, this.newId()));
	}
	/** From now on in the person's own order. */
	reorder(ids: readonly string[]): void {
		this.edit((list) => inOwnOrder(list, ids));
	}
	move(id: string, by: 1 | -1): void {
		const ids = this.inOrder.map((item) => item.id);
		const at = ids.indexOf(id);
		const to = at + by;
		if (at < 0 || to < 0 || to >= ids.length) return;
		this.reorder(ids.toSpliced(at, 1).toSpliced(to, 0, id));
	}

	// Working through it

	readonly left = (item: ListItem) =>
		Math.max(0, item.pieces - (this.pressed.counts[item.id]?.done ?? 0));
	/** In the order of the run; those that can be made and are not done. */
	readonly toDo = $derived(
		this.inOrder.filter((item) => this.planOf(item.id) && this.left(item) > 0)
	);
	/** Item that a thumb ticks now: the one that was chosen, else the next. */
	chosen = $state<string | undefined>();
	readonly current = $derived(this.toDo.find(({ id }) => id === this.chosen) ?? this.toDo[0]);

	/** Planned against real, as far as ticks tell. */
	readonly real = $derived.by((): RealItem[] => {
		const ticks = this.pressed.ticks.map(({ item, kind, at }) => ({ item, kind, atMs: ms(at) }));
		return realOf(this.study?.plans ?? [], timedPieces(ticks));
	});
	/** When it will be done by the plan that it was begun with, and as it goes now, ms; undefined: not begun. */
	readonly finish = $derived.by(() => {
		if (this.pressed.startedMs === undefined) return undefined;
		const plannedMs = this.run && this.pressed.startedMs + this.run.endS * 1000;
		const live = this.liveStudy?.run;
		const lastMs = Math.max(...this.pressed.ticks.map(({ at }) => ms(at)));
		const leftMs =
			live === null
				? lastMs
				: live && !('trouble' in live)
					? this.pressed.startedMs + live.endS * 1000
					: undefined;
		return { plannedMs, nowMs: leftMs, over: this.toDo.length === 0, lastMs };
	});

	/** `seen`: what a sensor saw of it, and the name of its tick, which is the same on every device. */
	async tick(
		kind: Tick['kind'],
		item = this.current,
		seen?: { opId: string; at: string; arcs: readonly ArcSeen[] }
	): Promise<boolean> {
		const plan = item && this.planOf(item.id);
		const asked = item && this.asked.find((one) => one.item.id === item.id);
		const logs = kind === 'done' || kind === 'failed';
		if (logs && (!plan || !asked || !item)) return false;
		const opId = seen?.opId ?? newOpId();
		const at = seen?.at ?? nowIso();
		const tick: Tick = { opId, item: logs ? item!.id : '', kind, at };
		const asPlanned = logs && plan && asked ? entryOf(plan, asked, kind) : undefined;
		const entry = asPlanned && asSeen(asPlanned, seen?.arcs ?? []);
		const { who } = this.bench;
		const customer = this.list?.customer.slice(0, 60);
		const said = { ...(who && { who }), ...(customer && { whatFor: customer }) };
		const more = { ...(entry && { entry }), ...said };
		return this.pressed.press(tick, this.#words(tick), more);
	}
	#words({ kind, item }: Tick): string {
		const name = this.itemOf(item)?.name ?? '';
		const words = {
			done: `${name}: one done`,
			failed: `${name}: one failed`,
			pause: 'Pause',
			on: 'On'
		};
		return words[kind];
	}
	/** Takes back the last press. */
	untick(): Promise<void> {
		return this.pressed.takeBack();
	}

	/** What earlier lists took: handling where an item has none of its own, and rejects. */
	learnAll(learnt: readonly Learnt[]): void {
		this.edit((list) => withLearnt(list, this.study?.plans ?? [], learnt));
	}
	/** The handling that an item really took is planned with from now on. */
	learn({ id, handlingS }: RealItem): void {
		if (handlingS !== null) this.setItem(id, { handlingS: Math.round(handlingS) });
	}
}
