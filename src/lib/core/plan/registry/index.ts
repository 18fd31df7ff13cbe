import { AIR_FIGURES } from './air';
import { BREAKER_FIGURES } from './breaker';
import { CUT_FIGURES } from './cut';
import { CUTTER_FIGURES } from './cutter';
import type { FigureDef } from './define';
import { GOUGE_FIGURES, WEAR_FIGURES } from './gougeWear';
import { FIGURE_IDS, type FigureId } from './ids';
import { LINE_FIGURES } from './line';
import { LOAD_FIGURES } from './loads';
import { SETUP_FIGURES } from './setup';
import { SUPPLY_FIGURES } from './supply';
import { TANK_FIGURES } from './tank';
import { TRAVEL_FIGURES } from './travel';
import { WATER_FIGURES } from './water';
import { WIRING_FIGURES } from './wiring';

export { FIGURE_IDS, type FigureId };

/** Label, unit, formula text and source of every figure. */
export const REGISTRY: Record<FigureId, FigureDef> = {
	...SUPPLY_FIGURES,
	...WIRING_FIGURES,
	...BREAKER_FIGURES,
	...LOAD_FIGURES,
	...AIR_FIGURES,
	...TANK_FIGURES,
	...LINE_FIGURES,
	...WATER_FIGURES,
	...CUTTER_FIGURES,
	...SETUP_FIGURES,
	...TRAVEL_FIGURES,
	...CUT_FIGURES,
	...GOUGE_FIGURES,
	...WEAR_FIGURES
};
