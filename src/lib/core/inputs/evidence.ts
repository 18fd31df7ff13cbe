/** What was measured and observed on a bench, as its rooms take it. */
import * as v from 'valibot';
import { AIR_EVIDENCE } from '../air/inputs';
import { CHECKS_EVIDENCE } from '../checks/inputs';
import { CIRCUIT_EVIDENCE } from '../circuit/inputs';
import { CUT_EVIDENCE } from '../cut/inputs';
import { CUTTER_EVIDENCE } from '../cutter/inputs';
import { GOUGE_EVIDENCE } from '../gouge/inputs';
import { SESSION_EVIDENCE } from '../session/inputs';
import { SPEED_EVIDENCE } from '../speed/inputs';

import { WEAR_EVIDENCE } from '../wear/inputs';

export const EvidenceSchema = v.object({
	/** Number of the newest log entry it rests on. */
	revision: v.pipe(v.number(), v.integer(), v.minValue(0)),
	// In the order in which saved cards were hashed.
	sourceV: CIRCUIT_EVIDENCE.sourceV,
	loopOhm: CIRCUIT_EVIDENCE.loopOhm,
	flowLpm: AIR_EVIDENCE.flowLpm,
	deliveryFactor: AIR_EVIDENCE.deliveryFactor,
	leakLpm: AIR_EVIDENCE.leakLpm,
	powerRatio: CIRCUIT_EVIDENCE.powerRatio,
	lineFactor: AIR_EVIDENCE.lineFactor,
	heat: CUTTER_EVIDENCE.heat,
	trip: CIRCUIT_EVIDENCE.trip,
	...SESSION_EVIDENCE,
	...SPEED_EVIDENCE,
	...CUT_EVIDENCE,
	...WEAR_EVIDENCE,
	...GOUGE_EVIDENCE,
	...CHECKS_EVIDENCE
});
export type Evidence = v.InferOutput<typeof EvidenceSchema>;
