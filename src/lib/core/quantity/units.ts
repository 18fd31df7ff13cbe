/**
 * Units people write, and the core's own unit of each quantity.
 *
 * Factors are derived from exact definitions: 1 in = 25.4 mm, 1 lb = 0.45359237 kg,
 * g = 9.80665 m/s² (NIST SP 811, 2008, appendix B.8). A value in the core's unit is
 * `value × factor + offset`.
 */
export const MM_PER_IN = 25.4;
export const M_PER_FT = 0.3048;
const L_PER_FT3 = (M_PER_FT * 10) ** 3;
export const KG_PER_LB = 0.45359237;
/** Avoirdupois ounce. */
const G_PER_OZ = (KG_PER_LB * 1000) / 16;
const PA_PER_PSI = (KG_PER_LB * 9.80665) / 0.0254 ** 2;
export const BAR_PER_PSI = PA_PER_PSI / 1e5;
/** US liquid gallon, 231 in³ exactly. */
const L_PER_US_GAL = 231 * 0.254 ** 3;

/** What a number is. The core's own unit stands in {@link CORE_UNIT}. */
export type Quantity =
	| 'thickness'
	| 'length'
	| 'small'
	| 'run'
	| 'area'
	| 'speed'
	| 'current'
	| 'voltage'
	| 'resistance'
	| 'apparentPower'
	| 'power'
	| 'pressure'
	| 'flow'
	| 'volume'
	| 'time'
	| 'minutes'
	| 'temperature'
	| 'angle'
	| 'heat'
	| 'share'
	| 'count'
	| 'altitude'
	| 'wire'
	| 'removal'
	| 'shade'
	| 'microns'
	| 'waterRate'
	| 'mass'
	| 'hours'
	| 'kelvin'
	| 'perLength'
	| 'perMass'
	| 'factor';

/** The unit that the core computes in. */
export const CORE_UNIT: Record<Quantity, string> = {
	thickness: 'mm',
	length: 'mm',
	small: 'mm',
	run: 'm',
	area: 'mm²',
	speed: 'mm/s',
	current: 'A',
	voltage: 'V',
	resistance: 'Ω',
	apparentPower: 'VA',
	power: 'W',
	pressure: 'bar',
	flow: 'l/min',
	volume: 'l',
	time: 's',
	minutes: 'min',
	temperature: '°C',
	angle: '°',
	heat: 'kJ/m',
	share: '%',
	count: '',
	altitude: 'm',
	wire: '',
	removal: 'kg/h',
	shade: '',
	microns: 'µm',
	waterRate: 'g/h',
	mass: 'g',
	hours: 'h',
	kelvin: 'K',
	perLength: '/m',
	perMass: '/kg',
	factor: ''
};

export interface UnitFactor {
	factor: number;
	offset?: number;
}

const LENGTH_MM: Record<string, UnitFactor> = {
	mm: { factor: 1 },
	cm: { factor: 10 },
	m: { factor: 1000 },
	in: { factor: MM_PER_IN },
	'"': { factor: MM_PER_IN },
	ft: { factor: M_PER_FT * 1000 },
	"'": { factor: M_PER_FT * 1000 },
	thou: { factor: MM_PER_IN / 1000 },
	mil: { factor: MM_PER_IN / 1000 },
	um: { factor: 0.001 }
};

function scaled(table: Record<string, UnitFactor>, by: number): Record<string, UnitFactor> {
	return Object.fromEntries(
		Object.entries(table).map(([unit, { factor }]) => [unit, { factor: factor * by }])
	);
}

const AMP: Record<string, UnitFactor> = { a: { factor: 1 }, ma: { factor: 0.001 } };
const TIME_S: Record<string, UnitFactor> = {
	s: { factor: 1 },
	sec: { factor: 1 },
	min: { factor: 60 },
	h: { factor: 3600 }
};
const NONE: Record<string, UnitFactor> = {};

/** Units accepted for each quantity, by their normalised spelling (see `parse`). */
export const ACCEPTED: Record<Quantity, Record<string, UnitFactor>> = {
	thickness: LENGTH_MM,
	length: LENGTH_MM,
	small: LENGTH_MM,
	run: scaled(LENGTH_MM, 0.001),
	altitude: scaled(LENGTH_MM, 0.001),
	area: { mm2: { factor: 1 }, in2: { factor: MM_PER_IN ** 2 } },
	speed: {
		'mm/s': { factor: 1 },
		'mm/min': { factor: 1 / 60 },
		'm/min': { factor: 1000 / 60 },
		'cm/min': { factor: 10 / 60 },
		'in/min': { factor: MM_PER_IN / 60 },
		ipm: { factor: MM_PER_IN / 60 },
		'in/s': { factor: MM_PER_IN }
	},
	current: AMP,
	voltage: { v: { factor: 1 }, mv: { factor: 0.001 }, kv: { factor: 1000 } },
	resistance: { ohm: { factor: 1 }, mohm: { factor: 0.001 } },
	apparentPower: { va: { factor: 1 }, kva: { factor: 1000 } },
	power: { w: { factor: 1 }, kw: { factor: 1000 }, hp: { factor: 745.699872 } },
	pressure: {
		bar: { factor: 1 },
		psi: { factor: BAR_PER_PSI },
		kpa: { factor: 0.01 },
		mpa: { factor: 10 }
	},
	flow: {
		'l/min': { factor: 1 },
		lpm: { factor: 1 },
		'l/s': { factor: 60 },
		'm3/h': { factor: 1000 / 60 },
		'm3/min': { factor: 1000 },
		cfm: { factor: L_PER_FT3 },
		scfm: { factor: L_PER_FT3 },
		cfh: { factor: L_PER_FT3 / 60 }
	},
	volume: {
		l: { factor: 1 },
		gal: { factor: L_PER_US_GAL },
		m3: { factor: 1000 },
		ft3: { factor: L_PER_FT3 }
	},
	time: TIME_S,
	minutes: scaled(TIME_S, 1 / 60),
	temperature: { c: { factor: 1 }, f: { factor: 5 / 9, offset: -160 / 9 } },
	angle: { deg: { factor: 1 } },
	heat: {
		'kj/m': { factor: 1 },
		'kj/mm': { factor: 1000 },
		'kj/in': { factor: 1000 / MM_PER_IN }
	},
	share: { '%': { factor: 0.01 } },
	count: NONE,
	wire: NONE,
	removal: { 'kg/h': { factor: 1 }, 'lb/h': { factor: KG_PER_LB } },
	shade: NONE,
	microns: scaled(LENGTH_MM, 1000),
	waterRate: { 'g/h': { factor: 1 } },
	mass: {
		g: { factor: 1 },
		kg: { factor: 1000 },
		oz: { factor: G_PER_OZ },
		lb: { factor: 16 * G_PER_OZ }
	},
	hours: scaled(TIME_S, 1 / 3600),
	kelvin: { k: { factor: 1 } },
	// Money, or what else a cut takes, for each metre or kilogram.
	perLength: { '/m': { factor: 1 }, '/ft': { factor: 1 / M_PER_FT } },
	perMass: { '/kg': { factor: 1 }, '/lb': { factor: 1 / KG_PER_LB } },
	factor: NONE
};
/** Free air: 20 °C and 1.01325 bar, everywhere in the core. */
export const FREE_AIR_BAR = 1.01325;
