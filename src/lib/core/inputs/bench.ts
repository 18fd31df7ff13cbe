/**
 * The bench: one Valibot schema serves types, forms, the API and the published JSON Schema.
 * All numbers are in the core's units; every range is closed.
 */
import { CutterSchema } from '../cutter/inputs';
import { plateInput } from '../cutter/plate';
import { TorchSchema } from '../torch/inputs';
import { WorkSchema } from '../session/inputs';
import * as v from 'valibot';

import { AirSchema } from '../air/inputs';
import { SupplySchema } from '../circuit/inputs';
import { nameOf } from '../quantity/within';

export const BenchSchema = v.pipe(
	v.object({
		name: nameOf('bench name'),
		supply: SupplySchema,
		cutter: CutterSchema,
		torch: TorchSchema,
		air: AirSchema,
		usual: WorkSchema,
		/** Paths of values taken as typical, which nobody has checked on a label or with a meter. */
		typical: v.optional(
			v.pipe(
				v.array(v.pipe(v.string(), v.regex(/^[a-zA-Z]+(\.\w+){0,6}$/, 'the path of a field'))),
				v.maxLength(400, 'at most 400 paths')
			),
			[]
		)
	}),
	v.forward(
		v.check((b) => b.cutter.airMaxBar > b.cutter.airMinBar, 'above the lower limit of the window'),
		['cutter', 'airMaxBar']
	),
	v.forward(
		v.check((b) => b.air.source !== 'bottle' || b.air.bottle !== null, 'a bottle to take air from'),
		['air', 'bottle']
	),
	v.forward(
		v.check((b) => b.cutter.severMm > b.cutter.cleanMm, 'thicker than the clean rating'),
		['cutter', 'severMm']
	),
	v.forward(
		v.check(
			(b) =>
				b.torch.nozzles.every(
					(n) => n.cleanMm === null || n.severMm === null || n.severMm > n.cleanMm
				),
			'severs thicker than it cuts clean'
		),
		['torch', 'nozzles']
	),
	v.forward(
		v.check(
			(b) => b.torch.nozzles.some((n) => n.kind === 'cut' && n.ratingA === b.torch.fittedA),
			'the rating of one of the cutting nozzles listed'
		),
		['torch', 'fittedA']
	),
	v.forward(
		v.check(
			(b) => plateInput(b) !== undefined,
			'a voltage that the data plate lists, with its phases'
		),
		['supply', 'nominalV']
	)
);
export type Bench = v.InferOutput<typeof BenchSchema>;
