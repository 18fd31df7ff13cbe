/**
 * The rooms of the Plan in the order of the work. A new trade is a folder of its own and a line in each of
 * these lists and in names.ts; its sentences stand in said.ts and its formulas' reasons in reasons.ts, which
 * load later.
 */
import { airChecks } from '../air/checks';
import { AIR_FIGURES } from '../air/figures/air';
import { LINE_FIGURES } from '../air/figures/line';
import { TANK_FIGURES } from '../air/figures/tank';
import { circuitChecks } from '../circuit/checks';
import { BREAKER_FIGURES } from '../circuit/figures/breaker';
import { LOAD_FIGURES } from '../circuit/figures/loads';
import { SUPPLY_FIGURES } from '../circuit/figures/supply';
import { WIRING_FIGURES } from '../circuit/figures/wiring';
import { cutChecks } from '../cut/checks';
import { openChecks } from '../checks/checks';
import { CHECK_FIGURES } from '../checks/figures';
import { COST_FIGURES } from '../cost/figures';
import { CUT_FIGURES } from '../cut/figures/guide';
import { SETUP_FIGURES } from '../cut/figures/setup';
import { TRAVEL_FIGURES } from '../cut/figures/travel';
import { cutterChecks } from '../cutter/checks';
import { CUTTER_FIGURES } from '../cutter/figures';
import type { FigureDef } from '../figure/define';
import type { Check as CheckOf } from '../figure/types';
import { gougeChecks } from '../gouge/checks';
import { GOUGE_FIGURES } from '../gouge/figures';
import { waterChecks } from '../water/checks';
import { WATER_FIGURES } from '../water/figures';
import { wearChecks } from '../wear/checks';
import { WEAR_FIGURES } from '../wear/figures';
import type { FigureId } from './names';
import type { Workings } from './workings';

const FIGURES = {
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
	...WEAR_FIGURES,
	...COST_FIGURES,
	...CHECK_FIGURES
};

export type Check = CheckOf<FigureId>;

/** How every figure is read, and the trust of each way to it. */
export const REGISTRY: Record<FigureId, FigureDef<Workings>> = FIGURES;

/** In the order in which, of two alike, the first is told. */
const CHECKS: readonly ((w: Workings) => Check[])[] = [
	circuitChecks,
	cutterChecks,
	airChecks,
	waterChecks,
	cutChecks,
	gougeChecks,
	wearChecks,
	openChecks
];

/** Every question asked of bench and cut, in the order of the work. */
export const checksOf = (w: Workings): Check[] => CHECKS.flatMap((ask) => ask(w));

/** What is asked of circuit, cutter and air: what a change of the supply can mend. */
export const supplyChecks = (w: Workings): Check[] =>
	CHECKS.slice(0, CHECKS.indexOf(cutChecks)).flatMap((ask) => ask(w));
