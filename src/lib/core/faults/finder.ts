/**
 * Which cause, and where to look next. Every set of at most two causes is a hypothesis; a symptom or a sign is
 * there unless each of its causes fails to show it; beliefs follow by Bayes' rule, exactly. The next look is
 * the one that takes away most doubt for a minute of trouble. Shares of belief, 0 to 1; information in bits.
 */
import { OFTEN, type Fault, type FaultFile, type Look } from './file';

/** A cause stands at a machine that somebody complains of with this times its word [own]. */
const PRESENT = 0.01;
/** What the bench knows makes a cause so much likelier or less likely [own]. */
const SPEAKS = 4;
/** To put the torch down, go there and come back, whatever is looked at, min [own]. */
const REACH_MIN = 3;
/** A cause that is not said to show a symptom: so rarely that only a thing nobody thought of remains [own]. */
export const CANNOT = 0.0005;
/** From this on it is called [own]. */
export const CALLED = 0.65;
/** A technician is called from this on: nothing that a person may open tells it apart [own]. */
const TECHNICIAN = 0.5;
/** To mend a cause and try again, min: where that tells more for the trouble than any look, it is the look [own]. */
const MEND_MIN = 3;
/** Where no cause explains the answers better than this, each in the geometric mean, they hardly go together [own]. */
const STRANGE = 0.4;
/** It was mended and is as before: so little is left of that cause [own]. */
const MENDED_IN_VAIN = 0.03;

export type Said = 'yes' | 'no' | 'unsure';
export interface Answer {
	look: string;
	said: Said;
}
/** What the bench knows, by the ids of the file's list. */
export interface Asked {
	symptom: string;
	answers: readonly Answer[];
	/** Causes that were mended and left it as it was. */
	inVain?: readonly string[];
	known?: readonly string[];
}
export interface Belief {
	cause: string;
	/** That it is there, alone or with another. */
	share: number;
}
export interface Next {
	look: Look;
	/** Doubt that it takes away on average. */
	bits: number;
}
export interface Found {
	/** Largest first. */
	beliefs: Belief[];
	/** The likeliest of those that were not mended yet; null: everything was. */
	lead: Belief | null;
	next: Next | null;
	/** The answers hardly go together: one of them is likely not as it is. */
	strange: boolean;
	/** Look at `next`; the lead is it; looks tell little more, mend the lead and see; it is the technician's. */
	outcome: 'look' | 'called' | 'try' | 'technician';
}

const binaryBits = (p: number): number =>
	p <= 0 || p >= 1 ? 0 : -(p * Math.log2(p) + (1 - p) * Math.log2(1 - p));

/** The file, worked out once: the hypotheses, and how each symptom and sign is shown under them. */
export class Finder {
	readonly #causes: readonly Fault[];
	/** First and second cause of a hypothesis; the second −1: alone. */
	readonly #pairs: readonly (readonly [number, number])[];
	readonly #prior: Float64Array;
	readonly #seen = new Map<string, Float64Array>();
	readonly #looks: { look: Look; shown: Float64Array; bits: Float64Array }[];

