/**
 * Pressure of the standard atmosphere over sea level pressure, geopotential metres:
 * (1 − 0.0065·H/288.15)^5.25588, ISO 2533. A piston compressor keeps its intake volume, so its free
 * air falls by the same share at one shop temperature.
 */
export function altitudeFactor(altitudeM: number): number {
	return (1 - (0.0065 * altitudeM) / 288.15) ** 5.25588;
}
