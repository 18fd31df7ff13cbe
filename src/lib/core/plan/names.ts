/** The figures of the Plan by room, in the order of the work: a new trade is a line here and in rooms.ts. */
import { AIR_NAMES } from '../air/names';
import { CHECK_NAMES } from '../checks/names';
import { CIRCUIT_NAMES } from '../circuit/names';
import { COST_NAMES } from '../cost/names';
import { CUT_NAMES } from '../cut/names';
import { CUTTER_NAMES } from '../cutter/names';
import type { FigureName } from '../figure/names';
import { GOUGE_NAMES } from '../gouge/names';
import { WATER_NAMES } from '../water/names';
import { WEAR_NAMES } from '../wear/names';

const FIGURES = {
	...CIRCUIT_NAMES,
	...AIR_NAMES,
	...WATER_NAMES,
	...CUTTER_NAMES,
	...CUT_NAMES,
	...GOUGE_NAMES,
	...WEAR_NAMES,
	...COST_NAMES,
	...CHECK_NAMES
};

export type FigureId = keyof typeof FIGURES;

/** Label and unit of every figure. */
export const NAMES: Record<FigureId, FigureName> = FIGURES;
/** Every figure of the Plan, in the order of the work. */
export const FIGURE_IDS = Object.keys(FIGURES) as FigureId[];
export const isFigureId = (id: string): id is FigureId => Object.hasOwn(FIGURES, id);
