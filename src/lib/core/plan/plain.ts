/** Where a figure comes from in one plain sentence, from the rooms; loads with the workings. */
import { AIR_PLAIN, LINE_PLAIN, OWN_AIR_PLAIN, TANK_PLAIN } from '../air/plain';
import { BREAKER_PLAIN, LOAD_PLAIN, SUPPLY_PLAIN, WIRING_PLAIN } from '../circuit/plain';
import { CHECK_PLAIN } from '../checks/plain';
import { COST_PLAIN } from '../cost/plain';
import { CUT_PLAIN, SETUP_PLAIN, TRAVEL_PLAIN } from '../cut/plain';
import { CUTTER_PLAIN } from '../cutter/plain';
import type { Sentence } from '../figure/reason';
import { GOUGE_PLAIN } from '../gouge/plain';
import { WATER_PLAIN } from '../water/plain';
import { WEAR_PLAIN } from '../wear/plain';
import type { FigureId } from './names';
import type { Workings } from './workings';

const PLAIN: Record<FigureId, Sentence<Workings> | Record<string, Sentence<Workings>>> = {
	...SUPPLY_PLAIN,
	...WIRING_PLAIN,
	...BREAKER_PLAIN,
	...LOAD_PLAIN,
	...AIR_PLAIN,
	...TANK_PLAIN,
	...LINE_PLAIN,
	...WATER_PLAIN,
	...CUTTER_PLAIN,
	...SETUP_PLAIN,
	...TRAVEL_PLAIN,
	...CUT_PLAIN,
	...GOUGE_PLAIN,
	...WEAR_PLAIN,
	...COST_PLAIN,
	...CHECK_PLAIN
};

export function plainOf(id: FigureId, way: string): Sentence<Workings> {
	if (way === 'ownAir') return OWN_AIR_PLAIN;
	const sentences = PLAIN[id];
	return typeof sentences === 'object' ? sentences[way]! : sentences;
}
