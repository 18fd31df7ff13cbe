import { useOfStart } from './starts';
import {
	airWearFactor,
	growthUm,
	MESH_PILOT_SHARE,
	nozzleLoad,
	RATES_UM,
	type Use
} from './electrode';
import { partForecast, type PartForecast } from './forecast';
import { BORE_GAUGE_UM, BORE_RATES_UM, boreLimitUm } from './nozzle';
import { GAUGE_UM } from './rates';
import type { WaterLine } from '../water/line';
import type { LineCut } from '../cut/lineCut';
import type { WearEvidence } from './inputs';
import type { CuttingWorkings } from '../cut/workings';
import type { Nozzle } from '../torch/inputs';

/** What the shop has decided about its parts. */
export interface WearSettings {
	pitLimitMm: number;
	electrodePrice: number | null;
	nozzlePrice: number | null;
}

/** Of a usual start of 20 s, so much of the growth is the start's and the rest its arc's: 3 of 5 µm. */
export const USUAL_STARTS_SHARE = 0.6;

/** Parts that are looked at rather than measured. */
export const LOOKED_AT = ['ring', 'cap', 'shield', 'o-ring', 'gouge-nozzle'] as const;
export type LookedAt = (typeof LOOKED_AT)[number];
/** Starts that they usually last [own]. */
export const USUAL_STARTS: Record<LookedAt, number> = {
	ring: 1200,
	cap: 2500,
	shield: 800,
	'o-ring': 2000,
	'gouge-nozzle': 300
};
/** How many starts each part by eye has made; `of` gives null where nobody noted when it was put in. */
export function startsByEye(of: (part: LookedAt) => number | null): WearEvidence['wear']['starts'] {
	const noted = (part: LookedAt) => {
		const starts = of(part);
		return starts === null ? {} : { [part]: starts };
	};
	return {
		ring: of('ring'),
		cap: of('cap'),
		shield: of('shield'),
		...noted('o-ring'),
		...noted('gouge-nozzle')
	};
}

export interface WearWorkings {
	/** Of the water in the shop's air. */
	airFactor: number;
	/** Growth of a usual start of 20 s against the starting rates. */
	factor: number;
	/** Load of these amps on their nozzle. */
	load: number;
	/** One cut like the one planned. */
	cutUse: Use | null;
	electrode: PartForecast;
	/** The bore; its growth is that of the diameter. */
	nozzle: PartForecast;
	/** Of the nozzle in the torch. */
	boreNewMm: number;
	/** Nobody measured a nozzle here and none is known to have worn out: it goes with its electrode. */
	nozzleKnown: boolean;
	/** Which of the two goes first. */
	first: 'electrode' | 'nozzle';
	/** Starts that the parts by eye have made; null: nobody noted when they were fitted. */
	startsOf: Record<LookedAt, number | null>;
	/** Of the electrode, the start alone. */
	perStartUm: number;
	cutsLeft: number | null;
	band: [number, number] | undefined;
	metresLeft: number | null;
	/** Share of a pair that one such cut takes; null: it cannot be made. */
	perCutShare: number | null;
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
	at: { water: WaterLine | undefined; shopC: number; fittedNozzle: Nozzle }
): WearWorkings {
	const { wear } = evidence;
	const airFactor = at.water ? airWearFactor(at.water, at.shopC) : 1;
	const cutUse = useOfCut(cut, c);
	// What is gauged is what is in the torch; the cut may be planned with another.
	const boreNewMm = at.fittedNozzle.boreMm;
	const electrode = partForecast(wear.electrode, {
		starting: RATES_UM,
		gaugeUm: GAUGE_UM,
		limitUm: settings.pitLimitMm * 1000,
		airFactor,
		cutUse
	});
	const nozzle = partForecast(wear.nozzle, {
		starting: BORE_RATES_UM,
		gaugeUm: BORE_GAUGE_UM,
		limitUm: boreLimitUm(boreNewMm),
		airFactor,
		cutUse
	});
	// A guess at the bore does not stand against an electrode: they are changed as a pair.
	const nozzleKnown = nozzle.speaks !== 'model';
	const first =
		nozzleKnown &&
		(nozzle.cutsLeft ?? nozzle.lifeShare) < (electrode.cutsLeft ?? electrode.lifeShare)
			? 'nozzle'
			: 'electrode';
	const { cutsLeft, band } = { electrode, nozzle }[first];
	const { electrodePrice, nozzlePrice } = settings;
	const pairPrice =
		electrodePrice === null || nozzlePrice === null ? null : electrodePrice + nozzlePrice;
	const perCutShare =
		electrode.perCutUm === null
			? null
			: Math.max(
					electrode.perCutUm / electrode.limitUm,
					nozzleKnown ? nozzle.perCutUm! / nozzle.limitUm : 0
				);
	return {
		airFactor: electrode.fitted.from > 0 ? 1 : airFactor,
		factor:
			(USUAL_STARTS_SHARE * electrode.rates.start) / RATES_UM.start +
			((1 - USUAL_STARTS_SHARE) * electrode.rates.arcMinute) / RATES_UM.arcMinute,
		load: nozzleLoad(c.outputA, c.nozzle.ratingA),
		cutUse,
		electrode,
		nozzle,
		boreNewMm,
		nozzleKnown,
		first,
		startsOf: { 'o-ring': null, 'gouge-nozzle': null, ...wear.starts },
		perStartUm: growthUm(useOfStart(c.startMethod), electrode.rates),
		cutsLeft,
		band,
		metresLeft: cutsLeft === null ? null : (cutsLeft * c.lineMm) / 1000,
		perCutShare,
		costPerM:
			pairPrice === null || perCutShare === null
				? null
				: (pairPrice * perCutShare * 1000) / c.lineMm
	};
}

/** What the room of wear reads of the Plan's workings. */
export interface WearView {
	inputs: { evidence: WearEvidence; settings: WearSettings };
	wearing: WearWorkings;
	cutting: CuttingWorkings;
}
