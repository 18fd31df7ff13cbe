/** What each item of a list asks of the bench, by the one Plan. */
import { airLine } from '../../air/workings';
import { draw } from '../../circuit/workings';
import { COMPRESSOR_KW_PER_LPM } from '../../cost/cost';
import { heatWorkings } from '../../cutter/heat';
import { handPace } from '../../cut/heat';
import type { Told } from '../../figure/finding';
import { worst } from '../../figure/verdict';
import type { Cut } from '../../inputs/defaults';
import type { PlanInputs } from '../../inputs/planInputs';
import type { ListItem } from '../../list/inputs';
import { METALS } from '../../metal/metals';
import { EIGHT_IN_TEN } from '../../solve/normal';
import { said } from '../../plan/said';
import { supplyChecks } from '../../plan/rooms';
import { sessionNodes } from '../../plan/session';
import { workings, type Workings } from '../../plan/workings';
import { jobCuts, useOfCuts } from '../job';
import type { ListArc } from '../../session/list';
import { fittedNozzle } from '../../torch/nozzle';
import { growthUm, nozzleLoad } from '../../wear/electrode';
import { useOfStart } from '../../wear/starts';

/** A listed item with its planned cut. */
export interface AskedItem {
	item: ListItem;
	cut: Cut;
}

/** The setting line of an item, and what one of its pieces takes. */
export interface ItemPlan {
	id: string;
	/** Parts that must be in the torch. */
	set: string;
	nozzleA: number;
	outputA: number;
	/** No faster than a hand goes. */
	speedMmS: number | null;
	/** Guide to line; null: a groove, or by free hand. */
	offsetMm: number | null;
	start: string;
	/** Arcs of one piece, in order. */
	arcs: ListArc[];
	pieceArcS: number;
	pieceLengthMm: number;
	/** Pit of the electrode, and growth of the bore, that one piece costs, µm. */
	pieceUm: number;
	pieceBoreUm: number;
	/** Eight in ten arcs take between 1/f and f of the planned time. */
	arcFactor: number;
	/** Whether a hand holds its travel. */
	pace: 'slow' | 'fast' | 'held';
	/** One arc of it alone may trip the breaker, even from rest: no order and no rest mends that. */
	mayTrip: boolean;
	/** Where the guide lies; null: a groove. */
	guide: Cut['guide'] | null;
	pieceAirL: number;
	/** Of the cutter, and of the compressor. */
	pieceKwh: number;
	pieceAirKwh: number;
	/** Width of the cut; 0: a groove. */
	kerfMm: number;
	/** Net plate of one piece, kg. */
	pieceKg: number;
}
export interface CannotMake {
	id: string;
	/** In the bench's own words. */
	why: Told;
}

/** Net plate of one piece, mm²; 0: the customer's. */
export const netMm2 = ({ areaMm2, widthMm, heightMm }: ListItem): number =>
	areaMm2 ?? (widthMm !== null && heightMm !== null ? widthMm * heightMm : 0);

export const cuttingSet = (nozzleA: number): string => `cut ${nozzleA}`;
export const gougingSet = (nozzleA: number): string => `gouge ${nozzleA}`;

/** A hand's pace in a groove, eight in ten [own]. */
const GROOVE_FACTOR = 1.3;
/** And along a line, where the hand sets the pace and not the plate [own]. */
const HAND_FACTOR = 1.15;

/** A check that stops at once, whatever the pace: no order and no rest mends it. */
const AT_ONCE_S = 1;
function neverRuns(w: Workings): Told | undefined {
	const stops = supplyChecks(w).filter(
		({ verdict, stopsAtS }) => verdict === 'stops' && (stopsAtS ?? 0) <= AT_ONCE_S
	);
	const first = worst(stops);
	return first && { text: first.word };
}

