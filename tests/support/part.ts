/** A part of what a test sweeps where every test runs hundreds of times (`npm run mutate`); else all of it. */
const PART = Number(process.env.TRIAL_PART ?? 1);

export const some = (count: number): number => Math.ceil(count * PART);
/** Evenly from all of them, the first included. */
export const someOf = <T>(all: readonly T[]): T[] => {
	const count = some(all.length);
	return Array.from({ length: count }, (_, k) => all[Math.floor((k * all.length) / count)]!);
};
