import type { ShopBench } from '../air/inputs';
import type { LineCut } from '../cut/lineCut';
import type { PlateInput } from '../cutter/inputs';
import { arcVoltageV } from '../cutter/power';
import type { Check } from '../figure/types';
import { METALS, type Metal, type MetalId } from '../metal/metals';
import { EIGHT_IN_TEN } from '../solve/normal';
import type { Nozzle } from '../torch/inputs';
import { factorOf, REMOVAL_PRIOR, SHAPE_PRIOR, type Factor } from './calibrated';
import { grooveKey, LIGHT_MM, type Gouge, type GougeEvidence } from './inputs';
import {
	depthOverWidth,
	GOUGE_AIR_SHARE,
	GROOVE_ANGLE_DEG,
	PRECISE_A,
	HAND_GOUGE_MM_S,
	HAND_MARK_MM_S,
	removalEnergyJPerKg,
	removalKgS,
	removalMm3S
} from './removal';
import { layoutOf, type Layout } from './strings';
import {
	goesIntoPlate,
	GRIND_MM,
	isLight,
	isMark,
	isSpot,
	ligamentMm,
	sectionOf,
	spotMm3,
	type Section
} from './targets';

/** The groove, and the cut whose plate it is in where nothing else is said. */
type GougedCut = Pick<LineCut, 'metal' | 'thicknessMm' | 'lengthMm'> & { gouge: Gouge };

/** Why it cannot be made as asked. */
export type GougeRefusal =
	/** No gouging nozzle, and no light work. */
	| 'nozzle'
	/** More amps than the nozzle or the machine bear, or fewer than the machine gives. */
	| 'amps'
	| 'angle'
	/** Into what must stay of the plate. */
	| 'plate'
	/** Deeper than wide. */
	| 'deep'
	/** Nothing is left of it once the grinder's share is off. */
	| 'small'
	/** No strings at a hand's travel: too much arc for so little metal, or too little angle. */
	| 'hand';

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
	/** The most that machine and nozzle bear. */
	mostA: number;
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
	/** Of the electrode's life, by one piece; null: it cannot be made. */
	pieceWear: number | null;
	piecesLeft: number | null;
}

/** Less than for cutting, by whoever sets it; the shop's own regulator stays inside the window. */
function gougeAirBar({ cutter, air }: ShopBench): number | null {
	if (cutter.regulator === 'itself') return null;
	if (cutter.regulator === 'none') {
		return Math.max(cutter.airMinBar, air.setPointBar * GOUGE_AIR_SHARE);
	}
	return cutter.workingBar === null ? null : cutter.workingBar * GOUGE_AIR_SHARE;
}

/** The nozzle that is put in: the smallest gouging one that bears the amps, else the largest. */
export function gougeNozzle(bench: ShopBench, wantedA: number | null): Nozzle | undefined {
	const gouging = bench.torch.nozzles
		.filter(({ kind }) => kind === 'gouge')
		.sort((x, y) => x.ratingA - y.ratingA);
	return (
		(wantedA === null ? undefined : gouging.find((n) => n.ratingA >= wantedA)) ?? gouging.at(-1)
	);
}

/** What the model says that these amps throw out, before any test groove, mm³/s. */
export function modelRemovalMm3S(bench: ShopBench, metalId: MetalId, outputA: number): number {
	const metal = METALS[metalId];
	const powerW = outputA * arcVoltageV(bench, outputA);
	return removalMm3S(removalKgS(powerW, removalEnergyJPerKg(metal)), metal.densityKgM3);
}

/** Layouts of the last grooves: while a hand moves something else they stay as they are. */
const remembered = new Map<string, Layout | undefined>();
const REMEMBERED_MOST = 40;
function layoutFor(key: string, make: () => Layout | undefined): Layout | undefined {
	if (!remembered.has(key)) {
		if (remembered.size >= REMEMBERED_MOST) remembered.clear();
		remembered.set(key, make());
	}
	return remembered.get(key);
}