interface Electric {
	outputA: number;
	nozzleRatingA: number;
	arcsS: readonly number[];
	handlingS: number;
}
function arcsOf(w: Workings, { outputA, nozzleRatingA, arcsS, handlingS }: Electric): ListArc[] {
	const { inputs } = w;
	const { bench, evidence } = inputs;
	const nozzle =
		bench.torch.nozzles.find((n) => n.ratingA === nozzleRatingA) ?? fittedNozzle(bench.torch);
	const air = airLine(bench, nozzle, evidence);
	return arcsS.map((arcS) => {
		const work = { ...inputs.work, arcS };
		const d = draw(bench, w.wiring, { ratio: evidence.powerRatio?.mean ?? 1, outputA, work });
		const heat = heatWorkings(w.wiring.plate, evidence, work, outputA);
		return {
			handlingS,
			arcS,
			postS: bench.torch.postFlowS,
			useLpm: air.flowLpm,
			neededBar: air.storeNeededBar,
			targets: sessionNodes(inputs, w.wiring, d, heat).map((node) => node.targets)
		};
	});
}

/** What cut and groove each find out; the rest of an {@link ItemPlan} follows from it. */
type Made = Pick<
	ItemPlan,
	| 'set'
	| 'nozzleA'
	| 'outputA'
	| 'speedMmS'
	| 'offsetMm'
	| 'kerfMm'
	| 'start'
	| 'arcs'
	| 'pieceLengthMm'
	| 'pieceUm'
	| 'pieceBoreUm'
	| 'arcFactor'
	| 'pace'
	| 'guide'
>;

function finished({ item, cut }: AskedItem, w: Workings, made: Made, activeW: number): ItemPlan {
	const pieceArcS = made.arcs.reduce((sum, { arcS }) => sum + arcS, 0);
	const pieceAirL = made.arcs.reduce(
		(sum, { arcS, postS, useLpm }) => sum + (useLpm * (arcS + postS)) / 60,
		0
	);
	const compressed = w.inputs.bench.air.source === 'compressor';
	return {
		id: item.id,
		...made,
		mayTrip: false,
		pieceArcS,
		pieceAirL,
		pieceKwh: (activeW * pieceArcS) / 3.6e6,
		pieceAirKwh: compressed ? (pieceAirL * COMPRESSOR_KW_PER_LPM) / 60 : 0,
		pieceKg: netMm2(item) * cut.thicknessMm * 1e-9 * METALS[cut.metal].densityKgM3
	};
}

/** Why it cannot be made, in the words of the stations that it is planned on. */
function cannotMake(id: string, inputs: PlanInputs, groove: boolean): CannotMake {
	const stations = groove ? ['gouge'] : ['setup', 'cut'];
	const refusal = said(inputs).findings.find(
		({ kind, station }) =>
			stations.includes(station) && (kind === 'refusal' || (groove && kind === 'caution'))
	);
	const { text, values } = refusal ?? { text: 'It cannot be made as asked.', values: undefined };
	return { id, why: values ? { text, values } : { text } };
}

/** A groove, one string after the other; undefined: it cannot be made. */
function groovePlan(asked: AskedItem, w: Workings, handlingS: number): ItemPlan | undefined {
	const { inputs, gouging: g, wearing } = w;
	if (g.pieceS === null || g.refused) return undefined;
	const arcsS = g.layout
		? g.layout.strings.map(({ speedMmS }) => g.lengthMm / speedMmS)
		: [g.pieceS];
	const nozzleA = g.nozzle?.ratingA ?? w.fittedNozzle.ratingA;
	const arcs = arcsOf(w, { outputA: g.outputA, nozzleRatingA: nozzleA, arcsS, handlingS });
	const { activeW } = draw(inputs.bench, w.wiring, {
		ratio: inputs.evidence.powerRatio?.mean ?? 1,
		outputA: g.outputA,
		work: { ...inputs.work, arcS: g.longestS! }
	});
	const arcMin = g.pieceS / 60;
	const use = {
		...useOfStart('edge'),
		starts: arcsS.length,
		arcMin,
		loadMin: arcMin * nozzleLoad(g.outputA, nozzleA),
		pilotS: 0
	};
	return finished(
		asked,
		w,
		{
			set: g.nozzle ? gougingSet(nozzleA) : cuttingSet(nozzleA),
			nozzleA,
			outputA: g.outputA,
			speedMmS: g.layout?.strings[0]?.speedMmS ?? null,
			offsetMm: null,
			kerfMm: 0,
			start: 'edge',
			// One string follows the other: only the first waits for the piece.
			arcs: arcs.map((arc, k) => (k === 0 ? arc : { ...arc, handlingS: arc.postS })),
			pieceLengthMm: arcsS.length * g.lengthMm,
			pieceUm: growthUm(use, wearing.electrode.rates),
			// A gouging nozzle is not the one whose bore is followed.
			pieceBoreUm: g.nozzle ? 0 : growthUm(use, wearing.nozzle.rates),
			arcFactor: GROOVE_FACTOR,
			pace: 'held',
			guide: null
		},
		activeW
	);
}

