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

/** Growth by the starting rates, µm. */
export function growthUm(use: Use): number {
	return (
		RATES_UM.start * use.starts +
		RATES_UM.arcMinute * use.loadMin +
		RATES_UM.pilotS * use.pilotS +
		RATES_UM.rolled * use.piercesRolled +
		RATES_UM.straight * use.piercesStraight
	);
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

/** The starting rates weigh as much as this much measured growth, µm [own]. */
export const PRIOR_UM = 300;
/** Relative spread of the starting rates, one standard deviation [own]. */
export const PRIOR_SPREAD = 0.35;
/**
 * How much faster this shop wears electrodes than the starting rates say: measured over expected
 * growth, drawn towards 1 by the prior. Spread shrinks with the growth that was measured.
 */
export function wearFactor(
	measuredUm: number,
	expectedUm: number
): { factor: number; spread: number } {
	return {
		factor: (PRIOR_UM + measuredUm) / (PRIOR_UM + expectedUm),
		spread: PRIOR_SPREAD * Math.sqrt(PRIOR_UM / (PRIOR_UM + expectedUm))
	};
}
