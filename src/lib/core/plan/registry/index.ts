import { AIR_FIGURES, CUTTER_FIGURES } from './air';
import type { FigureDef } from './define';
import { GOUGE_FIGURES, WEAR_FIGURES } from './gougeWear';
import { FIGURE_IDS, type FigureId } from './ids';
import { CUT_FIGURES, SETUP_FIGURES } from './setup';
import { SUPPLY_FIGURES } from './supply';

export { FIGURE_IDS, type FigureId };

/** Label, unit, formula text and source of every figure. */
export const REGISTRY: Record<FigureId, FigureDef> = {
	...SUPPLY_FIGURES,
	...AIR_FIGURES,
	...CUTTER_FIGURES,
	...SETUP_FIGURES,
	...CUT_FIGURES,
	...GOUGE_FIGURES,
	...WEAR_FIGURES
};
