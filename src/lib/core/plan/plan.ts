import { startOptions } from '../cut/start';
import { cautionsFor } from '../safety/cautions';
import { checksOf } from './checks';
import { findingsOf } from './findings';
import { hash53 } from '../solve/hash';
import type { PlanInputs } from '../inputs/planInputs';
import { FIGURE_IDS, REGISTRY, type FigureId } from './registry';
import type { Basis, Figure, Plan } from './types';
import { judge } from '../figure/verdict';
import { workings, type Workings } from './workings';
import type { Quantity } from '../quantity/units';

/** Goes up when a model changes, so that saved cards tell which one they came from. */
export const MODEL_VERSION = '5';

function figureOf(id: FigureId, w: Workings): Figure {
	const def = REGISTRY[id];
	const way = def.way(w);
	const figure: Figure = { value: def.value(w), basis: def.ways[way]!.basis, way };
	const band = def.band?.(w);
	if (band) figure.band = band;
	return figure;
}

/** Tells inputs apart. The schema writes keys in its own order, so equal inputs hash alike. */
export function inputsHash(inputs: PlanInputs): string {
	// A chart has thousands of rows and a hash of its own.
	return hash53(JSON.stringify({ ...inputs, chart: inputs.chart?.hash ?? null }));
}

/**
 * The whole plan for one bench and one cut, as plain data. Pure: the same inputs give the same Plan,
 * on the server, in a worker and in the browser. Takes inputs that passed `PlanInputsSchema`. Without
 * `hashed` it leaves out their hash, which is a sixth of the work and not asked for at every frame.
 */
export function plan(inputs: PlanInputs, { hashed = true } = {}): Plan {
	const w = workings(inputs);
	const figures = {} as Record<FigureId, Figure>;
	for (const id of FIGURE_IDS) figures[id] = figureOf(id, w);
	const checks = checksOf(w);
	for (const check of checks) {
		figures[check.id].margin = check.margin;
		figures[check.id].verdict = check.verdict;
	}
	return {
		modelVersion: MODEL_VERSION,
		inputsHash: hashed ? inputsHash(inputs) : '',
		figures,
		checks,
		...judge(checks),
		findings: findingsOf(w),
		cautions: cautionsFor({
			...inputs.cut,
			outputA: w.cutting.outputA,
			heldOff: w.cutting.standoff === 'gap',
			ownAir: inputs.bench.air.source === 'built-in'
		}),
		choices: {
			nozzleFits: w.cutting.nozzleFits,
			changes: w.cutting.changes,
			warp: w.cutting.warp,
			startMethod: w.cutting.startMethod,
			starts: startOptions({
				cut: inputs.cut,
				thicknessMm: w.cutting.arcMm,
				referenceMmS: w.cutting.referenceMmS,
				capacity: w.cutting.start,
				wearFactor: w.wearing.factor,
				limitUm: w.wearing.limitUm
			}),
			standoff: w.cutting.standoff,
			partsFromA: w.cutting.partsFromA ?? null,
			workIsCut: w.workIsCut,
			flow: w.air.flowWay,
			gougeNozzle: w.gouging.hasNozzle
		}
	};
}

/** One input of a working, with its own trust; `from` when it is a figure with a working of its own. */
export interface ExplainedInput {
	symbol: string;
	label: string;
	quantity: Quantity;
	value: number;
	basis: Basis;
	from?: FigureId;
}

export interface Explanation {
	id: FigureId;
	label: string;
	quantity: Quantity;
	value: number | null;
	basis: Basis;
	formula: string;
	source: string;
	inputs: ExplainedInput[];
}

/** Works out the working of one figure: formula, inputs each with its own basis, source. */
export function explain(inputs: PlanInputs, id: FigureId): Explanation {
	const w = workings(inputs);
	const def = REGISTRY[id];
	const way = def.ways[def.way(w)]!;
	return {
		id,
		label: def.label,
		quantity: def.quantity,
		value: def.value(w),
		basis: way.basis,
		formula: way.formula,
		source: way.source,
		inputs: Object.entries(way.inputs).map(([symbol, source]) => {
			if (typeof source !== 'string') return { symbol, ...source(w) };
			const from = REGISTRY[source];
			return {
				symbol,
				label: from.label,
				quantity: from.quantity,
				value: from.value(w) ?? NaN,
				basis: from.ways[from.way(w)]!.basis,
				from: source
			};
		})
	};
}
