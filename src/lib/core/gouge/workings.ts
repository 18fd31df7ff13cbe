import type { ShopBench } from '../air/inputs';
import type { PlateInput } from '../cutter/inputs';
import { arcVoltageV } from '../cutter/power';
import type { Check } from '../figure/types';
import { METALS, type Metal, type MetalId } from '../metal/metals';
import { EIGHT_IN_TEN } from '../solve/normal';
import type { Nozzle } from '../torch/inputs';
import { widestWovenMm } from './bore';
import type { Factor } from './calibrated';
import { LIGHT_MM, type Gouge, type GougeEvidence } from './inputs';
import {
	GOUGE_AIR_SHARE,
	HAND_GOUGE_MM_S,
	HAND_MARK_MM_S,
	HAND_TELLS_MM_S,
	removalEnergyJPerKg,
	removalKgS,
	removalMm3S
} from './removal';
import { layoutOf, type Layout } from './strings';
import { isMark, isSpot } from './targets';
import { spotMm3, type Section } from './section';
import {
	jobOf,
	refusalOf,
	toolsOf,
	type GougedCut,
	type GougeRefusal,
	type GrooveJob,
	type GrooveTools
} from './job';

export interface GougeWorkings {
	/** Somebody wants it. */
	asked: boolean;
	hasNozzle: boolean;
	/** That is used; null: the cutting nozzle, for light work. */
	nozzle: Nozzle | null;
	refused: GougeRefusal | undefined;
	metal: Metal;
	plateMm: number;
	lengthMm: number;
	grindMm: number;
	/** Must stay of the plate. */
	keepMm: number;
	/** The most that machine and nozzle bear; and what such a target usually takes. */
	mostA: number;
	usualA: number;
	outputA: number;
	arcVoltageV: number;
	removalJPerKg: number;
	removal: Factor;
	shape: Factor;
	/** With what test grooves told. */
	removalKgS: number;
	depthOverWidth: number;
	section: Section;
	/** undefined: a spot, refused, or nobody asked. */
	layout: Layout | undefined;
	/** A spot by seconds; undefined: it is drawn as lines. */
	spotS: number | undefined;
	/** Metal of one piece, mm³; null: it cannot be made. */
	pieceMm3: number | null;
	/** Of one piece: arc in all, and its longest string. */
	pieceS: number | null;
	longestS: number | null;
	/** Of the widest string, where it meets what was there before; null: no lines. */
	widestMm: number | null;
	/** Of the plate that is left under it, mm; null: nothing goes into the plate. */
	leftPlateMm: number | null;
	/** At the torch while gouging; null: the machine sets it, or nobody has told. */
	airBar: number | null;
	/** Eight times in ten, of what takes arc time, as factors. */
	timeBand: [number, number];
}
/** With what only the whole Plan knows: what the supply says to these amps. */
export interface GougePlanned extends GougeWorkings {
	/** The weakest of circuit, cutter and air at the gouging amps and pace; undefined: nothing was asked. */
	carries: Check | undefined;
	shade: number;
	/** Depth of the electrode's pit that is left until its limit, and what one piece takes; null: it cannot be made. */
	leftUm: number | null;
	pieceUm: number | null;
	piecesLeft: number | null;
}

/** Less than for cutting, by whoever sets it; the shop's own regulator stays inside the window. */
function gougeAirBar({ cutter, air }: ShopBench): number | null {
	if (cutter.regulator === 'itself' || air.source === 'built-in') return null;
	if (cutter.regulator === 'none') {
		return Math.max(cutter.airMinBar, air.setPointBar * GOUGE_AIR_SHARE);
	}
	return cutter.workingBar === null ? null : cutter.workingBar * GOUGE_AIR_SHARE;
}

/** What the model says that these amps throw out, before any test groove, mm³/s. */
export function modelRemovalMm3S(bench: ShopBench, metalId: MetalId, outputA: number): number {
	const metal = METALS[metalId];
	const powerW = outputA * arcVoltageV(bench, outputA);
	return removalMm3S(removalKgS(powerW, removalEnergyJPerKg(metal)), metal.densityKgM3);
}

/** Layouts of the last grooves: while a hand moves something else they stay as they are. */
type Found = ReturnType<typeof layoutOf>;
const remembered = new Map<string, Found>();
const REMEMBERED_MOST = 40;
function layoutFor(key: string, make: () => Found): Found {
	if (!remembered.has(key)) {
		if (remembered.size >= REMEMBERED_MOST) remembered.clear();
		remembered.set(key, make());
	}
	return remembered.get(key);
}

/** Where full amps are too much for a hand fewer are tried, in so many equal steps down to the least of the cutter. */
const STEPS = 6;
const CALM_SHARE = 0.5;
function ampsToTry({ cutter }: ShopBench, { outputA }: Gouge, { usualA }: GrooveTools): number[] {
	if (outputA !== null) return [outputA];
	const down = (usualA - Math.ceil(cutter.outputMinA)) / STEPS;
	if (down <= 0) return [usualA];
	return Array.from({ length: STEPS + 1 }, (_, i) => Math.floor(usualA - i * down));
}

