/** Everything the Plan is made from. */
import * as v from 'valibot';
import { WorkSchema } from '../session/inputs';
import { ChartSchema } from '../speed/chartSchema';
import { BenchSchema } from './bench';
import { CutSchema } from './cut';
import { EvidenceSchema } from './evidence';
import { SettingsSchema } from './settings';

export const PlanInputsSchema = v.object({
	bench: BenchSchema,
	cut: CutSchema,
	evidence: EvidenceSchema,
	work: WorkSchema,
	settings: SettingsSchema,
	/** The machine's cut chart, when the person has given one. */
	chart: v.optional(v.nullable(ChartSchema), null)
});
export type PlanInputs = v.InferOutput<typeof PlanInputsSchema>;
