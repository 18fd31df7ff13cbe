import type { FigureId, Plan } from '$lib/core';
import { GUIDED_MOST_MM_S, HAND_BAND_MM_S } from '$lib/core/speed/speed';
import type { Workbench } from '$lib/state/workbench.svelte';

export const SCHOOL_ROWS: readonly { label: string; id: FigureId }[] = [
	{ label: 'Travel asked', id: 'setup.speedMmS' },
	{ label: 'Your line takes', id: 'setup.lineS' },
	{ label: 'Heat, as a hand goes', id: 'setup.handHeatKJM' },
	{ label: 'Air for the line', id: 'setup.lineAirL' },
	{ label: 'Nozzle', id: 'setup.nozzleA' },
	{ label: 'Kerf', id: 'setup.kerfMm' },
	{ label: 'Such cuts left', id: 'wear.cutsLeft' },
	{ label: 'Parts', id: 'wear.costPerM' }
];

export const WARP_WORDS = { none: 'no', some: 'may', high: 'yes' } as const;

/** What the hand says to the speed asked of it. */
export function handWord(plan: Plan): 'steady' | 'slow' | 'guide' | 'too fast' | 'none' {
	const speedMmS = plan.figures['setup.speedMmS'].value;
	if (speedMmS === null) return 'none';
	if (speedMmS < HAND_BAND_MM_S[0]) return 'slow';
	if ((plan.figures['setup.handMmS'].value ?? 0) < speedMmS) return 'too fast';
	return speedMmS > HAND_BAND_MM_S[1] ? 'guide' : 'steady';
}

/**
 * One sentence on what the choice comes down to for this cut: what each costs, and what is in the way. The
 * best amps for the aim are told in one place only, by the aims.
 */
export function schoolAdvice(
	{ matched, full, circuit }: Record<'matched' | 'full' | 'circuit', Plan>,
	bench: Workbench
): string {
	const amps = (plan: Plan) => bench.sayFigure('setup.currentA', plan);
	const said = (plan: Plan) => bench.sayFigure('setup.speedMmS', plan);
	if (full.figures['setup.speedMmS'].value === null) return 'None goes through: it is too thick.';
	if (full.stations.supply.verdict === 'stops') {
		if (matched.stations.supply.verdict !== 'stops')
			return `The supply stops full amps in this work; by thickness, ${amps(matched)}, runs.`;
		if (circuit.stations.supply.verdict !== 'stops')
			return `The supply stops full amps in this work; ${amps(circuit)} is what surely runs on.`;
		return 'The supply stops each of them in this work: see what would fix it on Supply.';
	}
	if (amps(matched) === amps(full)) return 'It takes full amps; the thickness asks for no fewer.';
	const word = handWord(full);
	const fewer = handWord(matched);
	if (word === 'too fast' || word === 'guide') {
		const guided = (full.figures['setup.speedMmS'].value ?? 0) <= GUIDED_MOST_MM_S;
		const hand =
			word === 'guide' ? 'along a guide' : guided ? 'too fast freehand' : 'which none follows';
		const still = fewer === 'too fast' ? 'still ' : '';
		return `Full asks ${said(full)} of the hand, ${hand}; by thickness it ${still}asks ${said(matched)}.`;
	}
	if (fewer === 'slow') {
		const first =
			word === 'slow'
				? `Either is slower than a hand holds steadily: full at ${said(full)}`
				: `Full, at ${said(full)}, can be held`;
		return `${first}; by thickness it is ${said(matched)}${word === 'slow' ? '' : ', slower than a hand holds steadily'}.`;
	}
	return `Both can be held: full at ${said(full)} is done in ${bench.sayFigure('setup.lineS', full)}, by thickness at ${said(matched)} in ${bench.sayFigure('setup.lineS', matched)}.`;
}
