/** Scatter that is the same on server and browser: a small linear congruential generator. */
export function scatter(seed: number): () => number {
	let state = seed;
	return () => (state = (state * 1664525 + 1013904223) % 4294967296) / 4294967296;
}

/** Sparks as path data, fanned around straight down; three weights, drawn once and then turned. */
export function sparkPaths(options: {
	seed: number;
	count: number;
	lengthPx: number;
	spreadRad: number;
}): string[] {
	const random = scatter(options.seed);
	const paths = ['', '', ''];
	for (let i = 0; i < options.count; i++) {
		const angle = (random() - 0.5) * options.spreadRad;
		const from = random() * 14;
		const to = from + options.lengthPx * (0.3 + random() * 0.68);
		const x = (random() - 0.5) * 9;
		const at = (r: number): [number, number] => [x - Math.sin(angle) * r, Math.cos(angle) * r];
		// Whole pixels where it ends: nobody sees the rest, and chance does not pack.
		const [near, far] = [at(from).map((v) => +v.toFixed(1)), at(to).map(Math.round)];
		paths[i % 3] += `M${near.join(' ')}L${far.join(' ')}`;
	}
	return paths;
}