const removalAt = (bench: ShopBench, tools: GrooveTools, amps: number): number =>
	tools.removal.factor * removalKgS(amps * arcVoltageV(bench, amps), tools.removalJPerKg);

/**
 * Strings, and the amps for them: the most at which none hurries the hand, not far below full; else the most
 * that do at all.
 */
function linesOf(bench: ShopBench, gouge: Gouge, job: GrooveJob, tools: GrooveTools) {
	const speedMmS = isMark(gouge.target) ? HAND_MARK_MM_S : HAND_GOUGE_MM_S;
	const deepestMm = gouge.way === 'light' ? LIGHT_MM : Infinity;
	const { depthOverWidth: ratio } = tools;
	const wovenMostMm = tools.nozzle ? widestWovenMm(tools.nozzle.boreMm) : Infinity;
	const { target, widthMm, depthMm, legMm, upLegMm, rootRadiusMm } = gouge;
	const sizes = [target, widthMm, depthMm, legMm, upLegMm, rootRadiusMm, job.grindMm, job.mostMm];
	const foundAt = (amps: number) => {
		const mm3S = removalMm3S(removalAt(bench, tools, amps), job.metal.densityKgM3);
		const hand = { removalMm3S: mm3S, depthOverWidth: ratio, speedMmS, deepestMm, wovenMostMm };
		return layoutFor([...sizes, ...Object.values(hand)].join(), () => layoutOf(job.section, hand));
	};
	const calm = ({ strings }: Layout) =>
		strings.every((s) => s.speedMmS <= speedMmS[1] + HAND_TELLS_MM_S);
	let most: { outputA: number; layout: Layout } | undefined;
	const tries = ampsToTry(bench, gouge, tools);
	for (const outputA of tries) {
		if (most && outputA < CALM_SHARE * tools.usualA) break;
		const layout = foundAt(outputA);
		// Fewer amps need more strings still.
		if (layout === 'many') {
			if (!most) return { outputA: tries[0]!, layout: undefined, many: outputA === tries[0] };
			break;
		}
		if (!layout) continue;
		if (calm(layout)) return { outputA, layout, many: false };
		most ??= { outputA, layout };
	}
	return { outputA: tries[0]!, layout: undefined, ...most, many: false };
}

export function gougeWorkings(
	bench: ShopBench,
	plate: PlateInput,
	cut: GougedCut,
	evidence: GougeEvidence
): GougePlanned {
	const { gouge } = cut;
	const job = jobOf(cut);
	const { metal, lengthMm } = job;
	const tools = toolsOf(bench, plate, gouge, job, evidence);
	const refused = refusalOf(bench, gouge, job, tools);
	const spot = isSpot(gouge.target);
	const lines = gouge.asked && !refused && !spot;
	const found = lines ? linesOf(bench, gouge, job, tools) : undefined;
	const outputA = found?.outputA ?? gouge.outputA ?? tools.usualA;
	const layout = found?.layout;

	const removalKgPerS = removalAt(bench, tools, outputA);
	const spotMm3Each = spotMm3(gouge.widthMm, gouge.depthMm);
	const spotS =
		spot && !refused ? spotMm3Each / removalMm3S(removalKgPerS, metal.densityKgM3) : undefined;
	const stringsS = layout?.strings.map(({ speedMmS }) => lengthMm / speedMmS);
	const half = EIGHT_IN_TEN * tools.removal.spread;
	// Field by field: an object that is spread into another costs more than all of this.
	return {
		metal,
		plateMm: job.plateMm,
		lengthMm,
		grindMm: job.grindMm,
		keepMm: job.keepMm,
		section: job.section,
		nozzle: tools.nozzle,
		mostA: tools.mostA,
		usualA: tools.usualA,
		removalJPerKg: tools.removalJPerKg,
		removal: tools.removal,
		shape: tools.shape,
		depthOverWidth: tools.depthOverWidth,
		asked: gouge.asked,
		hasNozzle: tools.nozzle !== null,
		refused: refused ?? (found && !layout ? (found.many ? 'much' : 'hand') : undefined),
		outputA,
		arcVoltageV: arcVoltageV(bench, outputA),
		removalKgS: removalKgPerS,
		layout,
		spotS,
		pieceMm3: spotS !== undefined ? spotMm3Each : layout ? layout.areaMm2 * lengthMm : null,
		pieceS: spotS ?? stringsS?.reduce((sum, s) => sum + s, 0) ?? null,
		longestS: spotS ?? (stringsS ? Math.max(...stringsS) : null),
		widestMm: layout ? Math.max(...layout.strings.map((s) => s.toMm - s.fromMm)) : null,
		leftPlateMm: job.into && layout ? job.plateMm - layout.reachMm : null,
		airBar: gougeAirBar(bench),
		timeBand: [Math.exp(-half), Math.exp(half)],
		// The whole Plan fills these in.
		carries: undefined,
		shade: 0,
		leftUm: null,
		pieceUm: null,
		piecesLeft: null
	};
}

/** What the room of gouging reads of the Plan's workings. */
export interface GougeView {
	inputs: { bench: ShopBench; cut: GougedCut; evidence: GougeEvidence };
	wiring: { plate: PlateInput };
	gouging: GougePlanned;
}