/**
 * Eight in ten such cuts take up to so many times as long as planned. Where the amps ask for more than a
 * hand follows, a plate that wants it slower first brings the travel down to the hand.
 */
function timeFactor({ speedMmS, handMmS, law }: Workings['cutting']): number {
	const factor = Math.exp(EIGHT_IN_TEN * law.spread);
	if (speedMmS === null || handMmS === null) return factor;
	return Math.max(Math.min(HAND_FACTOR, factor), (factor * handMmS) / speedMmS);
}

/** A cut along a line or an outline; undefined: it cannot be made. */
function cutPlan(asked: AskedItem, w: Workings, handlingS: number): ItemPlan | undefined {
	const { item } = asked;
	const { inputs, cutting: c, wearing } = w;
	// An outline has its own contours; else the planned cut, so many times.
	const cuts = item.paths.length
		? jobCuts(
				w,
				item.paths.map(({ edge, lengthMm }) => ({ edge, alongMm: lengthMm }))
			)
		: Array.from({ length: item.linesEach }, () => ({
				edge: 'outside' as const,
				start: c.startMethod,
				lengthMm: c.lineMm,
				arcS: c.arcS
			}));
	if (cuts.some(({ arcS }) => arcS === null)) return undefined;
	const arcsS = cuts.map(({ arcS }) => arcS!);
	const used = useOfCuts(cuts, wearing.load);
	return finished(
		asked,
		w,
		{
			set: cuttingSet(c.nozzle.ratingA),
			nozzleA: c.nozzle.ratingA,
			outputA: c.outputA,
			speedMmS: c.handMmS,
			offsetMm: inputs.cut.guide === 'freehand' ? null : (item.offsetMm ?? c.offsetMm),
			kerfMm: c.kerfMm,
			start: c.startMethod,
			arcs: arcsOf(w, { outputA: c.outputA, nozzleRatingA: c.nozzle.ratingA, arcsS, handlingS }),
			pieceLengthMm: cuts.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
			pieceUm: growthUm(used, wearing.electrode.rates),
			pieceBoreUm: growthUm(used, wearing.nozzle.rates),
			arcFactor: timeFactor(c),
			pace: c.speedMmS === null ? 'held' : handPace(c.speedMmS, inputs.cut.guide),
			guide: inputs.cut.guide
		},
		w.draw.activeW
	);
}

/** One item by the Plan of its own cut; or why it cannot be made on this bench. */
export function itemPlan(base: PlanInputs, asked: AskedItem): ItemPlan | CannotMake {
	const { item } = asked;
	const groove = item.what === 'groove';
	const cut = groove
		? { ...asked.cut, gouge: { ...asked.cut.gouge, asked: true, pieces: 1 } }
		: asked.cut;
	const inputs: PlanInputs = { ...base, cut, work: { ...base.work, by: 'cut' } };
	const w = workings(inputs, { solveAmps: false });
	const handlingS = item.handlingS ?? inputs.settings.handlingS;
	if (groove) return groovePlan(asked, w, handlingS) ?? cannotMake(item.id, inputs, groove);
	const { arcS, startMethod } = w.cutting;
	if (arcS === null || startMethod === 'none') return cannotMake(item.id, inputs, groove);
	const never = neverRuns(w);
	if (never) return { id: item.id, why: never };
	return cutPlan(asked, w, handlingS) ?? cannotMake(item.id, inputs, groove);
}
