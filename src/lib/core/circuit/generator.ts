/** A generator in place of the mains. */
export interface Generator {
	ratedVA: number;
	ratedW: number;
	/** Volts lost from no load to full load, as a share. */
	regulation: number;
}

/**
 * Ohms that lose the generator's regulation at its full load: R = r·V²/S, in the same loop as the
 * wires (per line for three phases, as V is line to line) [own; regulation as on its plate].
 */
export function generatorOhm(g: Generator, nominalV: number): number {
	return Math.max(1e-4, (g.regulation * nominalV ** 2) / g.ratedVA);
}

/** Load over rating, by apparent and by active power, whichever is the greater. */
export function generatorLoadShare(g: Generator, apparentVA: number, activeW: number): number {
	return Math.max(apparentVA / g.ratedVA, activeW / g.ratedW);
}
