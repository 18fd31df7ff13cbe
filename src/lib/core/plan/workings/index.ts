import { METALS } from '../../metal/metals';
import type { Nozzle, PlanInputs } from '../inputs';
import { airWorkings, type AirWorkings } from './air';
import { chosenAmps, cuttingWorkings, fittedNozzle, type CuttingWorkings } from './cutting';
import { draw, wiring, type Draw, type Wiring } from './electric';
import { gougeWorkings, type GougeWorkings } from './gouging';
import { heatWorkings, type HeatWorkings } from './heat';
import { wearWorkings, type WearWorkings } from './wearing';

/** Everything the Plan worked out on the way; `explain` reads the inputs of a formula from here. */
export interface Workings {
	inputs: PlanInputs;
	wiring: Wiring;
	draw: Draw;
	air: AirWorkings;
	heat: HeatWorkings;
	cutting: CuttingWorkings;
	gouging: GougeWorkings;
	wearing: WearWorkings;
	/** Cutting nozzle in the torch now. */
	fittedNozzle: Nozzle;
	/** Lowest whole amps that something on the electric side stops; undefined: none of the machine's. */
	firstFailingA: number | undefined;
	/** Largest amps that run on; undefined: not even the smallest do. */
	runsOnA: number | undefined;
}

/** What on the electric side stops the pattern at these amps, by its time; undefined: nothing. */
export function electricStopS(d: Draw, h: HeatWorkings, w: Wiring): number | undefined {
	if (!d.delivered.ok || d.delivered.voltageV < w.leastV) return 0;
	const times = [d.latest.trip?.atS, h.lamp?.atS].filter((t) => t !== undefined);
	return times.length ? Math.min(...times) : undefined;
}

export function workings(inputs: PlanInputs): Workings {
	const { bench, cut, evidence, work, settings } = inputs;
	const w = wiring(bench, evidence, work);
	const outputA = chosenAmps(cut, bench, w.plate, METALS[cut.metal].capacity);
	const d = draw(bench, w, work, outputA);
	const heat = heatWorkings(w.plate, work, outputA);
	const stopsAt = (amps: number) =>
		electricStopS(draw(bench, w, work, amps), heatWorkings(w.plate, work, amps), w) !== undefined;

	// More amps never run longer, so bisection finds the border between whole amps.
	const most = Math.floor(w.plate.outputMaxA);
	const least = Math.ceil(bench.cutter.outputMinA);
	let runs = least - 1;
	let fails = most + 1;
	if (!stopsAt(most)) runs = most;
	while (fails - runs > 1) {
		const middle = Math.floor((runs + fails) / 2);
		if (stopsAt(middle)) fails = middle;
		else runs = middle;
	}
	const cutting = cuttingWorkings(bench, w.plate, cut, evidence);
	const fitted = fittedNozzle(bench.torch);
	return {
		inputs,
		wiring: w,
		draw: d,
		fittedNozzle: fitted,
		air: airWorkings(bench, fitted, evidence, work),
		heat,
		cutting,
		gouging: gougeWorkings(bench, w.plate, cut),
		wearing: wearWorkings(cut, cutting, evidence, settings),
		firstFailingA: fails > most ? undefined : fails,
		runsOnA: runs < least ? undefined : runs
	};
}
