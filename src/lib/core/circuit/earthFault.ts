/**
 * Devices that trip on current gone astray, not on too much of it. Filters and the high-frequency or
 * pilot start of a cutter leak some milliamps, which is why such a device may trip first.
 */
export const EARTH_FAULT_DEVICES = ['none', '5 mA', '30 mA', '100 mA', '300 mA'] as const;
export type EarthFaultDevice = (typeof EARTH_FAULT_DEVICES)[number];

/** It trips somewhere between these, mA (UL 943 class A 4 to 6 mA; IEC 61008-1 half to once of its rating; from memory). */
export function tripBandMa(device: EarthFaultDevice): readonly [number, number] | undefined {
	if (device === 'none') return undefined;
	const rated = Number.parseFloat(device);
	return rated < 10 ? [4, 6] : [rated / 2, rated];
}
