/** Where the air comes from and what it passes on its way to the cutter. */
import * as v from 'valibot';
import { STAGE_KINDS } from './stages';
import type { CircuitBench } from '../circuit/inputs';
import { StatSchema } from '../quantity/stat';
import { within } from '../quantity/within';
import type { Torch } from '../torch/inputs';

const StageSchema = v.object({
	kind: v.picklist(STAGE_KINDS, `one of ${STAGE_KINDS.join(', ')}`),
	/** At the compressor's end of the hose or at the cutter's. */
	where: v.picklist(['compressor', 'cutter'], 'compressor or cutter'),
	lossBar: within(0, 5, 'bar'),
	atLpm: within(5, 5000, 'l/min'),
	/** Clogged by: 0 new, at most 0.9. */
	loaded: within(0, 0.9, '(share)'),
	/** Silica gel in a desiccant dryer, g. */
	gelG: v.nullable(within(1, 20_000, 'g'))
});

const CompressorSchema = v.pipe(
	v.object({
		/** Free air delivered against tank pressure, rising in pressure. */
		points: v.pipe(
			v.array(v.object({ flowLpm: within(1, 5000, 'l/min'), atBar: within(0, 20, 'bar') })),
			v.minLength(1, 'at least one delivery'),
			v.maxLength(6, 'at most 6 deliveries')
		),
		/** Delivered, or only displaced: an estimate. */
		rating: v.picklist(['delivered', 'displaced'], 'delivered or displaced'),
		oil: v.picklist(['oiled', 'oil-free'], 'oiled or oil-free'),
		cutInBar: within(0.5, 20, 'bar'),
		cutOutBar: within(0.5, 20, 'bar')
	}),
	v.forward(
		v.check((c) => c.cutOutBar > c.cutInBar, 'above the cut-in pressure'),
		['cutOutBar']
	),
	v.forward(
		v.check(
			(c) => c.points.every((point, i) => i === 0 || point.atBar > c.points[i - 1]!.atBar),
			'pressures that rise from one delivery to the next'
		),
		['points']
	),
	v.forward(
		v.check(
			(c) => c.points.every((point, i) => i === 0 || point.flowLpm <= c.points[i - 1]!.flowLpm),
			'deliveries that fall as pressure rises'
		),
		['points']
	)
);

const BottleSchema = v.pipe(
	v.object({
		gas: v.picklist(['air', 'nitrogen'], 'air or nitrogen'),
		waterL: within(1, 200, 'l'),
		count: v.pipe(within(1, 24, ''), v.integer('a whole number')),
		fillBar: within(5, 400, 'bar'),
		reserveBar: within(0, 100, 'bar'),
		/** Regulator on the bottle. */
		outletBar: within(0.5, 30, 'bar')
	}),
	v.forward(
		v.check((b) => b.reserveBar < b.fillBar, 'below the pressure in the bottle'),
		['reserveBar']
	)
);

export const AirSchema = v.object({
	source: v.picklist(['compressor', 'bottle', 'built-in'], 'compressor, bottle or built-in'),
	compressor: CompressorSchema,
	/** Tank; without one, the volume of pump head and hose, which is never nothing. */
	tankL: within(0.5, 5000, 'l (no tank: what pump and hose hold, about 1 l)'),
	/** Tank above the shop when it works, K. */
	tankRiseK: within(0, 40, 'K'),
	/** Pipe between tank and line, which cools, m. */
	coolingM: within(0, 100, 'm'),
	bottle: v.nullable(BottleSchema),
	altitudeM: within(-430, 5000, 'm'),
	/** Regulator at the cutter, set while air flows. */
	setPointBar: within(0.5, 15, 'bar'),
	/** From the tank to the cutter. */
	stages: v.pipe(v.array(StageSchema), v.maxLength(8, 'at most 8 in the line')),
	hose: v.object({
		boreMm: within(3, 50, 'mm'),
		lengthM: within(0.1, 200, 'm'),
		couplings: within(0, 20, '')
	})
});

export type Air = v.InferOutput<typeof AirSchema>;

/** The whole shop: from the air on everything counts. */
export interface ShopBench extends CircuitBench {
	torch: Torch;
	air: Air;
}

export const AIR_EVIDENCE = {
	flowLpm: v.nullable(StatSchema),
	/** True delivery over the compressor's stated delivery. */
	deliveryFactor: v.nullable(StatSchema),
	/** Air that leaks with the cutter off. */
	leakLpm: v.optional(v.nullable(StatSchema), null),
	/** Loss of the line by gauge over the model's. */
	lineFactor: v.optional(v.nullable(StatSchema), null)
};
export type AirEvidence = v.InferOutput<v.ObjectSchema<typeof AIR_EVIDENCE, undefined>>;
