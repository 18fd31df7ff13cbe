import { useOfStart } from './starts';
import {
	airWearFactor,
	growthUm,
	MESH_PILOT_SHARE,
	nozzleLoad,
	wearFactor,
	type Use
} from './electrode';
import { EIGHT_IN_TEN } from '../solve/normal';
import type { WaterLine } from '../water/line';
import type { LineCut } from '../cut/lineCut';
import type { WearEvidence } from './inputs';
import type { CuttingWorkings } from '../cut/workings';

/** What the shop has decided about its parts. */
export interface WearSettings {
	pitLimitMm: number;
	electrodePrice: number | null;
	nozzlePrice: number | null;
}

export interface WearWorkings {
	/** Of this shop, and of the water in its air on top of it. */
	shopFactor: number;
	airFactor: number;
	factor: number;
	/** Load of these amps on their nozzle. */
	load: number;
	spread: number;
	/** Pit now, µm: the last measured one and the growth since. */
	lastPitUm: number;
	sinceUm: number;
	pitUm: number;
	pitMm: number;
	limitUm: number;
	/** One cut like the one planned. */
	cutUse: Use | null;
	/** null: such a cut cannot be made. */
	perCutUm: number | null;
	/** Of that, the start alone. */
	perStartUm: number;
	cutsLeft: number | null;
	band: [number, number] | undefined;
	metresLeft: number | null;
	/** Share of the whole life that is left. */
	lifeShare: number;
	/** Electrode and nozzle as a pair, over the metres of one life of such cuts; null: no prices. */
	costPerM: number | null;
}

/** One cut of this length, speed and start, as use of the parts. */
export function useOfCut(
	cut: Pick<LineCut, 'mesh'>,
	c: Pick<CuttingWorkings, 'arcS' | 'startMethod' | 'outputA' | 'nozzle'>
): Use | null {
	if (c.arcS === null) return null;
	const arcMin = c.arcS / 60;
	return {
		...useOfStart(c.startMethod),
		arcMin,
		loadMin: arcMin * nozzleLoad(c.outputA, c.nozzle.ratingA),
		pilotS: cut.mesh ? MESH_PILOT_SHARE * c.arcS : 0
	};
}

export function wearWorkings(
	cut: LineCut,
	c: CuttingWorkings,
	evidence: WearEvidence,
	settings: WearSettings,
	air: { water: WaterLine | undefined; shopC: number }
): WearWorkings {
	const { wear } = evidence;
	const { factor: shopFactor, spread } = wearFactor(wear.measuredUm, wear.expectedUm);
	// Pits that were measured here grew in this air already.
	const airFactor = wear.expectedUm > 0 || !air.water ? 1 : airWearFactor(air.water, air.shopC);
	const factor = shopFactor * airFactor;
	const lastPitUm = wear.lastPit?.pitUm ?? 0;
	const sinceUm = growthUm(wear.lastPit?.useSince ?? wear.total);
	const pitUm = lastPitUm + factor * sinceUm;
	const limitUm = settings.pitLimitMm * 1000;
	const cutUse = useOfCut(cut, c);
	const expectedUm = cutUse && growthUm(cutUse);
	const perCutUm = expectedUm === null ? null : expectedUm * factor;
	const leftUm = Math.max(0, limitUm - pitUm);
	const cutsLeft = perCutUm === null ? null : Math.floor(leftUm / perCutUm + 1e-9);
	const at = (f: number, perCut: number) =>
		Math.floor(Math.max(0, limitUm - lastPitUm - f * sinceUm) / (perCut * f) + 1e-9);
	const spreads = [Math.exp(EIGHT_IN_TEN * spread), Math.exp(-EIGHT_IN_TEN * spread)] as const;
	const { electrodePrice, nozzlePrice } = settings;
	const pairPrice =
		electrodePrice === null || nozzlePrice === null ? null : electrodePrice + nozzlePrice;
	const metres = (cuts: number) => (cuts * c.lineMm) / 1000;
	return {
		shopFactor,
		airFactor,
		factor,
		load: nozzleLoad(c.outputA, c.nozzle.ratingA),
		spread,
		lastPitUm,
		sinceUm,
		pitUm,
		pitMm: pitUm / 1000,
		limitUm,
		cutUse,
		perCutUm,
		perStartUm: growthUm(useOfStart(c.startMethod)) * factor,
		cutsLeft,
		band:
			expectedUm === null
				? undefined
				: [at(factor * spreads[0], expectedUm), at(factor * spreads[1], expectedUm)],
		metresLeft: cutsLeft === null ? null : metres(cutsLeft),
		lifeShare: leftUm / limitUm,
		costPerM:
			pairPrice === null || perCutUm === null ? null : pairPrice / metres(limitUm / perCutUm)
	};
}

/** What the room of wear reads of the Plan's workings. */
export interface WearView {
	inputs: { evidence: WearEvidence; settings: WearSettings };
	wearing: WearWorkings;
	cutting: CuttingWorkings;
}
