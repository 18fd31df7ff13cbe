import { useOfStart } from '../wear/starts';
import { throughS, type StartMethod } from '../cut/start';
import { lengthMm } from '../shape/outline';
import type { CutPath } from '../shape/order';
import { safePauses, type PausePlan } from '../session/pauses';
import { addUse, growthUm, NO_USE, type Use } from '../wear/electrode';
import type { PlanInputs } from '../inputs/planInputs';
import { workings, type Workings } from '../plan/workings';
import { runInputsOf } from '../plan/session';

/** One contour of the job. */
export interface JobCut {
	edge: CutPath['edge'];
	start: StartMethod;
	/** Lead-in and path of the torch centre, mm. */
	lengthMm: number;
	/** Until it is through, and then along the path; null: it does not go through. */
	arcS: number | null;
}

/** What it takes to cut some equal parts from one template. */
export interface Job {
	parts: number;
	cuts: JobCut[];
	/** Of all parts together. */
	starts: number;
	pierces: number;
	lengthMm: number;
	/** null: something of it does not go through. */
	arcS: number | null;
	airL: number | null;
	/** Pit of the electrode, µm, and that over what is left of it; more than 1: it does not last; null: as `arcS`. */
	wearUm: number | null;
	wearOfLeft: number | null;
	/** Which pauses the session needs; null: it does not go through. */
	pauses: PausePlan | null;
}

/** More cuts in a row are not planned one by one. */
export const JOB_CUTS_MOST = 500;

/**
 * Contours as arcs. An outside one starts the way the cut does; a hole has no edge to start from, so it is
 * pierced, rolled where straight down is too thick, or started in a drilled hole. `alongMm`: lead-in too.
 */
export function jobCuts(
	{ inputs, cutting: c }: Pick<Workings, 'inputs' | 'cutting'>,
	paths: readonly { edge: CutPath['edge']; alongMm: number }[]
): JobCut[] {
	const pierced: StartMethod =
		inputs.cut.start !== 'edge'
			? c.startMethod
			: c.arcMm <= c.start.straightMm
				? 'pierce'
				: c.arcMm <= c.start.rolledMm
					? 'rolled'
					: 'drilled';
	return paths.map(({ edge, alongMm }) => {
		const start = edge === 'hole' ? pierced : c.startMethod;
		const through = start === c.startMethod ? c.throughS : throughS(start, c.arcMm, c.referenceMmS);
		const arcS = through === null || c.handMmS === null ? null : through + alongMm / c.handMmS;
		return { edge, start, lengthMm: alongMm, arcS };
	});
}

/** What contours take of the parts. */
export const useOfCuts = (cuts: readonly JobCut[], load: number): Use =>
	cuts.reduce((use, { start, arcS }) => {
		const arcMin = (arcS ?? 0) / 60;
		return addUse(use, { ...useOfStart(start), arcMin, loadMin: arcMin * load });
	}, NO_USE);

/** Length, time, air and parts of a job. */
export function jobOf(
	inputs: PlanInputs,
	paths: readonly Pick<CutPath, 'edge' | 'path' | 'leadMm'>[],
	parts: number
): Job {
	const w = workings(inputs, { solveAmps: false });
	const { wearing, air } = w;
	const along = paths.map(({ edge, path, leadMm }) => ({ edge, alongMm: leadMm + lengthMm(path) }));
	const cuts = jobCuts(w, along);
	const use = useOfCuts(cuts, wearing.load);
	const sum = (of: (cut: JobCut) => number) => cuts.reduce((total, cut) => total + of(cut), 0);
	const whole = cuts.every(({ arcS }) => arcS !== null);
	const arcS = whole ? parts * sum((cut) => cut.arcS!) : null;
	const wearUm = arcS === null ? null : parts * growthUm(use, wearing.electrode.rates);
	const leftUm = Math.max(0, wearing.electrode.limitUm - wearing.electrode.nowUm);
	const postS = inputs.bench.torch.postFlowS;
	const run = runInputsOf(w.inputs, w.wiring, air.line, w.draw, w.heat);
	const arcs = Array.from({ length: parts }, () => cuts.map((cut) => cut.arcS ?? 0)).flat();
	return {
		parts,
		cuts,
		starts: parts * cuts.length,
		pierces: parts * (use.piercesRolled + use.piercesStraight),
		lengthMm: parts * sum((cut) => cut.lengthMm),
		arcS,
		airL:
			arcS === null || w.lineAirL === null
				? null
				: (air.line.flowLpm * (arcS + parts * cuts.length * postS)) / 60,
		wearUm,
		wearOfLeft: wearUm === null ? null : leftUm > 0 ? wearUm / leftUm : Infinity,
		pauses:
			arcS === null || arcs.length === 0 ? null : safePauses(run, arcs.slice(0, JOB_CUTS_MOST))
	};
}
