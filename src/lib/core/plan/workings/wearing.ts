import { useOfStart } from '../../cut/start';
import { BAND_SIGMA, growthUm, wearFactor, type Use } from '../../wear/electrode';
import type { Cut, Evidence, Settings } from '../inputs';
import type { CuttingWorkings } from './cutting';

export interface WearWorkings {
	factor: number;
	spread: number;
	/** Pit now, µm: the last measured one and the growth since. */
	lastPitUm: number;
	sinceUm: number;
	pitUm: number;
	pitMm: number;
	limitUm: number;
	/** One cut like the one planned. */
	cutUse: Use;
	perCutUm: number;
	/** Of that, the start alone. */
	perStartUm: number;
	cutsLeft: number;
	band: [number, number];
	metresLeft: number;
	/** Share of the whole life that is left. */
	lifeShare: number;
	/** Electrode and nozzle as a pair, over the metres of one life of such cuts; null: no prices. */
	costPerM: number | null;
}

/** One cut of this length, speed and start, as use of the parts. */
export function useOfCut(cut: Cut, c: Pick<CuttingWorkings, 'speedMmS' | 'startMethod'>): Use {
	return {
		...useOfStart(c.startMethod),
		arcMin: c.speedMmS > 0 ? cut.lengthMm / c.speedMmS / 60 : 0
	};
}

export function wearWorkings(
	cut: Cut,
	c: CuttingWorkings,
	evidence: Evidence,
	settings: Settings
): WearWorkings {
	const { wear } = evidence;
	const { factor, spread } = wearFactor(wear.measuredUm, wear.expectedUm);
	const lastPitUm = wear.lastPit?.pitUm ?? 0;
	const sinceUm = growthUm(wear.lastPit?.useSince ?? wear.total);
	const pitUm = lastPitUm + factor * sinceUm;
	const limitUm = settings.pitLimitMm * 1000;
	const cutUse = useOfCut(cut, c);
	const perCutUm = growthUm(cutUse) * factor;
	const leftUm = Math.max(0, limitUm - pitUm);
	const cutsLeft = Math.floor(leftUm / perCutUm + 1e-9);
	const at = (f: number) =>
		Math.floor(Math.max(0, limitUm - lastPitUm - f * sinceUm) / (growthUm(cutUse) * f) + 1e-9);
	const { electrodePrice, nozzlePrice } = settings;
	const pairPrice =
		electrodePrice === null || nozzlePrice === null ? null : electrodePrice + nozzlePrice;
	const lifeM = ((limitUm / perCutUm) * cut.lengthMm) / 1000;
	return {
		factor,
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
		band: [at(factor * Math.exp(BAND_SIGMA * spread)), at(factor * Math.exp(-BAND_SIGMA * spread))],
		metresLeft: (cutsLeft * cut.lengthMm) / 1000,
		lifeShare: leftUm / limitUm,
		costPerM: pairPrice === null ? null : pairPrice / lifeM
	};
}
