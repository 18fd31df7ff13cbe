/** What stands in the line between tank and cutter and takes pressure. */
export const STAGE_KINDS = ['trap', 'particulate', 'coalescing', 'cartridge', 'desiccant'] as const;
export type StageKind = (typeof STAGE_KINDS)[number];

export interface Stage {
	kind: StageKind;
	/** Loss when clean, bar, at a flow of free air, l/min. */
	lossBar: number;
	atLpm: number;
	/** How far it is clogged: 0 new, 0.5 half of its passages shut. */
	loaded: number;
}

/**
 * Loss over flow squared, bar/(l/min)²: goes with the square of the flow (common practice) and, as
 * the open part shrinks to 1 − loaded, with 1/(1 − loaded)² [own].
 */
export function stageCoefficient({ lossBar, atLpm, loaded }: Stage): number {
	return lossBar / atLpm ** 2 / (1 - loaded) ** 2;
}
