import type { Plan, Said } from './types';
import type { KeptPlan } from './kept';
import { FIGURE_IDS, type FigureId } from './names';
import type { Figure } from '../figure/types';

/** What is kept of a plan. */
export function keptPlan({
	modelVersion,
	inputsHash,
	figures,
	verdict,
	findings
}: Plan & Said): KeptPlan {
	return { modelVersion, inputsHash, figures, verdict, findings };
}

/** The sentences that were kept, over what holds whatever the figures say. */
export const saidAsKept = (today: Said, kept: KeptPlan): Said => ({
	...today,
	findings: kept.findings as Said['findings']
});

/** A plan that shows the numbers that were kept; a figure that was not known then has no value. */
export function planAsKept(today: Plan, kept: KeptPlan): Plan {
	const figures = Object.fromEntries(
		FIGURE_IDS.map((id): [FigureId, Figure] => {
			const then = kept.figures[id];
			return [id, then ?? { value: null, basis: 'M', way: today.figures[id].way }];
		})
	) as Record<FigureId, Figure>;
	return {
		...today,
		modelVersion: kept.modelVersion,
		inputsHash: kept.inputsHash,
		figures,
		verdict: kept.verdict,
		// Its strings were not kept, only their figures.
		groove: null
	};
}
