/** The most amps that circuit and cutter carry for some work, searched in whole amps. */
import { FUSE_BLOWS } from '../circuit/protection';
import type { Draw } from '../circuit/workings';
import type { Wiring } from '../circuit/wiring';
import type { SessionWorkings } from './session';

export interface Electric {
	draw: Draw;
	session: SessionWorkings;
}

/** Nothing on the electric side but the breaker stops the pattern. */
function otherwiseRuns({ draw: d, session }: Electric, w: Wiring, plugFuseA: number | null) {
	if (!d.delivered.ok || d.delivered.voltageV < w.leastV) return false;
	if ((d.generatorShare ?? 0) > 1) return false;
	if (plugFuseA !== null && (d.effectiveA > plugFuseA || d.inputA > FUSE_BLOWS * plugFuseA)) {
		return false;
	}
	return session.cutter.crossing === undefined;
}

/** Whole amps, each `undefined` when there are none. */
export interface Carried {
	/** Lowest above those that surely run on. */
	firstFailingA: number | undefined;
	/** Largest that surely run on (earliest curve). */
	runsOnA: number | undefined;
	/** Largest that may (latest curve). */
	mayRunOnA: number | undefined;
}
export const NOT_SEARCHED: Carried = {
	firstFailingA: undefined,
	runsOnA: undefined,
	mayRunOnA: undefined
};

/**
 * From the top: fewer amps travel slower and so arc longer, so what runs need not lie in one piece.
 * Amps that do not part the plate (`arcSAt` null) run nothing; where none does, undefined.
 */
export function carriedBy(ask: {
	amps: readonly number[];
	arcSAt: (amps: number) => number | null;
	at: (amps: number, arcS: number) => Electric;
	wiring: Wiring;
	plugFuseA: number | null;
}): Carried | undefined {
	const found: Carried = { ...NOT_SEARCHED };
	let parted = false;
	for (const amps of [...ask.amps].reverse()) {
		const arcS = ask.arcSAt(amps);
		if (arcS === null) continue;
		parted = true;
		const electric = ask.at(amps, arcS);
		if (otherwiseRuns(electric, ask.wiring, ask.plugFuseA)) {
			if (!electric.session.latest.crossing) found.mayRunOnA ??= amps;
			if (!electric.session.earliest.crossing) return { ...found, runsOnA: amps };
		}
		found.firstFailingA = amps;
	}
	return parted ? found : undefined;
}
