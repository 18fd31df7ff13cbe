/**
 * Electrode pit growth = a·starts + b·arc minutes + c·pierces [own starting rates]:
 * 3 µm a start, 6 µm an arc minute, 2 µm more for a rolled pierce, 6 µm more for a straight one,
 * which is about 200 starts of 20 s to 1.0 mm.
 */
export interface Use {
	starts: number;
	arcMin: number;
	piercesRolled: number;
	piercesStraight: number;
}

export const RATES_UM = { start: 3, arcMinute: 6, rolled: 2, straight: 6 } as const;
export const NO_USE: Use = { starts: 0, arcMin: 0, piercesRolled: 0, piercesStraight: 0 };

/** Growth by the starting rates, µm. */
export function growthUm(use: Use): number {
	return (
		RATES_UM.start * use.starts +
		RATES_UM.arcMinute * use.arcMin +
		RATES_UM.rolled * use.piercesRolled +
		RATES_UM.straight * use.piercesStraight
	);
}

export function addUse(x: Use, y: Use): Use {
	return {
		starts: x.starts + y.starts,
		arcMin: x.arcMin + y.arcMin,
		piercesRolled: x.piercesRolled + y.piercesRolled,
		piercesStraight: x.piercesStraight + y.piercesStraight
	};
}

/** The starting rates weigh as much as this much measured growth, µm [own]. */
export const PRIOR_UM = 300;
/** Relative spread of the starting rates, one standard deviation [own]. */
export const PRIOR_SPREAD = 0.35;
/** Eight times in ten lie within this many standard deviations. */
export const BAND_SIGMA = 1.2816;

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
