import { CORE_UNIT, MM_PER_IN, type Quantity } from './units';

/** What a person reads and types. "gauge" is imperial with sheet gauges where they fit. */
export type UnitSystem = 'metric' | 'imperial' | 'gauge';
export const UNIT_SYSTEMS: readonly UnitSystem[] = ['metric', 'imperial', 'gauge'];

const IMPERIAL_UNIT: Partial<Record<Quantity, string>> = {
	thickness: 'in',
	length: 'in',
	small: 'in',
	run: 'ft',
	altitude: 'ft',
	area: 'in2',
	speed: 'in/min',
	pressure: 'psi',
	flow: 'cfm',
	volume: 'gal',
	temperature: 'f',
	heat: 'kj/in',
	removal: 'lb/h',
	mass: 'oz',
	perLength: '/ft',
	perMass: '/lb'
};

const METRIC_KEY: Partial<Record<Quantity, string>> = {
	temperature: 'c',
	angle: 'deg',
	resistance: 'ohm',
	area: 'mm2',
	microns: 'um'
};

/** Key into ACCEPTED of the unit that a bare number has; '' for plain numbers. */
export function defaultUnit(quantity: Quantity, units: UnitSystem): string {
	const imperial = units === 'metric' ? undefined : IMPERIAL_UNIT[quantity];
	return imperial ?? METRIC_KEY[quantity] ?? CORE_UNIT[quantity].toLowerCase();
}

/** Units whose symbol is more than their key with its capitals and raised figures. */
const SYMBOL: Record<string, string> = {
	c: '°C',
	f: '°F',
	deg: '°',
	cfm: 'CFM',
	ohm: 'Ω',
	mohm: 'mΩ',
	um: 'µm',
	kpa: 'kPa',
	mpa: 'MPa',
	'/m': 'a metre',
	'/ft': 'a foot',
	'/kg': 'a kilogram',
	'/lb': 'a pound'
};

/** How a unit key is written on the screen: keys are typed, so they are in small letters and have no "²". */
export function unitLabel(key: string): string {
	return (
		SYMBOL[key] ??
		key
			.replace('2', '²')
			.replace('3', '³')
			.replace('kj', 'kJ')
			.replace(
				/^([mk]?)(va|[avwk])$/,
				(_, prefix: string, unit: string) => prefix + unit.toUpperCase()
			)
	);
}

/** Step of a thickness control, mm: half a millimetre, or a 32nd of an inch. */
export function thicknessStepMm(units: UnitSystem): number {
	return units === 'metric' ? 0.5 : MM_PER_IN / 32;
}
