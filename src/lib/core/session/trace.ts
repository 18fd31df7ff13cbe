import { pressureAfter } from './tank';
import { runSession } from './run';
import { type RunInputs, type Step } from './runTypes';

/** The run in time, for the chart and its table. Columns run in step with `timeS`. */
export interface Trace {
	timeS: number[];
	/** Tank, bar gauge. */
	tankBar: number[];
	arc: boolean[];
	air: boolean[];
	compressorOn: boolean[];
	/** Level of each node. */
	levels: number[][];
}

/** Points inside a stretch, so that a bend of it is drawn and read right. */
function pointsIn(step: Step, everyS: number): number {
	return Math.max(1, Math.ceil(step.durationS / everyS));
}

/** Runs the work and writes down every event and points between, up to `untilS`. */
export function traceSession(inputs: RunInputs, untilS: number, everyS: number): Trace {
	const trace: Trace = {
		timeS: [],
		tankBar: [],
		arc: [],
		air: [],
		compressorOn: [],
		levels: inputs.nodes.map(() => [])
	};
	runSession(inputs, (step) => {
		if (step.startS > untilS) return true;
		const points = pointsIn(step, everyS);
		for (let i = 0; i < points; i++) {
			const dt = (step.durationS * i) / points;
			if (step.startS + dt > untilS) return true;
			trace.timeS.push(step.startS + dt);
			trace.tankBar.push(pressureAfter(step.fromBar, step.law, dt));
			trace.arc.push(step.phase.arc);
			trace.air.push(step.phase.air);
			trace.compressorOn.push(step.compressorOn);
			inputs.nodes.forEach((node, k) => {
				const target = step.targets[k]!;
				trace.levels[k]!.push(target + (step.levels[k]! - target) * Math.exp(-dt / node.tauS));
			});
		}
		return false;
	});
	return trace;
}
