import { OFTEN, type FaultFile, type Look } from '$lib/core/faults/file';
import { CANNOT, type Said } from '$lib/core/faults/finder';

/** A row of numbers in [0, 1) that is the same every time. */
export function seeded(seed: number): () => number {
	let a = seed >>> 0;
	return () => {
		a = (a + 0x6d2b79f5) >>> 0;
		let t = Math.imul(a ^ (a >>> 15), 1 | a);
		t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
		return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
	};
}

/**
 * A world in which faults happen: the weights of a file, each of them wrong by up to `factor` either way.
 * Written apart from the finder, so that the two can be held against each other.
 */
export class SimulatedShop {
	readonly causes: readonly string[];
	readonly #prior: Map<string, number>;
	readonly #shows: Map<string, number>;
	readonly #tells: Map<string, number>;
	readonly cases: { causes: string[]; symptom: string; weight: number }[] = [];
	readonly #sum: number;

	constructor(
		readonly file: FaultFile,
		readonly random: () => number,
		factor = 1
	) {
		const off = (p: number) => Math.min(0.98, p * factor ** (2 * random() - 1));
		this.causes = file.causes.map((c) => c.id);
		this.#prior = new Map(file.causes.map((c) => [c.id, off(0.01 * OFTEN[c.common])]));
		this.#shows = new Map(
			file.causes.flatMap((c) =>
				file.symptoms.map(
					(s) => [`${c.id} ${s.id}`, off(c.shows[s.id] ? OFTEN[c.shows[s.id]!] : CANNOT)] as const
				)
			)
		);
		this.#tells = new Map(
			file.looks.flatMap((l) =>
				file.causes.map((c) => [`${l.id} ${c.id}`, off(OFTEN[l.tells[c.id] ?? 'never'])] as const)
			)
		);
		const sets = this.causes.flatMap((c, i) => [
			[c],
			...this.causes.slice(i + 1).map((d) => [c, d])
		]);
		for (const causes of sets)
			for (const { id: symptom } of file.symptoms)
				this.cases.push({
					causes,
					symptom,
					weight: this.#present(causes) * this.showsAny(causes, symptom)
				});
		this.#sum = this.cases.reduce((sum, c) => sum + c.weight, 0);
	}

	#present(causes: readonly string[]): number {
		return this.causes.reduce((p, c) => {
			const is = this.#prior.get(c)!;
			return p * (causes.includes(c) ? is : 1 - is);
		}, 1);
	}
	showsAny = (causes: readonly string[], symptom: string): number =>
		1 - causes.reduce((p, c) => p * (1 - this.#shows.get(`${c} ${symptom}`)!), 1);
	signOf = (causes: readonly string[], look: Look): number =>
		1 - causes.reduce((p, c) => p * (1 - this.#tells.get(`${look.id} ${c}`)!), 1);

	/** A complaint, and what is behind it. */
	draw(): { causes: string[]; symptom: string } {
		let at = this.random() * this.#sum;
		for (const one of this.cases) if ((at -= one.weight) < 0) return one;
		return this.cases.at(-1)!;
	}
	/** One in ten looks leaves a person none the wiser. */
	look(causes: readonly string[], look: Look): Said {
		if (this.random() < 0.1) return 'unsure';
		const sign = this.random() < this.signOf(causes, look);
		return sign ? look.sign : look.sign === 'yes' ? 'no' : 'yes';
	}
}