	constructor(readonly file: FaultFile) {
		this.#causes = file.causes;
		const n = file.causes.length;
		const pairs: [number, number][] = [];
		for (let i = 0; i < n; i++) {
			pairs.push([i, -1]);
			for (let j = i + 1; j < n; j++) pairs.push([i, j]);
		}
		this.#pairs = pairs;
		const odds = file.causes.map(({ common }) => {
			const p = PRESENT * OFTEN[common];
			return p / (1 - p);
		});
		this.#prior = this.#over(
			(i) => odds[i]!,
			1,
			(x, y) => x * y
		);
		this.#looks = file.looks
			// What needs covers off is never offered.
			.filter(({ covers }) => !covers)
			.map((look) => {
				const shown = this.#shown((cause) => look.tells[cause.id], OFTEN.never);
				return { look, shown, bits: shown.map(binaryBits) };
			});
	}

	#over(of: (i: number) => number, alone: number, join: (x: number, y: number) => number) {
		return Float64Array.from(this.#pairs, ([i, j]) => join(of(i), j < 0 ? alone : of(j)));
	}
	/** Chance of a sign under every hypothesis: at least one of its causes shows it. */
	#shown(often: (cause: Fault) => keyof typeof OFTEN | undefined, leftOut: number): Float64Array {
		const missed = this.#causes.map((cause) => {
			const word = often(cause);
			return 1 - (word ? OFTEN[word] : leftOut);
		});
		return this.#over(
			(i) => missed[i]!,
			1,
			(x, y) => 1 - x * y
		);
	}

	#seenUnder(symptom: string): Float64Array {
		let seen = this.#seen.get(symptom);
		if (!seen) {
			seen = this.#shown((cause) => cause.shows[symptom], CANNOT);
			this.#seen.set(symptom, seen);
		}
		return seen;
	}

	/** It is as before although some causes were mended: what is left of the hypothesis has to show it alone. */
	#still(symptom: string, i: number, j: number, inVain: readonly string[]): number {
		const all = (j < 0 ? [i] : [i, j]).map((k) => this.#causes[k]!);
		const left = all.filter(({ id }) => !inVain.includes(id));
		if (left.length === all.length) return 1;
		if (left.length === 0) return MENDED_IN_VAIN;
		const word = left[0]!.shows[symptom];
		return word ? OFTEN[word] : CANNOT;
	}

	/** Weights of the hypotheses, adding up to 1. Answers to looks that the file does not have tell nothing. */
	weights({ symptom, answers, inVain = [], known = [] }: Asked): Float64Array {
		const factor = this.#causes.map(() => 1);
		for (const { id, up, down } of this.file.bench) {
			if (!known.includes(id)) continue;
			this.#causes.forEach((cause, i) => {
				if (up.includes(cause.id)) factor[i]! *= SPEAKS;
				if (down.includes(cause.id)) factor[i]! /= SPEAKS;
			});
		}
		const weights = this.#prior.slice();
		const seen = this.#seenUnder(symptom);
		for (let h = 0; h < weights.length; h++) {
			const [i, j] = this.#pairs[h]!;
			weights[h]! *= factor[i]! * (j < 0 ? 1 : factor[j]!) * seen[h]!;
			if (inVain.length > 0) weights[h]! *= this.#still(symptom, i, j, inVain);
		}
		this.#weighAll(weights, answers);
		return normal(weights);
	}

	/** By all answers that say something; gives how many those are. */
	#weighAll(weights: Float64Array, answers: readonly Answer[]): number {
		const told = new Map(answers.map(({ look, said }) => [look, said]));
		let count = 0;
		for (const { look, shown } of this.#looks) {
			const said = told.get(look.id);
			if (said === undefined || said === 'unsure') continue;
			weigh(weights, shown, said === look.sign);
			count++;
		}
		return count;
	}

	/** Whether not even the set of causes that explains the answers best explains them well. */
	#strange(answers: readonly Answer[]): boolean {
		const likely = new Float64Array(this.#pairs.length).fill(1);
		const count = this.#weighAll(likely, answers);
		return count > 1 && Math.max(...likely) ** (1 / count) < STRANGE;
	}

	beliefsOf(weights: Float64Array): Belief[] {
		const shares = new Float64Array(this.#causes.length);
		for (let h = 0; h < weights.length; h++) {
			const [i, j] = this.#pairs[h]!;
			shares[i]! += weights[h]!;
			if (j >= 0) shares[j]! += weights[h]!;
		}
		return this.#causes
			.map(({ id }, i) => ({ cause: id, share: shares[i]! }))
			.sort((x, y) => y.share - x.share);
	}

	/** Bits that a look takes away on average: of the answer's own doubt, what the causes do not leave in it. */
	bitsOf(lookId: string, weights: Float64Array): number {
		const look = this.#looks.find((l) => l.look.id === lookId);
		return look ? this.#bits(look, weights) : 0;
	}
	#bits({ shown, bits }: { shown: Float64Array; bits: Float64Array }, weights: Float64Array) {
		let p = 0;
		let left = 0;
		for (let h = 0; h < weights.length; h++) {
			p += weights[h]! * shown[h]!;
			left += weights[h]! * bits[h]!;
		}
		return binaryBits(p) - left;
	}

	/** Beliefs, and what to look at next. A symptom that the file does not have speaks for nothing. */
	find(asked: Asked): Found {
		const weights = this.weights(asked);
		const beliefs = this.beliefsOf(weights);
		const told = new Map(asked.answers.map(({ look, said }) => [look, said]));
		const open = this.#looks.filter(({ look }) => {
			if (told.has(look.id)) return false;
			if (!look.after) return true;
			const before = this.file.looks.find(({ id }) => id === look.after)!;
			return told.get(before.id) === before.sign;
		});
		let best: { one: (typeof open)[number]; bits: number; worth: number } | undefined;
		for (const one of open) {
			const bits = this.#bits(one, weights);
			const worth = bits / (one.look.minutes + REACH_MIN);
			if (worth > (best?.worth ?? 0)) best = { one, bits, worth };
		}
		// What was mended is not called again; it may have been there, and is not the rest of it.
		const strange = this.#strange(asked.answers);
		const top = beliefs.find(({ cause }) => !(asked.inVain ?? []).includes(cause)) ?? null;
		if (!top) return { beliefs, lead: null, next: null, strange, outcome: 'technician' };
		const next = best && { look: best.one.look, bits: best.bits };
		const trying = binaryBits(top.share) / (MEND_MIN + REACH_MIN);
		const looksTell = best !== undefined && best.worth >= trying;
		const isStop = this.#causes.find(({ id }) => id === top.cause)!.stop;
		if (isStop) {
			const outcome = top.share >= TECHNICIAN || !looksTell ? 'technician' : 'look';
			return { beliefs, lead: top, next: next ?? null, strange, outcome };
		}
		const outcome = top.share >= CALLED ? 'called' : looksTell ? 'look' : 'try';
		return { beliefs, lead: top, next: next ?? null, strange, outcome };
	}
}

/** Bayes' rule without the sum: what was seen, or was looked for and not seen. */
function weigh(weights: Float64Array, shown: Float64Array, seen: boolean): void {
	for (let h = 0; h < weights.length; h++) weights[h]! *= seen ? shown[h]! : 1 - shown[h]!;
}

/** To a sum of 1, in place. */
function normal(weights: Float64Array): Float64Array {
	let sum = 0;
	for (let h = 0; h < weights.length; h++) sum += weights[h]!;
	for (let h = 0; h < weights.length; h++)
		weights[h] = sum > 0 ? weights[h]! / sum : 1 / weights.length;
	return weights;
}
