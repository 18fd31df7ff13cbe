/** The two lists before the arc: what is ticked, refused, gone on with, and signed off. */
import type { Held } from '$lib/core/checks/inputs';
import { itemKey, listKey, type Item, type ListId } from '$lib/core/preflight/item';
import { preflight } from '$lib/core/preflight/list';
import { ownItems, type OwnCheck } from '$lib/core/preflight/own';
import { answerTo } from './answerTo';
import { logEntry } from './logbook';
import './plansHere';
import {
	keepTicks,
	keptTicks,
	noTicks,
	timeOfDay,
	timeOfIso,
	today,
	type Tick,
	type Ticks
} from './ticks';
import type { Workbench } from './workbench.svelte';
import { write } from './write';

/** "stale": ticked when it said something else. */
export type Answered = 'open' | 'stale' | Tick['said'];

interface Step {
	id: string;
	before: Tick | undefined;
	/** Takes back what it wrote into the log. */
	unlog?: () => void;
}
interface OwnStands {
	revision: number;
	own: OwnCheck[];
}
/** Signed off in the log, by this device or another. */
interface Signed {
	list: ListId;
	key: string;
	day: string;
	at: string;
}

export class Preflight {
	#ticks = $state.raw<Ticks>(noTicks(today()));
	/** The shop's own checks; undefined: they did not come yet. */
	own = $state.raw<OwnStands | undefined>();
	#signed = $state.raw<Signed[]>([]);
	job = $state<Exclude<ListId, 'day'>>('cut');
	/** The item that a thumb answers now. */
	chosen = $state<string | undefined>();
	#steps = $state.raw<Step[]>([]);
	/** Items whose word is on its way to the log. */
	#telling = $state.raw<string[]>([]);

	constructor(readonly bench: Workbench) {}