export function gougeWorkings(
	bench: ShopBench,
	plate: PlateInput,
	cut: GougedCut,
	evidence: GougeEvidence
): GougeWorkings {
	const { gouge } = cut;
	const { target, angleFromPlateDeg, way } = gouge;
	const metal = METALS[gouge.metal ?? cut.metal];
	const plateMm = gouge.plateMm ?? cut.thicknessMm;
	const lengthMm = gouge.lengthMm ?? cut.lengthMm;
	const into = goesIntoPlate(target);
	const grindMm = into
		? 0
		: (gouge.grindMm ?? (target === 'fillet' ? GRIND_MM.fillet : GRIND_MM.other));
	const keepMm = gouge.keepMm ?? ligamentMm(plateMm);

	const nozzle = gougeNozzle(bench, gouge.outputA) ?? null;
	const ratingA = nozzle?.ratingA ?? bench.torch.fittedA;
	const mostA = Math.min(plate.outputMaxA, ratingA);
	const usualA = isLight(target)
		? Math.min(mostA, Math.max(PRECISE_A, bench.cutter.outputMinA))
		: mostA;
	const outputA = gouge.outputA ?? usualA;
	const arcV = arcVoltageV(bench, outputA);
	const removalJPerKg = removalEnergyJPerKg(metal);
	const read = evidence.gouge[grooveKey(metal.id, ratingA)];
	const removal = factorOf(read?.removal, REMOVAL_PRIOR);
	const shape = factorOf(read?.shape, SHAPE_PRIOR);
	const kgS = removal.factor * removalKgS(outputA * arcV, removalJPerKg);
	const mm3S = removalMm3S(kgS, metal.densityKgM3);
	const ratio = shape.factor * depthOverWidth(angleFromPlateDeg);
	const mostMm = into ? Math.max(0, plateMm - keepMm) : Infinity;
	const section = sectionOf({ ...gouge, grindMm }, mostMm);

	const refused = ((): GougeRefusal | undefined => {
		if (!nozzle && !isLight(target)) return 'nozzle';
		if (outputA > mostA || outputA < bench.cutter.outputMinA) return 'amps';
		if (isSpot(target)) return undefined;
		const [flat, steep] = GROOVE_ANGLE_DEG;
		if (angleFromPlateDeg < flat || angleFromPlateDeg > steep) return 'angle';
		if (section.depthMm <= 0) return 'small';
		if (into && section.depthMm > mostMm + 1e-9) return 'plate';
		if (into && section.depthMm > section.widthMm) return 'deep';
		return undefined;
	})();

	const spotS =
		isSpot(target) && !refused ? spotMm3(gouge.widthMm, gouge.depthMm) / mm3S : undefined;
	const hand = {
		removalMm3S: mm3S,
		depthOverWidth: ratio,
		speedMmS: isMark(target) ? HAND_MARK_MM_S : HAND_GOUGE_MM_S,
		deepestMm: way === 'light' ? LIGHT_MM : Infinity
	};
	const { widthMm, depthMm, legMm, rootRadiusMm } = gouge;
	const key = [
		target,
		widthMm,
		depthMm,
		legMm,
		rootRadiusMm,
		grindMm,
		mostMm,
		mm3S,
		ratio,
		way
	].join();
	const layout =
		gouge.asked && !refused && !isSpot(target)
			? layoutFor(key, () => layoutOf(section, hand))
			: undefined;
	const cannot = gouge.asked && !refused && !isSpot(target) && !layout;
	const stringsS = layout?.strings.map(({ speedMmS }) => lengthMm / speedMmS);
	const half = EIGHT_IN_TEN * removal.spread;
	return {
		asked: gouge.asked,
		hasNozzle: nozzle !== null,
		nozzle,
		refused: refused ?? (cannot ? 'hand' : undefined),
		metal,
		plateMm,
		lengthMm,
		grindMm,
		keepMm,
		mostA,
		outputA,
		arcVoltageV: arcV,
		removalJPerKg,
		removal,
		shape,
		removalKgS: kgS,
		depthOverWidth: ratio,
		section,
		layout,
		spotS,
		pieceMm3:
			spotS !== undefined
				? spotMm3(gouge.widthMm, gouge.depthMm)
				: layout
					? layout.areaMm2 * lengthMm
					: null,
		pieceS: spotS ?? stringsS?.reduce((sum, s) => sum + s, 0) ?? null,
		longestS: spotS ?? (stringsS ? Math.max(...stringsS) : null),
		leftPlateMm: into && layout ? plateMm - layout.reachMm : null,
		airBar: gougeAirBar(bench),
		timeBand: [Math.exp(-half), Math.exp(half)]
	};
}

/** What the room of gouging reads of the Plan's workings. */
export interface GougeView {
	inputs: { bench: ShopBench; cut: GougedCut };
	gouging: GougePlanned;
}
