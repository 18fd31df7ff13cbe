/**
 * Electrode pit growth = a·starts + b·arc minutes·load + c·pierces + d·pilot seconds [own starting rates]:
 * 3 µm a start, 6 µm an arc minute at the nozzle's rating, 2 µm more for a rolled pierce, 6 µm more for a
 * straight one, which is about 200 starts of 20 s to 1.0 mm; 0.5 µm a second of pilot arc.
 */
export interface Use {
	starts: number;
	arcMin: number;
	/** Arc minutes, each times the load on the nozzle. */
	loadMin: number;
	/** Pilot arc that cuts nothing, s. */
	pilotS: number;
	piercesRolled: number;
	piercesStraight: number;
}

export const RATES_UM = { start: 3, arcMinute: 6, rolled: 2, straight: 6, pilotS: 0.5 } as const;
/** What each kind of use takes, µm for one. */
export type Rates = Record<keyof typeof RATES_UM, number>;
export const NO_USE: Use = {
	starts: 0,
	arcMin: 0,
	loadMin: 0,
	pilotS: 0,
	piercesRolled: 0,
	piercesStraight: 0
};

/** Growth a minute against the amps on the nozzle: (I/I_nozzle)^1.5 [own]. Turning down lengthens life. */
export const LOAD_POWER = 1.5;
export function nozzleLoad(outputA: number, nozzleA: number): number {
	return (outputA / nozzleA) ** LOAD_POWER;
}

/** Of the time over mesh the pilot arc burns in the gaps for this share [own]. */
export const MESH_PILOT_SHARE = 0.5;

/** Air whose dew point lies above the shop wears faster, up to this much [own]; so does mist. */
const WET_MOST = 1.5;
const WET_OVER_K = 10;
export function airWearFactor(water: { dewC: number; mistGH: number }, shopC: number): number {
	const over = Math.min(1, Math.max(0, (water.dewC - shopC) / WET_OVER_K + 0.5));
	return 1 + (WET_MOST - 1) * (water.mistGH > 0 ? Math.max(over, 0.5) : over);
}

/** Growth by kind of use, µm. */
export function growthByKindUm(use: Use, rates: Rates = RATES_UM): Rates {
	return {
		start: rates.start * use.starts,
		arcMinute: rates.arcMinute * use.loadMin,
		rolled: rates.rolled * use.piercesRolled,
		straight: rates.straight * use.piercesStraight,
		pilotS: rates.pilotS * use.pilotS
	};
}
/** Growth, by the starting rates unless others are known, µm. */
export function growthUm(use: Use, rates: Rates = RATES_UM): number {
	const by = growthByKindUm(use, rates);
	return by.start + by.arcMinute + by.pilotS + by.rolled + by.straight;
}

/** All kinds of growth alike so much faster, as in wet air. */
export function scaledRates(rates: Rates, times: number): Rates {
	return {
		start: rates.start * times,
		arcMinute: rates.arcMinute * times,
		rolled: rates.rolled * times,
		straight: rates.straight * times,
		pilotS: rates.pilotS * times
	};
}

export function addUse(x: Use, y: Use): Use {
	return {
		starts: x.starts + y.starts,
		arcMin: x.arcMin + y.arcMin,
		loadMin: x.loadMin + y.loadMin,
		pilotS: x.pilotS + y.pilotS,
		piercesRolled: x.piercesRolled + y.piercesRolled,
		piercesStraight: x.piercesStraight + y.piercesStraight
	};
}
