import type { FigureId, Plan } from '$lib/core';
import { HAND_BAND_MM_S } from '$lib/core/cutter/speed';
import type { Workbench } from '$lib/state/workbench.svelte';

export const SCHOOL_ROWS: readonly { label: string; id: FigureId }[] = [
	{ label: 'Travel asked', id: 'setup.speedMmS' },
	{ label: 'Your line takes', id: 'setup.lineS' },
	{ label: 'Heat, as a hand goes', id: 'setup.handHeatKJM' },
	{ label: 'Air for the line', id: 'setup.lineAirL' },
	{ label: 'Nozzle', id: 'setup.nozzleA' },
	{ label: 'Kerf', id: 'setup.kerfMm' },
	{ label: 'Such cuts left', id: 'wear.cutsLeft' },
	{ label: 'Parts, a metre', id: 'wear.costPerM' }
];

export const WARP_WORDS = { none: 'no', some: 'may', high: 'yes' } as const;

/** What the hand says to the speed asked of it. */
export function handWord(plan: Plan): 'steady' | 'slow' | 'guide' | 'too fast' | 'none' {
	const speedMmS = plan.figures['setup.speedMmS'].value ?? 0;
	if (!(speedMmS > 0)) return 'none';
	if (speedMmS < HAND_BAND_MM_S[0]) return 'slow';
	if (plan.figures['setup.handMmS'].value! < speedMmS) return 'too fast';
	return speedMmS > HAND_BAND_MM_S[1] ? 'guide' : 'steady';
}

/** One sentence on what the choice comes down to for this cut: what a hand can hold decides. */
export function schoolAdvice(
	{ matched, full, circuit }: Record<'matched' | 'full' | 'circuit', Plan>,
	bench: Workbench
): string {
	const speed = (plan: Plan) => plan.figures['setup.speedMmS'].value ?? 0;
	const amps = (plan: Plan) => bench.sayFigure('setup.currentA', plan);
	const [slowest, steadiest] = HAND_BAND_MM_S;
	const said = (plan: Plan) => bench.sayFigure('setup.speedMmS', plan);
	if (speed(full) <= 0) return 'None goes through: it is too thick.';
	if (full.stations.supply.verdict === 'stops') {
		if (matched.stations.supply.verdict !== 'stops')
			return 'Match the amps: the supply does not carry full amps through this work.';
		if (circuit.stations.supply.verdict !== 'stops' && speed(circuit) > 0)
			return `Go by the circuit: ${amps(circuit)} is what it carries through this work.`;
	}
	if (speed(matched) < slowest) {
		return `Full amps, no choice: matched would crawl at ${speed(matched) > 0 ? said(matched) : 'a standstill'}.`;
	}
	if (speed(full) > steadiest) {
		return `Match the amps: ${said(full)} is faster than a hand holds steadily (about ${bench.say(steadiest, 'speed')}).`;
	}
	return `Full amps, go faster: ${said(full)} is still what a hand holds, and the line is done sooner.`;
}
