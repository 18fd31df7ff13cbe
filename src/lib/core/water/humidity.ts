/**
 * Water vapour. Magnus over water with the coefficients of Sonntag 1990 (WMO): e in hPa, t in °C,
 * −45 to 60 °C within 0.35 % of the other usual formulas. No enhancement factor.
 */
const A = 17.62;
const B_C = 243.12;
const E0_HPA = 6.112;
/** Molar mass of water over that of dry air. */
export const WATER_OVER_AIR = 0.62198;
const R_VAPOUR = 461.5;
const KELVIN = 273.15;
export const SEA_LEVEL_HPA = 1013.25;

/** Pressure of saturated vapour, hPa. */
export function saturationHPa(tempC: number): number {
	return E0_HPA * Math.exp((A * tempC) / (B_C + tempC));
}

/** Temperature at which vapour of this pressure begins to fall out, °C. */
export function dewPointC(vapourHPa: number): number {
	const x = Math.log(vapourHPa / E0_HPA);
	return (B_C * x) / (A - x);
}

/** g of water in a m³ of air at this vapour pressure. */
export function absoluteHumidityGM3(vapourHPa: number, tempC: number): number {
	return (1000 * 100 * vapourHPa) / (R_VAPOUR * (tempC + KELVIN));
}

/** kg of water on a kg of dry air. */
export function mixingRatio(vapourHPa: number, pressureHPa: number): number {
	return (WATER_OVER_AIR * vapourHPa) / (pressureHPa - vapourHPa);
}

/** Vapour pressure of a mixing ratio at a pressure, hPa. */
export function vapourHPaOf(ratio: number, pressureHPa: number): number {
	return (ratio * pressureHPa) / (WATER_OVER_AIR + ratio);
}

export const absoluteHPa = (gaugeBar: number, ambientHPa = SEA_LEVEL_HPA): number =>
	1000 * gaugeBar + ambientHPa;
