import { airLine, airWorkings, type AirWorkings } from '../air/workings';
import { draw, type Draw } from '../circuit/workings';
import { wiring, type Wiring } from '../circuit/wiring';
import { costWorkings, type CostWorkings } from '../cost/workings';
import { guided } from '../cut/guiding';
import { arcSOf } from '../cut/travel';
import { chosenAmps, cuttingWorkings, type CuttingWorkings } from '../cut/workings';
import { heatWorkings, type HeatWorkings } from '../cutter/heat';
import { wholeAmps } from '../cutter/power';
import { airChecks } from '../air/checks';
import { circuitChecks } from '../circuit/checks';
import { cutterChecks } from '../cutter/checks';
import { rankOf, worst } from '../figure/verdict';
import { HORIZON_S } from '../session/schedule';
import { gougeWorkings, type GougePlanned } from '../gouge/workings';
import { shades } from '../safety/shade';
import { growthUm, nozzleLoad } from '../wear/electrode';
import { useOfStart } from '../wear/starts';
import type { PlanInputs } from '../inputs/planInputs';
import type { Nozzle } from '../torch/inputs';
import type { Work } from '../session/inputs';
import { fittedNozzle } from '../torch/nozzle';
import type { WaterLine } from '../water/line';
import { waterWorkings } from '../water/workings';
import { wearWorkings, type WearWorkings } from '../wear/workings';
import { carriedBy, NOT_SEARCHED, type Carried, type Electric } from './carried';
import { sessionRun, sessionWorkings, type SessionWorkings } from './session';

/** Everything the Plan worked out on the way; checks, figures and their reasons read from here. */
export interface Workings extends Carried {
	/** With the arc time of the planned cut as the work, where the work is the cut. */
	inputs: PlanInputs;
	/** The arc time of the work is that of the planned cut. */
	workIsCut: boolean;
	wiring: Wiring;
	draw: Draw;
	air: AirWorkings;
	/** undefined: the air does not come from the shop's compressor. */
	water: WaterLine | undefined;
	heat: HeatWorkings;
	session: SessionWorkings;
	cutting: CuttingWorkings;
	gouging: GougePlanned;
	wearing: WearWorkings;
	costing: CostWorkings;
	/** Cutting nozzle in the torch now. */
	fittedNozzle: Nozzle;
	/** Air for the line, l; null when it does not go through, or nobody knows the flow. */
	lineAirL: number | null;
}

/** Fills in what circuit, cutter, air and parts say to its amps and pace. */
function gougePlanned(
	{ inputs, wiring: w, wearing }: Pick<Workings, 'inputs' | 'wiring' | 'wearing'>,
	g: GougePlanned,
	at: (outputA: number, work: Work) => Electric & { heat: HeatWorkings }
): GougePlanned {
	const { bench, evidence } = inputs;
	g.shade = shades(g.outputA, bench.supply.system).advised;
	if (g.pieceS === null || !g.asked) return g;
	// One string after the other, with the pause of this work between them, and then it is done.
	const starts = g.layout?.strings.length ?? 1;
	const arcS = Math.max(0.1, g.longestS!);
	const jobS = Math.min(HORIZON_S, starts * inputs.cut.gouge.pieces * (arcS + inputs.work.restS));
	const shift = { hours: jobS / 3600, spellMin: jobS / 60, breakMin: 0 };
	const work: Work = { ...inputs.work, by: 'pattern', arcS, shift };
	const nozzle = g.nozzle ?? fittedNozzle(bench.torch);
	const asked = { ...inputs, work };
	const line = airLine(bench, nozzle, evidence);
	const electric = at(g.outputA, work);
	const session = sessionRun(asked, w, line, electric.draw, electric.heat);
	const air = airWorkings(bench, line, work);
	const view = {
		...NOT_SEARCHED,
		inputs: asked,
		workIsCut: false,
		wiring: w,
		draw: electric.draw,
		heat: electric.heat,
		session,
		air,
		fittedNozzle: nozzle
	};
	const arcMin = g.pieceS / 60;
	const { electrode } = wearing;
	g.leftUm = Math.max(0, electrode.limitUm - electrode.nowUm);
	const use = {
		...useOfStart('edge'),
		starts,
		arcMin,
		loadMin: arcMin * nozzleLoad(g.outputA, nozzle.ratingA),
		pilotS: 0
	};
	g.pieceUm = growthUm(use, electrode.rates);
	g.piecesLeft = Math.floor(g.leftUm / g.pieceUm + 1e-9);
	g.carries = worst(
		[...circuitChecks(view), ...cutterChecks(view), ...airChecks(view)].filter(
			({ verdict }) => rankOf(verdict) > 0
		)
	);
	return g;
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
	const at = (outputA: number, work: Work): Electric & { heat: HeatWorkings } => {
		const d = draw(bench, w, { ratio: evidence.powerRatio?.mean ?? 1, outputA, work });
		const heat = heatWorkings(w.plate, evidence, work, outputA);
		return { draw: d, heat, session: sessionWorkings({ ...inputs, work }, w, line, d, heat) };
	};

	const search = (arcSAt: (amps: number) => number | null) =>
		carriedBy({
			amps: wholeAmps(bench, w.plate),
			arcSAt,
			at: (amps, arcS) => at(amps, { ...inputs.work, arcS }),
			wiring: w,
			plugFuseA: bench.supply.plugFuseA
		});
	let searched: Carried | undefined;
	// Where no amps part the plate, the pattern alone is asked about.
	const carried = () =>
		(searched ??=
			(inputs.work.by === 'cut' ? search((amps) => arcSOf(ask, amps)) : undefined) ??
			search(() => inputs.work.arcS) ??
			NOT_SEARCHED);
	if (solveAmps) carried();

	const outputA = chosenAmps(ask, w.plate, () => carried().runsOnA);
	const cutting = cuttingWorkings(bench, cut, evidence, chart, settings, {
		outputA,
		plate: w.plate
	});
	const workIsCut = inputs.work.by === 'cut' && cutting.arcS !== null;
	const work: Work = workIsCut ? { ...inputs.work, arcS: cutting.arcS! } : inputs.work;
	const air = airWorkings(bench, line, work);
	const water = waterWorkings(bench, work, air);
	const known = line.flowWay === 'measured' || line.flowWay === 'plate';
	const { draw: drawn, heat, session } = at(outputA, work);
	const wearing = wearWorkings(cut, cutting, evidence, settings, {
		water,
		shopC: work.shopC,
		fittedNozzle: fitted
	});
	const gouging = gougePlanned(
		{ inputs, wiring: w, wearing },
		gougeWorkings(bench, w.plate, cut, evidence),
		at
	);
	const { firstFailingA, runsOnA, mayRunOnA } = searched ?? NOT_SEARCHED;
	return {
		inputs: { ...inputs, work },
		workIsCut,
		wiring: w,
		draw: drawn,
		heat,
		session,
		fittedNozzle: fitted,
		air,
		water,
		cutting,
		lineAirL: cutting.lineS === null || !known ? null : (line.flowLpm * cutting.lineS) / 60,
		gouging,
		wearing,
		costing: costWorkings({
			cutting,
			settings,
			source: bench.air.source,
			activeW: drawn.activeW,
			flowLpm: air.line.flowLpm,
			bottleL: air.line.bottleFreeL / (bench.air.bottle?.count ?? 1),
			partsPerM: wearing.costPerM
		}),
		firstFailingA,
		runsOnA,
		mayRunOnA
	};
}
