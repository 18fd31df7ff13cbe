import * as v from 'valibot';
import { METAL_IDS } from '../metal/metals';
import { within } from '../quantity/within';

export const ChartRowSchema = v.object({
	metal: v.picklist(METAL_IDS, `one of ${METAL_IDS.join(', ')}`),
	outputA: within(5, 500, 'A'),
	/** Rating of the nozzle; null: the chart does not say. */
	nozzleA: v.nullable(within(5, 500, 'A')),
	thicknessMm: within(0.2, 100, 'mm'),
	speedMmS: within(0.2, 500, 'mm/s'),
	pressureBar: v.nullable(within(0.5, 15, 'bar')),
	standoffMm: v.nullable(within(0, 20, 'mm')),
	kerfMm: v.nullable(within(0.2, 10, 'mm')),
	pierceMm: v.nullable(within(0, 30, 'mm')),
	pierceS: v.nullable(within(0, 30, 's'))
});

export type ChartRow = v.InferOutput<typeof ChartRowSchema>;

export const CHART_ROWS_MOST = 10_000;

export const ChartSchema = v.object({
	/** Tells two states of the chart apart. */
	hash: v.pipe(v.string(), v.maxLength(32)),
	rows: v.pipe(v.array(ChartRowSchema), v.maxLength(CHART_ROWS_MOST, 'at most 10 000 rows'))
});

export type Chart = v.InferOutput<typeof ChartSchema>;
