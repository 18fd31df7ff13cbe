/** The reasons of all rooms: formula, inputs and source of every way to every figure. */
import { AIR_REASONS } from '../air/reasons/air';
import { LINE_REASONS } from '../air/reasons/line';
import { TANK_REASONS } from '../air/reasons/tank';
import { BREAKER_REASONS } from '../circuit/reasons/breaker';
import { LOAD_REASONS } from '../circuit/reasons/loads';
import { SUPPLY_REASONS } from '../circuit/reasons/supply';
import { WIRING_REASONS } from '../circuit/reasons/wiring';
import { CHECK_REASONS } from '../checks/reasons';
import { COST_REASONS } from '../cost/reasons';
import { CUT_REASONS } from '../cut/reasons/guide';
import { SETUP_REASONS } from '../cut/reasons/setup';
import { TRAVEL_REASONS } from '../cut/reasons/travel';
import { CUTTER_REASONS } from '../cutter/reasons';
import type { Reason } from '../figure/reason';
import { GOUGE_REASONS } from '../gouge/reasons';
import { WATER_REASONS } from '../water/reasons';
import { WEAR_REASONS } from '../wear/reasons/wear';
import type { FigureId } from './names';
import type { Workings } from './workings';

export const REASONS: Record<FigureId, Record<string, Reason<Workings>>> = {
	...SUPPLY_REASONS,
	...WIRING_REASONS,
	...BREAKER_REASONS,
	...LOAD_REASONS,
	...AIR_REASONS,
	...TANK_REASONS,
	...LINE_REASONS,
	...WATER_REASONS,
	...CUTTER_REASONS,
	...SETUP_REASONS,
	...TRAVEL_REASONS,
	...CUT_REASONS,
	...GOUGE_REASONS,
	...WEAR_REASONS,
	...COST_REASONS,
	...CHECK_REASONS
};
