import { METALS } from '../../metal/metals';
import type { Nozzle, PlanInputs } from '../inputs';
import { airWorkings, type AirWorkings } from './air';
import { chosenAmps, cuttingWorkings, fittedNozzle, type CuttingWorkings } from './cutting';
import { draw, wiring, type Draw, type Wiring } from './electric';
import { gougeWorkings, type GougeWorkings } from './gouging';
import { heatWorkings, type HeatWorkings } from './heat';
import { sessionWorkings, type SessionWorkings } from './session';
import { wearWorkings, type WearWorkings } from './wearing';

/** Everything the Plan worked out on the way; `explain` reads the inputs of a formula from here. */
export interface Workings {
	inputs: PlanInputs;
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
	/** Air for the line, l; null when it does not go through. */
	lineAirL: number | null;
	/** Lowest whole amps that something on the electric side stops; undefined: none of the machine's. */
	firstFailingA: number | undefined;
	/** Largest amps that run on; undefined: not even the smallest do. */
	runsOnA: number | undefined;
}

/** What on the electric side stops the pattern, by its time; undefined: nothing. */
function electricStopS(d: Draw, session: SessionWorkings, w: Wiring): number | undefined {
	if (!d.delivered.ok || d.delivered.voltageV < w.leastV) return 0;
	if ((d.generatorShare ?? 0) > 1) return 0;
	const times = [session.latest.crossing?.atS, session.cutter.crossing?.atS].filter(
		(t) => t !== undefined
	);
	return times.length ? Math.min(...times) : undefined;
}

/** `solveAmps` false leaves out the search for the most amps, for what asks only for verdicts. */
export function workings(inputs: PlanInputs, { solveAmps = true } = {}): Workings {
	const { bench, cut, evidence, work, settings } = inputs;
	const w = wiring(bench, evidence, work);
	const fitted = fittedNozzle(bench.torch);
	const air = airWorkings(bench, fitted, evidence, work);
	const at = (amps: number) => {
		const d = draw(bench, w, evidence.powerRatio?.mean ?? 1, amps);
		const heat = heatWorkings(w.plate, evidence, work, amps);
		return { draw: d, heat, session: sessionWorkings(inputs, w, air, d, heat) };
	};
	const stopsAt = (amps: number) => {
		const { draw: d, session } = at(amps);
		return electricStopS(d, session, w) !== undefined;
	};

	// More amps never run longer, so bisection finds the border between whole amps.
	const most = Math.floor(w.plate.outputMaxA);
	const least = Math.ceil(bench.cutter.outputMinA);
	let runs = least - 1;
	let fails = most + 1;
	const asked = solveAmps || cut.school === 'circuit';
	if (!asked || !stopsAt(most)) runs = most;
	while (fails - runs > 1) {
		const middle = Math.floor((runs + fails) / 2);
		if (stopsAt(middle)) fails = middle;
		else runs = middle;
	}
	const carriedA = runs < least ? undefined : runs;
	const outputA = chosenAmps(cut, bench, w.plate, METALS[cut.metal].capacity, carriedA);
	const cutting = cuttingWorkings(bench, cut, evidence, inputs.chart, {
		outputA,
		mostA: w.plate.outputMaxA
	});
	return {
		inputs,
		wiring: w,
		...at(outputA),
		fittedNozzle: fitted,
		air,
		cutting,
		lineAirL: cutting.lineS === null ? null : (air.flowLpm * cutting.lineS) / 60,
		gouging: gougeWorkings(bench, w.plate, cut),
		wearing: wearWorkings(cut, cutting, evidence, settings),
		firstFailingA: fails > most ? undefined : fails,
		runsOnA: carriedA
	};
}