	readonly lists = $derived.by((): { id: ListId; items: Item[] }[] =>
		(['day', this.job] as const).map((id) => ({
			id,
			items: [
				...preflight(id, this.bench.inputs, this.bench.plan),
				...ownItems(id, this.own?.own ?? [])
			]
		}))
	);
	readonly items = $derived(this.lists.flatMap(({ items }) => items));
	readonly now = $derived(
		this.items.find(({ id }) => id === this.chosen) ??
			this.items.find((item) => ['open', 'stale'].includes(this.of(item)))
	);
	readonly ticked = $derived(this.items.filter((item) => this.of(item) === 'yes').length);
	readonly toTick = $derived(
		this.items.filter((item) => ['open', 'stale'].includes(this.of(item))).length
	);
	readonly wrong = $derived(this.items.filter((item) => this.of(item) === 'no'));
	/** Open on this bench, and not in these lists: a fault, or a check of another job. */
	readonly elsewhere = $derived.by(() =>
		this.bench.evidence.checks.filter((held) => !this.items.some(({ id }) => id === held.item))
	);
	readonly canUndo = $derived(this.#steps.length > 0);

	/** Once the page lives in a browser. */
	start(): void {
		this.#ticks = keptTicks(this.bench.benchId);
		this.#steps = [];
		this.chosen = undefined;
		void this.askOwn();
	}

	async askOwn(): Promise<void> {
		const { benchId } = this.bench;
		const answer = await answerTo<OwnStands & { signed: Signed[] }>(`/api/checks?bench=${benchId}`);
		// Ours are asked all the same.
		if (!answer || benchId !== this.bench.benchId) return;
		const { signed, ...own } = answer;
		this.own = own;
		this.#signed = signed;
	}

	/**
	 * What the log says of an item goes before what was ticked here: another device may have refused or mended
	 * it since. What is still on its way to the log counts as told.
	 */
	of(item: Item): Answered {
		const tick = this.#ticks.ticks[item.id];
		const refused = this.bench.evidence.checks.some((held) => held.item === item.id);
		const onItsWay = this.#telling.includes(item.id) || this.bench.waiting.length > 0;
		if (!tick) return refused ? 'no' : this.#signedWith(item) ? 'yes' : 'open';
		if (!onItsWay && refused && tick.said !== 'despite') return 'no';
		if (!onItsWay && !refused && tick.said !== 'yes') return 'open';
		if (tick.said === 'no') return 'no';
		return tick.key === itemKey(item) ? tick.said : 'stale';
	}
	/** When this list was signed off as it stands, "07:48". */
	signedAt(id: ListId): string | null {
		const list = this.lists.find((l) => l.id === id);
		if (!list) return null;
		const key = listKey(list.items);
		const here = this.#ticks.signed[id];
		return here?.key === key ? here.at : this.#signedElsewhere(id, key);
	}
	/** The same list, word for word, signed today on another device. */
	#signedElsewhere(id: ListId, key: string): string | null {
		const day = today();
		const found = this.#signed.find((s) => s.list === id && s.key === key && s.day === day);
		return found ? timeOfIso(found.at) : null;
	}
	#signedWith(item: Item): boolean {
		return this.lists.some(
			({ id, items }) =>
				items.some((one) => one.id === item.id) &&
				this.#signedElsewhere(id, listKey(items)) !== null
		);
	}
	/** All looked at, and nothing that stops is left. */
	ready(id: ListId): boolean {
		const list = this.lists.find((l) => l.id === id);
		return !!list && list.items.every((item) => ['yes', 'despite'].includes(this.of(item)));
	}
	#set(item: Item, said: Tick['said'] | undefined, unlog?: () => void): void {
		const before = this.#ticks.ticks[item.id];
		this.#steps = [...this.#steps, { id: item.id, before, unlog }];
		this.#write(item.id, said && { key: itemKey(item), said });
	}
	#write(id: string, tick: Tick | undefined): void {
		const ticks = { ...this.#ticks.ticks };
		if (tick) ticks[id] = tick;
		else delete ticks[id];
		this.#keep({ ...this.#ticks, ticks });
	}
	#keep(ticks: Ticks): void {
		this.#ticks = ticks;
		const day = this.signedAt('day');
		const job = this.signedAt(this.job);
		const shown = {
			search: this.bench.search,
			ticked: this.ticked,
			of: this.items.length,
			signedAt: day && job ? (day > job ? day : job) : null
		};
		this.#ticks = { ...ticks, shown };
		keepTicks(this.bench.benchId, this.#ticks);
		this.bench.ticked = shown;
	}

	async yes(item = this.now): Promise<void> {
		if (!item) return;
		const wasWrong = this.of(item) === 'no';
		this.#set(item, 'yes');
		this.chosen = undefined;
		// Nobody is asked to log that a thing is as it should be; that it is mended, yes.
		if (wasWrong) await this.#tell(item.held, true);
	}
	async notSo(item = this.now): Promise<void> {
		if (!item || this.of(item) === 'no') return;
		this.#set(item, 'no');
		this.chosen = item.id;
		await this.#tell(item.held, false);
	}
	/** It is not so, it does not stop, and the person goes on. */
	despite(item: Item): void {
		this.#set(item, 'despite');
		this.chosen = undefined;
	}
	async mended(held: Held): Promise<void> {
		await this.#tell(held, true);
	}
	async #tell(held: Held, so: boolean): Promise<void> {
		const { item, word, station, verdict } = held;
		const told = so ? `Mended: ${word}.` : `Not so: ${word}. The line says it until it is mended.`;
		this.#telling = [...this.#telling, item];
		await logEntry(this.bench, { kind: 'check', item, word, station, verdict, so }, told);
		this.#telling = this.#telling.filter((id) => id !== item);
		const { notice } = this.bench;
		const last = this.#steps.at(-1);
		if (last?.id === item && notice?.undo)
			this.#steps = [...this.#steps.slice(0, -1), { ...last, unlog: notice.undo }];
		// The dock says it and takes it back: nothing lies over the keys of a thumb.
		if (notice?.kind === 'done') this.bench.notice = undefined;
	}
	undo(): void {
		const last = this.#steps.at(-1);
		if (!last) return;
		this.#steps = this.#steps.slice(0, -1);
		this.#write(last.id, last.before);
		last.unlog?.();
		this.chosen = last.id;
	}

	/** Writes down which list was gone through, word for word, and holds it to its key. */
	async signOff(): Promise<void> {
		for (const { id, items } of this.lists) {
			if (!this.ready(id) || this.signedAt(id)) continue;
			const words = (said: Answered) =>
				items
					.filter((item) => this.of(item) === said)
					.map(({ ask }) => this.bench.sayAll(ask).slice(0, 160));
			const key = listKey(items);
			const ticked = words('yes');
			const despite = words('despite');
			const name = id === 'day' ? 'The day’s start' : id === 'cut' ? 'This cut' : 'This groove';
			const made = await logEntry(
				this.bench,
				{
					kind: 'signed',
					list: id,
					key,
					day: today(),
					ticked: ticked.length ? ticked : despite,
					despite
				},
				`${name} is signed off.`
			);
			if (!made) return;
			const at = timeOfDay();
			this.#keep({ ...this.#ticks, signed: { ...this.#ticks.signed, [id]: { key, at } } });
		}
	}

	async saveOwn(own: OwnCheck[]): Promise<boolean> {
		if (!this.own) return false;
		const result = await write<OwnStands>(this.bench, {
			method: 'PUT',
			path: '/api/checks',
			body: { revision: this.own.revision, own },
			words: 'Checks of the shop'
		});
		if (result.outcome === 'refused') {
			await this.askOwn();
			return false;
		}
		this.own = result.outcome === 'done' ? result.data : { ...this.own, own };
		return true;
	}
}
