/** The list that is open, as it is edited: every step is written at once, one after the other, and taken back. */
import { DayListSchema, type DayList } from '$lib/core/list/inputs';
import * as v from 'valibot';
import type { Workbench } from './workbench.svelte';
import { write } from './write';

export interface StoredList {
	id: string;
	revision: number;
	list: DayList;
}
/** Steps that can be taken back. */
const STEPS_MOST = 100;

export class ListEdits {
	id = $state('');
	/** 0: the server does not know it yet. */
	revision = $state(0);
	list = $state.raw<DayList | undefined>();
	/** The last edit has not been written yet, or is on its way. */
	saving = $state(false);
	/** Counts what was edited here: an answer from before is old. */
	made = 0;
	#past = $state.raw<DayList[]>([]);
	readonly canUndo = $derived(this.#past.length > 0);
	/** Edits that wait for the write before theirs: the last of each list, and the revision that it goes over. */
	#unsaved: (StoredList & { benchId: string })[] = [];

	constructor(
		readonly bench: Workbench,
		/** A list of this bench has been written, or is kept to be. */
		readonly written: (id: string, list: DayList) => void
	) {}

	/** Another list, or what the server has of this one: nothing of it was edited here. */
	open(stored: StoredList | null): void {
		this.id = stored?.id ?? '';
		this.revision = stored?.revision ?? 0;
		this.list = stored?.list;
		this.#past = [];
	}
	/** A new list. */
	begin(id: string, list: DayList): void {
		this.open({ id, revision: 0, list });
		void this.#save();
	}

	/** One step of the edit; it is written at once and can be taken back. */
	edit(change: (list: DayList) => DayList): void {
		if (!this.list) return;
		const parsed = v.safeParse(DayListSchema, change(this.list));
		if (!parsed.success) {
			this.bench.notice = { kind: 'problem', text: `Not taken: ${parsed.issues[0].message}.` };
			return;
		}
		this.#past = [...this.#past.slice(1 - STEPS_MOST), this.list];
		this.list = parsed.output;
		void this.#save();
	}
	undo(): void {
		const before = this.#past.at(-1);
		if (!before) return;
		this.#past = this.#past.slice(0, -1);
		this.list = before;
		void this.#save();
	}
	/** Writes one after the other; an edit of another list does not take the place of one that waits. */
	async #save(): Promise<void> {
		this.made++;
		const { id: shown, list: edited, revision } = this;
		if (!edited) return;
		this.#forget(shown);
		this.#unsaved.push({ id: shown, benchId: this.bench.benchId, list: edited, revision });
		if (this.saving) return;
		this.saving = true;
		for (let next; (next = this.#unsaved.shift());) {
			const { id, benchId, list, revision } = next;
			const result = await write<StoredList>(this.bench, {
				method: 'PUT',
				path: `/api/lists/${id}`,
				body: { benchId, revision, list },
				words: `List ${list.name}`
			});
			if (result.outcome === 'refused') {
				if (result.status === 409) this.#theirs(id, list, result.problem.theirs as StoredList);
				continue;
			}
			// Kept here and sent later: what follows goes over that one. Set aside it changes nothing for now.
			const kept = result.outcome === 'waiting' ? revision + 1 : revision;
			const now = result.outcome === 'done' ? result.data.revision : kept;
			if (this.id === id) this.revision = now;
			const later = this.#unsaved.find((one) => one.id === id);
			if (later) later.revision = now;
			if (benchId === this.bench.benchId) this.written(id, list);
		}
		this.saving = false;
	}
	#forget(id: string): void {
		this.#unsaved = this.#unsaved.filter((one) => one.id !== id);
	}
	/** Somebody else was quicker: theirs stands, ours can be brought back by one press while it is shown. */
	#theirs(id: string, ours: DayList, stored: StoredList | undefined): void {
		this.#forget(id);
		if (this.id !== id) {
			const text = `Somebody changed ${ours.name} in between: theirs stands, the last edit of it here was not written.`;
			this.bench.notice = { kind: 'problem', text };
			return;
		}
		const mine = this.list;
		if (!stored || !mine) return;
		this.revision = stored.revision;
		this.list = stored.list;
		this.bench.notice = {
			kind: 'problem',
			text: 'Somebody changed this list in between: theirs is shown, nothing was overwritten.',
			undo: () => this.edit(() => mine)
		};
	}
}
