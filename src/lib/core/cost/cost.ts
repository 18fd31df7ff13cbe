/** What a cut costs: the worker, the parts, the power of the cutter and the air. */

/**
 * Power that a small piston compressor takes for each litre a minute of free air that it delivers, kW
 * [rule of thumb: 7 to 13 kW for a cubic metre a minute, from memory].
 */
export const COMPRESSOR_KW_PER_LPM = 0.01;

export interface CostOfCut {
	labour: number;
	parts: number;
	power: number;
	air: number;
	/** Of the cutter and the compressor. */
	kwh: number;
}

export interface CostInputs {
	arcS: number;
	/** Setting down, marking, clamping: each cut takes it besides its arc. */
	handlingS: number;
	/** Money an hour, and for a kilowatt-hour. */
	ratePerH: number;
	pricePerKwh: number;
	/** Electrode and nozzle as a pair, and the share of them that such a cut takes. */
	pairPrice: number;
	pairShare: number;
	/** Active power that the cutter takes from the wire under arc. */
	inputW: number;
	airL: number;
	/** Power of the compressor for each litre a minute; 0: bottles or built in. */
	kwPerLpm: number;
	/** Money for a litre of free air from bottles; 0: a compressor makes it. */
	pricePerAirL: number;
}

/** Money of one cut. */
export function costOfCut(c: CostInputs): CostOfCut {
	const cutterKwh = (c.inputW * c.arcS) / 3.6e6;
	const airKwh = (c.airL * c.kwPerLpm) / 60;
	return {
		labour: ((c.arcS + c.handlingS) / 3600) * c.ratePerH,
		parts: c.pairPrice * c.pairShare,
		power: cutterKwh * c.pricePerKwh,
		air: airKwh * c.pricePerKwh + c.airL * c.pricePerAirL,
		kwh: cutterKwh + airKwh
	};
}
export const totalOf = (cost: CostOfCut): number =>
	cost.labour + cost.parts + cost.power + cost.air;
