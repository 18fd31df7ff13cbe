/** Blocks put one after the other: what an order comes to. */
import type { BeforeOf } from './before';
import type { OrderAsk, Ordered, Placed } from './ordered';

/** How far a schedule has come. */
export class Schedule {
	readonly #freeS: number[];
	readonly #set: string[];
	readonly #endS: (number | undefined)[];
	readonly #readyS = new Map<string, number>();
	readonly placed: Placed[] = [];
	changes = 0;
	endS = 0;

	constructor(
		readonly ask: OrderAsk,
		readonly before: BeforeOf
	) {
		this.#freeS = ask.benches.map(() => 0);
		this.#set = ask.benches.map(({ setInTorch }) => setInTorch);
		this.#endS = ask.items.map(() => undefined);
	}

	setOn = (bench: number): string => this.#set[bench]!;
	done = (i: number): boolean => this.#endS[i] !== undefined;
	free = (bench: number): number => this.#freeS[bench]!;
	/** When nothing hinders the next item of a piece any more. */
	coolAtS = (piece: string): number => this.#readyS.get(piece) ?? 0;
	open = (i: number): boolean => !this.done(i) && this.before[i]!.every((p) => this.done(p));
	can = (i: number, bench: number): boolean =>
		this.ask.benches[bench]!.id in this.ask.items[i]!.arcS;

	changeS(i: number, bench: number): number {
		const [from, to] = [this.#set[bench]!, this.ask.items[i]!.set];
		return from === to ? 0 : this.ask.changeS(from, to);
	}
	/** When the block of an item could begin on a bench. */
	startS(i: number, bench: number): number {
		const item = this.ask.items[i]!;
		let startS = this.#freeS[bench]! + this.changeS(i, bench);
		startS = Math.max(startS, this.coolAtS(item.piece));
		for (const p of this.before[i]!) startS = Math.max(startS, this.#endS[p] ?? Infinity);
		return startS;
	}
	put(i: number, bench: number): void {
		const item = this.ask.items[i]!;
		const { id } = this.ask.benches[bench]!;
		const startS = this.startS(i, bench);
		const endS = startS + item.handlingS + item.arcS[id]!;
		const change = this.#set[bench] !== item.set;
		if (change) this.changes++;
		this.#set[bench] = item.set;
		this.#freeS[bench] = this.#endS[i] = endS;
		this.#readyS.set(item.piece, endS + item.coolS);
		this.endS = Math.max(this.endS, endS);
		this.placed.push({ id: item.id, bench: id, startS, endS, change });
	}
	result(): Ordered {
		const placed = this.placed.toSorted((a, b) => a.startS - b.startS);
		return { placed, endS: this.endS, changes: this.changes };
	}
}

/** A list of items, each on its bench, in that order. */
export type Sequence = readonly { i: number; bench: number }[];

/** What it comes to; undefined where it breaks a rule. */
export function scheduled(
	ask: OrderAsk,
	before: BeforeOf,
	sequence: Sequence
): Schedule | undefined {
	const schedule = new Schedule(ask, before);
	for (const { i, bench } of sequence) {
		if (!schedule.open(i)) return undefined;
		schedule.put(i, bench);
	}
	return schedule;
}
