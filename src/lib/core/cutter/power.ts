/** What the machine draws, by its plate. */
import { effectiveCurrentA, IDLE_A, loadVoltageV, phaseFactor } from './plate';
import type { CutterBench, PlateInput } from './inputs';

export function arcVoltageV(bench: CutterBench, outputA: number): number {
	return bench.cutter.arcVoltageV ?? loadVoltageV(outputA);
}

/**
 * Apparent input power at these amps: the plate's largest supply current scaled by output power, or
 * P/(η·PF) when the plate gives none.
 */
export function apparentPowerVA(bench: CutterBench, plate: PlateInput, outputA: number): number {
	const power = outputA * arcVoltageV(bench, outputA);
	if (plate.inputMaxA === null) return power / (bench.cutter.efficiency * bench.cutter.powerFactor);
	const most = plate.outputMaxA * arcVoltageV(bench, plate.outputMaxA);
	return (phaseFactor(plate.phases) * plate.voltageV * plate.inputMaxA * power) / most;
}

/** Largest supply current: from the plate, or what full amps draw at its voltage. */
export function inputMaxA(bench: CutterBench, plate: PlateInput): number {
	const fullVA = apparentPowerVA(bench, plate, plate.outputMaxA);
	return plate.inputMaxA ?? fullVA / (phaseFactor(plate.phases) * plate.voltageV);
}

/** Largest effective supply current over the label's duty pairs (IEC 60974-1), A. */
export function effectiveMostA(bench: CutterBench, plate: PlateInput): number {
	if (plate.inputEffA !== null) return plate.inputEffA;
	const mostA = inputMaxA(bench, plate);
	const power = (amps: number) => amps * arcVoltageV(bench, amps);
	const full = power(plate.outputMaxA);
	return Math.max(
		...plate.duty.map(({ outputA, dutyShare }) =>
			effectiveCurrentA((mostA * power(outputA)) / full, IDLE_A, dutyShare)
		)
	);
}

/** Whole amps between knob and plate, rising. */
export function wholeAmps(bench: CutterBench, plate: PlateInput): number[] {
	const least = Math.ceil(bench.cutter.outputMinA);
	const most = Math.floor(plate.outputMaxA);
	const all: number[] = [];
	for (let amps = least; amps <= most; amps++) all.push(amps);
	return all;
}
