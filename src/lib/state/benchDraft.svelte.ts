import type { Bench } from '$lib/core';
import { dropDraft, keepDraft, keptDraft } from './keptDraft';

/** What an edit started from. */
interface Base {
	revision: number;
	bench: Bench;
}
/** The other version of a stale save, and the fields that both changed. */
export interface Theirs extends Base {
	fields: string[];
}

/** The bench as it is being edited: undone step by step, kept on this device until it is saved or let go. */
export class BenchDraft {
	/** The stored one until somebody touches it. */
	bench = $state.raw() as Bench;
	/** The bench before each step of the edit. */
	past = $state.raw<readonly Bench[]>([]);
	/** Until the person decides. */
	theirs = $state.raw<Theirs | undefined>();
	/** undefined: nothing is edited. */
	base: Base | undefined;

	/** `stored`: the bench as the server keeps it. */
	constructor(readonly stored: () => Base & { benchId: string }) {
		this.take();
	}

	get edited(): boolean {
		return this.past.length > 0;
	}

	/** The stored bench, without an edit; one that is kept on the device stays there. */
	take(): void {
		this.bench = this.stored().bench;
		this.past = [];
		this.base = undefined;
		this.theirs = undefined;
	}
	/** A changed bench, checked; it can be undone until it is saved. */
	change(bench: Bench): void {
		const stored = this.stored();
		this.base ??= { revision: stored.revision, bench: stored.bench };
		this.past = [...this.past, this.bench];
		this.bench = bench;
		this.#keep();
	}
	/** An edit in one step over `base`: it was not sent, or met the one of somebody else. */
	open(base: Base, bench: Bench, theirs?: Theirs): void {
		this.base = base;
		this.past = [base.bench];
		this.bench = bench;
		this.theirs = theirs;
		this.#keep();
	}
	/** The edit outlives a reload; without one there is nothing to keep. */
	#keep(): void {
		const { benchId } = this.stored();
		if (!this.edited) {
			this.base = undefined;
			dropDraft(benchId);
		} else if (this.base) {
			const { revision, bench: base } = this.base;
			keepDraft(benchId, { revision, base, bench: this.bench });
		}
	}
	/** An edit that was not saved before the page was left. */
	async restore(): Promise<void> {
		const { benchId } = this.stored();
		const kept = await keptDraft(benchId);
		const stored = this.stored();
		if (!kept || this.edited || stored.benchId !== benchId) return;
		this.base = { revision: kept.revision, bench: kept.base };
		this.past = [stored.bench];
		this.bench = kept.bench;
	}
	undo(): void {
		const before = this.past.at(-1);
		if (before) this.back({ bench: before, past: this.past.slice(0, -1) });
	}
	/** As it stood at an earlier step. */
	back({ bench, past }: Pick<BenchDraft, 'bench' | 'past'>): void {
		this.bench = bench;
		this.past = past;
		this.#keep();
	}
	discard(): void {
		this.theirs = undefined;
		this.back({ bench: this.stored().bench, past: [] });
	}
}
