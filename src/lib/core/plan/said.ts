/**
 * What the Plan says in sentences. Apart from its numbers: they follow a hand at every frame, the
 * sentences when it rests, and their words load after the first screen.
 */
import { airFindings } from '../air/findings';
import { circuitFindings } from '../circuit/findings';
import { openFindings } from '../checks/findings';
import { cutFindings } from '../cut/findings';
import type { Finding } from '../figure/types';
import { gougeFindings } from '../gouge/findings';
import type { PlanInputs } from '../inputs/planInputs';
import { cautionsFor } from '../safety/cautions';
import { wearFindings } from '../wear/findings';
import { inputsHash, planOf } from './plan';
import type { Plan, Said } from './types';
import { workings, type Workings } from './workings';

const FINDINGS: readonly ((w: Workings) => Finding[])[] = [
	circuitFindings,
	airFindings,
	cutFindings,
	gougeFindings,
	wearFindings,
	openFindings
];
const FIRST: Record<Finding['kind'], number> = { refusal: 0, safety: 1, caution: 2, advice: 2 };

/** Refusals first, then safety, then the rest; and what holds whatever the figures say. */
export const said = (inputs: PlanInputs): Said => saidOf(workings(inputs));

function saidOf(w: Workings): Said {
	const { inputs } = w;
	return {
		findings: FINDINGS.flatMap((find) => find(w)).sort((x, y) => FIRST[x.kind] - FIRST[y.kind]),
		cautions: cautionsFor({
			...inputs.cut,
			outputA: w.cutting.outputA,
			heldOff: w.cutting.standoff === 'gap',
			ownAir: inputs.bench.air.source === 'built-in'
		})
	};
}

/** Numbers and sentences. */
export function spokenPlan(inputs: PlanInputs): Plan & Said {
	const w = workings(inputs);
	return { ...planOf(w, inputsHash(inputs)), ...saidOf(w) };
}
