/** Presses on the run sheet: shown at once, sent, taken back, and put together with those of others. */
import type { Made } from '$lib/core/studies/list/worked';
import type { Tick, Ticked } from '$lib/formats/ticked';
import { nowIso } from './clock';
import type { Workbench } from './workbench.svelte';
import { dropWaiting, write } from './write';

type Answer = Ticked & { evidence: Workbench['evidence'] };
export const NOTHING: Ticked = { ticks: [], presses: 0 };

export const ms = (iso: string) => Date.parse(iso);

export class ListTicks {
	/** As the server has them; those made here that it has not told yet; those that are being taken back. */
	#known = $state.raw<Tick[]>([]);
	#presses = 0;
	#own = $state.raw<(Tick & { listId: string })[]>([]);
	#gone = $state.raw<string[]>([]);
	/** On their way right now, and those whose undo is. */
	#sending = $state.raw<string[]>([]);
	#undoing = $state.raw<string[]>([]);
	/** Counts what was pressed here: an answer from before is old. */
	made = 0;

	/** The list that is open. */
	#listId = $state('');

	constructor(readonly bench: Workbench) {}

	/** Those that count, oldest first. */
	readonly ticks = $derived.by(() => {
		const known = this.#known.map(({ opId }) => opId);
		const own = this.#own.filter(
			({ opId, listId }) => listId === this.#listId && !known.includes(opId)
		);
		return [...this.#known, ...own]
			.filter(({ opId }) => !this.#gone.includes(opId))
			.sort((a, b) => Number(a.at > b.at) - Number(a.at < b.at));
	});
	/** When the list was begun, by the first press, ms. */
	readonly startedMs = $derived(this.ticks.length ? ms(this.ticks[0]!.at) : undefined);
	readonly paused = $derived(this.ticks.at(-1)?.kind === 'pause');
	/** Pieces by item. */
	readonly counts = $derived.by(() => {
		const counts: Record<string, { done: number; failed: number }> = {};
		for (const { item, kind } of this.ticks) {
			if (kind !== 'done' && kind !== 'failed') continue;
			const one = (counts[item] ??= { done: 0, failed: 0 });
			one[kind]++;
		}
		return counts;
	});
	/** When pieces were done, or failed, after the begin. */
	endsOf(kind: 'done' | 'failed'): Made[] {
		const startedMs = this.startedMs ?? 0;
		return this.ticks.flatMap((tick) =>
			tick.kind === kind ? { id: tick.item, endS: (ms(tick.at) - startedMs) / 1000 } : []
		);
	}

	get underWay(): boolean {
		return this.#sending.length + this.#undoing.length > 0;
	}
	readonly #waits = ({ opId }: Tick) =>
		this.#sending.includes(opId) ||
		this.bench.waiting.some(({ write: kept }) => kept.body.opId === opId);
	readonly #undoWaits = (undoes: string) =>
		this.#undoing.includes(undoes) ||
		this.bench.waiting.some(({ write: kept }) => kept.body.undoes === undoes);
	/** Something has gone out from here, or was dropped by hand, and only the server knows what became of it. */
	get unclear(): boolean {
		return (
			this.#own.some((tick) => !this.#waits(tick)) ||
			this.#gone.some((undoes) => !this.#undoWaits(undoes))
		);
	}

	open(listId: string, ticked: Ticked): void {
		this.#listId = listId;
		this.#knows(ticked);
	}
	#knows({ ticks, presses }: Ticked): void {
		this.#known = ticks;
		this.#presses = presses;
	}
	/** The server was asked, and nothing was pressed in between: only what waits here is not in its answer. */
	told(ticked: Ticked): void {
		this.#knows(ticked);
		this.#own = this.#own.filter(this.#waits);
		this.#gone = this.#gone.filter(this.#undoWaits);
	}

	/** False: it was refused, and does not count. `more`: what goes into the log with it. */
	async press(tick: Tick, words: string, more: Record<string, unknown>): Promise<boolean> {
		const { opId } = tick;
		const listId = this.#listId;
		this.made++;
		this.#own = [...this.#own, { ...tick, listId }];
		this.#sending = [...this.#sending, opId];
		const result = await write<Answer>(
			this.bench,
			{ method: 'POST', path: `/api/lists/${listId}/ticks`, body: { ...tick, ...more }, words },
			'Kept on this device: it counts here, and is sent when the server answers.'
		);
		this.#sending = this.#sending.filter((one) => one !== opId);
		if (result.outcome === 'done') this.#stands(listId, result.data);
		if (result.outcome === 'done' || result.outcome === 'refused')
			this.#own = this.#own.filter((one) => one.opId !== opId);
		return result.outcome !== 'refused';
	}
	/** The last one. */
	async takeBack(): Promise<void> {
		const listId = this.#listId;
		const undoes = this.ticks.at(-1)?.opId;
		if (!undoes) return;
		const without = () => (this.#own = this.#own.filter(({ opId }) => opId !== undoes));
		const shown = () => (this.#gone = this.#gone.filter((opId) => opId !== undoes));
		const unsent = this.bench.waiting.find(({ write: kept }) => kept.body.opId === undoes);
		if (unsent && !unsent.late) {
			await dropWaiting(this.bench, unsent.key);
			without();
			return;
		}
		this.made++;
		this.#gone = [...this.#gone, undoes];
		this.#undoing = [...this.#undoing, undoes];
		// It goes out at once, before the page can be left: on a slow net it may be there before its tick.
		const early = unsent !== undefined || this.#sending.includes(undoes);
		const result = await write<Answer>(
			this.bench,
			{
				method: 'POST',
				path: `/api/lists/${listId}/ticks`,
				body: { kind: 'undo', undoes, at: nowIso(), ...(early && { early }) },
				words: 'Taking a tick back'
			},
			'Not taken back at the server yet: kept on this device and sent when it answers.'
		);
		this.#undoing = this.#undoing.filter((opId) => opId !== undoes);
		if (result.outcome === 'done') {
			this.#stands(listId, result.data);
			without();
		}
		// Else it waits for the server, and is out of sight until then.
		if (result.outcome === 'done' || result.outcome === 'refused') shown();
	}
	/** What the server has now, and what follows from it; of another list by now only that. */
	#stands(listId: string, { evidence, ...ticked }: Answer): void {
		// Answers to presses made at once come in any order: an older one tells nothing.
		if (listId === this.#listId && ticked.presses >= this.#presses) this.#knows(ticked);
		if (evidence.revision < this.bench.evidence.revision) return;
		this.bench.evidence = evidence;
		this.bench.revised({ log: evidence.revision });
	}
}
