import { hash53 } from '../solve/hash';
import { judge } from '../figure/verdict';
import type { Figure } from '../figure/types';
import type { PlanInputs } from '../inputs/planInputs';
import { grooveOf } from '../gouge/groove';
import { startOptions } from '../wear/starts';
import { noFigures } from './noFigures';
import { FIGURE_IDS, type FigureId } from './names';
import { checksOf, REGISTRY } from './rooms';
import { trusted } from './trust';
import type { Plan } from './types';
import { workings, type Workings } from './workings';

/** Goes up when a model changes, so that saved cards tell which one they came from. */
export const MODEL_VERSION = '10';

/** In the order of their names: looked up once, not with every plan. */
const DEFINED = FIGURE_IDS.map((id) => REGISTRY[id]);

function figureOf(def: (typeof DEFINED)[number], w: Workings): Figure {
	const way = def.way(w);
	const basis = trusted(def.basis[way]!, w, def.value, def.way);
	const figure: Figure = { value: def.value(w), basis, way };
	const band = def.band?.(w);
	if (band) figure.band = band;
	return figure;
}

/** Tells inputs apart. The schema writes keys in its own order, so equal inputs hash alike. */
export function inputsHash(inputs: PlanInputs): string {
	// A chart has thousands of rows and a hash of its own; what is checked changes letters, not numbers.
	const bench = { ...inputs.bench, typical: undefined };
	return hash53(JSON.stringify({ ...inputs, bench, chart: inputs.chart?.hash ?? null }));
}

/** What the Plan chose, as words rather than numbers. */
function choicesOf({
	inputs,
	cutting,
	wearing,
	workIsCut,
	air,
	gouging
}: Workings): Plan['choices'] {
	return {
		nozzleFits: cutting.nozzleFits,
		changes: cutting.changes,
		warp: cutting.warp,
		startMethod: cutting.startMethod,
		starts: startOptions({
			cut: inputs.cut,
			thicknessMm: cutting.arcMm,
			referenceMmS: cutting.referenceMmS,
			capacity: cutting.start,
			rates: wearing.electrode.rates,
			limitUm: wearing.electrode.limitUm
		}),
		standoff: cutting.standoff,
		partsFromA: cutting.partsFromA ?? null,
		workIsCut,
		flow: air.line.flowWay,
		gougeNozzle: gouging.hasNozzle
	};
}

/**
 * All numbers of one bench and one cut, as plain data. Pure: the same inputs give the same Plan,
 * on the server, in a worker and in the browser. Takes inputs that passed `PlanInputsSchema`. Without
 * `hashed` it leaves out their hash, which is a sixth of the work and not asked for at every frame.
 */
export const plan = (inputs: PlanInputs, { hashed = true } = {}): Plan =>
	planOf(workings(inputs), hashed ? inputsHash(inputs) : '');

/** From workings that others need too; the hash is that of the inputs as they were given. */
export function planOf(w: Workings, hash: string): Plan {
	const figures = noFigures() as unknown as Record<FigureId, Figure>;
	for (let i = 0; i < DEFINED.length; i++) figures[FIGURE_IDS[i]!] = figureOf(DEFINED[i]!, w);
	const checks = checksOf(w);
	for (const check of checks) {
		figures[check.id].margin = check.margin;
		figures[check.id].verdict = check.verdict;
	}
	return {
		modelVersion: MODEL_VERSION,
		inputsHash: hash,
		figures,
		checks,
		...judge(checks),
		choices: choicesOf(w),
		groove: grooveOf(w.gouging)
	};
}
