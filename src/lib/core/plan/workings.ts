import type { Nozzle, PlanInputs, Work } from '../inputs/planInputs';
import { airLine, airWorkings, type AirWorkings } from '../air/workings';
import {
	chosenAmps,
	cuttingWorkings,
	fittedNozzle,
	wholeAmps,
	type CuttingWorkings
} from '../cut/workings';
import { draw, wiring, type Draw, type Wiring } from '../circuit/workings';
import { gougeWorkings, type GougeWorkings } from '../gouge/workings';
import { guided } from '../cut/guiding';
import { heatWorkings, type HeatWorkings } from '../cutter/heat';
import { sessionWorkings, type SessionWorkings } from './session';
import { arcSOf } from '../cut/travel';
import { wearWorkings, type WearWorkings } from '../wear/workings';

/** Everything the Plan worked out on the way; `explain` reads the inputs of a formula from here. */
export interface Workings {
	/** With the arc time of the planned cut as the work, where the work is the cut. */
	inputs: PlanInputs;
	/** The arc time of the work is that of the planned cut. */
	workIsCut: boolean;
	wiring: Wiring;
	draw: Draw;
	air: AirWorkings;
	heat: HeatWorkings;
	session: SessionWorkings;
	cutting: CuttingWorkings;
	gouging: GougeWorkings;
	wearing: WearWorkings;
	/** Cutting nozzle in the torch now. */
	fittedNozzle: Nozzle;
	/** Air for the line, l; null when it does not go through, or nobody knows the flow. */
	lineAirL: number | null;
	/** Lowest whole amps above those that surely run on; undefined: none of the machine's. */
	firstFailingA: number | undefined;
	/** Largest whole amps that surely run on (earliest curve); undefined: not even the smallest do. */
	runsOnA: number | undefined;
	/** Largest that may (latest curve). */
	mayRunOnA: number | undefined;
}

/** A fuse blows within half an hour from this multiple of its rating (BS 1362 and gG, from memory). */
export const FUSE_BLOWS = 1.6;

interface Electric {
	draw: Draw;
	session: SessionWorkings;
}

/** Nothing on the electric side but the breaker stops the pattern. */
function otherwiseRuns({ draw: d, session }: Electric, w: Wiring, plugFuseA: number | null) {
	if (!d.delivered.ok || d.delivered.voltageV < w.leastV) return false;
	if ((d.generatorShare ?? 0) > 1) return false;
	if (plugFuseA !== null && (d.effectiveA > plugFuseA || d.inputA > FUSE_BLOWS * plugFuseA)) {
		return false;
	}
	return session.cutter.crossing === undefined;
}

/** `solveAmps` false leaves out the search for the most amps, for what asks only for verdicts. */
export function workings(inputs: PlanInputs, { solveAmps = true } = {}): Workings {
	const { bench, cut, evidence, settings, chart } = inputs;
	const w = wiring(bench, evidence);
	const fitted = fittedNozzle(bench.torch);
	const line = airLine(bench, fitted, evidence);
	// Kerf moves the way round a circle by a hair; the search for amps goes by the bore's.
	const { lineMm } = guided(bench, cut, evidence, { kerfMm: 1.5 * fitted.boreMm, standoffMm: 0 });
	const ask = { bench, chart, evidence, cut, settings, lineMm };
	const workAt = (arcS: number | null): Work =>
		inputs.work.by === 'cut' && arcS !== null ? { ...inputs.work, arcS } : inputs.work;
	const at = (amps: number, work: Work) => {
		const d = draw(bench, w, { ratio: evidence.powerRatio?.mean ?? 1, outputA: amps, work });
		const heat = heatWorkings(w.plate, evidence, work, amps);
		return { draw: d, heat, session: sessionWorkings({ ...inputs, work }, w, line, d, heat) };
	};

	let runsOnA: number | undefined;
	let mayRunOnA: number | undefined;
	let firstFailingA: number | undefined;
	/** From the top: fewer amps travel slower and so arc longer, so what runs need not lie in one piece. */
	const searchBy = (arcSAt: (amps: number) => number | null): boolean => {
		let parted = false;
		for (const amps of wholeAmps(bench, w.plate).reverse()) {
			const arcS = arcSAt(amps);
			if (arcS === null) continue;
			parted = true;
			const electric = at(amps, { ...inputs.work, arcS });
			if (otherwiseRuns(electric, w, bench.supply.plugFuseA)) {
				if (!electric.session.latest.crossing) mayRunOnA ??= amps;
				if (!electric.session.earliest.crossing) {
					runsOnA = amps;
					return true;
				}
			}
			firstFailingA = amps;
		}
		return parted;
	};
	const search = () => {
		// Amps that do not part the plate run nothing; where none does, the pattern alone is asked about.
		const pattern = () => inputs.work.arcS;
		if (inputs.work.by === 'pattern' || !searchBy((amps) => arcSOf(ask, amps))) searchBy(pattern);
	};
	let searched = false;
	const carriedA = () => {
		if (!searched) search();
		searched = true;
		return runsOnA;
	};
	if (solveAmps) carriedA();
	const outputA = chosenAmps(ask, w.plate, carriedA);
	const cutting = cuttingWorkings(bench, cut, evidence, chart, settings, {
		outputA,
		plate: w.plate
	});
	const work = workAt(cutting.arcS);
	const air = airWorkings(bench, line, work);
	const known = line.flowWay === 'measured' || line.flowWay === 'plate';
	return {
		inputs: { ...inputs, work },
		workIsCut: inputs.work.by === 'cut' && cutting.arcS !== null,
		wiring: w,
		...at(outputA, work),
		fittedNozzle: fitted,
		air,
		cutting,
		lineAirL: cutting.lineS === null || !known ? null : (line.flowLpm * cutting.lineS) / 60,
		gouging: gougeWorkings(bench, w.plate, cut),
		wearing: wearWorkings(cut, cutting, evidence, settings, {
			water: air.water,
			shopC: work.shopC
		}),
		firstFailingA,
		runsOnA,
		mayRunOnA
	};
}
