import { gaugeFromThicknessIn, type GaugeTable } from './gauge';
import { defaultUnit, unitLabel, type UnitSystem } from './systems';
import { ACCEPTED, MM_PER_IN, type Quantity } from './units';

export interface Shown {
	/** The number as written: "22", "1/4", "3:58". */
	text: string;
	/** The unit, or '' when it is part of the text. */
	unit: string;
}

export interface FormatContext {
	quantity: Quantity;
	units: UnitSystem;
	gauge?: GaugeTable;
	/** As it was entered, three digits and more: for tables of values, not for what a hand sets. */
	asEntered?: boolean;
	/** A length is a side, or a place that is marked out: never in metres or feet, however long. */
	side?: boolean;
}

/** Money, and thousandths of what is less than a tenth of it. */
const cents = (v: number) => (v < 0.1 ? 3 : 2);

/** Decimals for a value in the displayed unit, by unit key: what a hand can set or a gauge can show. */
const DECIMALS: Record<string, (value: number) => number> = {
	m: () => 1,
	ft: () => 1,
	'mm/s': (v) => (v < 10 ? 1 : 0),
	a: (v) => (v < 100 ? 1 : 0),
	v: () => 1,
	bar: (v) => (v < 10 ? 2 : 1),
	cfm: () => 1,
	gal: () => 1,
	ohm: () => 3,
	'kj/m': (v) => (v < 10 ? 1 : 0),
	'kj/in': (v) => (v < 10 ? 2 : 1),
	'kg/h': () => 2,
	'lb/h': () => 2,
	mm2: () => 1,
	in2: () => 3,
	um: () => 1,
	'g/h': (v) => (v < 10 ? 1 : 0),
	h: (v) => (v < 10 ? 1 : 0),
	k: () => 1,
	oz: () => 1,
	min: () => 1,
	'/m': cents,
	'/ft': cents,
	'/kg': cents,
	'/lb': cents
};

/** Without zeros at the end: a shop says 5.5 bar, not 5.50. */
function trimmed(text: string): string {
	return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

/** Fixed decimals without a negative zero. */
function fixed(value: number, decimals: number): string {
	// 6.35 is 6.3499… in binary; a person rounds it up.
	const text = (value + Math.sign(value) * 1e-9).toFixed(decimals);
	return /^-0(\.0*)?$/.test(text) ? text.slice(1) : text;
}

const FINEST_FRACTION = 64;

/** "1/4" or "1 1/4" when that is what the inches are to the digits shown, else undefined. */
function fractionOfInch(inches: number, decimals: number): string | undefined {
	const sixtyFourths = Math.round(inches * FINEST_FRACTION);
	if (
		sixtyFourths <= 0 ||
		fixed(sixtyFourths / FINEST_FRACTION, decimals) !== fixed(inches, decimals)
	) {
		return undefined;
	}
	let numerator = sixtyFourths % FINEST_FRACTION;
	let denominator = FINEST_FRACTION;
	const whole = (sixtyFourths - numerator) / FINEST_FRACTION;
	if (numerator === 0) return String(whole);
	while (numerator % 2 === 0) {
		numerator /= 2;
		denominator /= 2;
	}
	return `${whole ? `${whole} ` : ''}${numerator}/${denominator}`;
}

function showThickness(thicknessMm: number, { units, gauge }: FormatContext): Shown {
	if (units === 'metric') {
		return { text: trimmed(fixed(thicknessMm, thicknessMm < 3 ? 2 : 1)), unit: 'mm' };
	}
	// Gauge and fraction are decided on the digits shown, so that reading it back changes nothing.
	const decimals = thicknessMm < 0.1 * MM_PER_IN ? 4 : 3;
	const inches = Number(fixed(thicknessMm / MM_PER_IN, decimals));
	if (inches === 0) return { text: '0', unit: 'in' };
	if (units === 'gauge' && gauge) {
		const number = gaugeFromThicknessIn(inches, gauge);
		if (number !== undefined) return { text: String(number), unit: 'ga' };
	}
	return { text: fractionOfInch(inches, decimals) ?? fixed(inches, decimals), unit: 'in' };
}

/** The nearest division of a rule, in. */
const divided = (inches: number, perInch: number): number => Math.round(inches * perInch) / perInch;
/** As it is read off it: "11 13/16". */
const onRule = (inches: number, perInch: number): string =>
	fractionOfInch(divided(inches, perInch), 6) ?? '0';

/** From here on an imperial rule is read, in; below it a calliper is. */
const RULE_FROM_IN = 0.25;

/** A small size: hundredths below a centimetre, tenths above, which is what a rule can do; or 64ths. */
function showSmall(mm: number, { units, asEntered }: FormatContext): Shown {
	const inches = mm / MM_PER_IN;
	if (units !== 'metric' && Number(fixed(inches, 3)) >= RULE_FROM_IN && !asEntered) {
		return { text: onRule(inches, FINEST_FRACTION), unit: 'in' };
	}
	if (units !== 'metric') return { text: trimmed(fixed(inches, 3)), unit: 'in' };
	return { text: trimmed(fixed(mm, Math.abs(mm) < 10 ? 2 : 1)), unit: 'mm' };
}

const LONG_LINE_MM = 2000;

/** Divisions of an inch that are read: a tape has 16ths, below an inch 32nds are read. */
const divisions = (inches: number): number => (inches < 1 ? 32 : 16);

/**
 * A line to cut: millimetres or inches, and metres or feet when it is long. Which of them is decided on
 * what would be shown, so that reading it back changes nothing.
 */
function showLength(mm: number, { units, asEntered, side }: FormatContext): Shown {
	if (units === 'metric') {
		if (side || Number(fixed(mm, 1)) < LONG_LINE_MM)
			return { text: trimmed(fixed(mm, 1)), unit: 'mm' };
		return { text: trimmed(fixed(mm / 1000, 2)), unit: 'm' };
	}
	const inches = mm / MM_PER_IN;
	const decimals = inches < 10 ? 2 : 1;
	const byTape = !asEntered && Number(fixed(inches, decimals)) >= RULE_FROM_IN;
	const shownIn = byTape ? divided(inches, divisions(inches)) : Number(fixed(inches, decimals));
	if (!side && shownIn * MM_PER_IN >= LONG_LINE_MM) {
		return { text: trimmed(fixed(inches / 12, 1)), unit: 'ft' };
	}
	if (!byTape) return { text: trimmed(fixed(inches, decimals)), unit: 'in' };
	return { text: onRule(inches, divisions(inches)), unit: 'in' };
}

/** Minutes and seconds from a minute on: "6:58", "1:02:05". */
function showTime(seconds: number): Shown {
	if (seconds < 59.95) return { text: trimmed(fixed(seconds, 1)), unit: 's' };
	const total = Math.round(seconds);
	const two = (n: number) => String(n).padStart(2, '0');
	const h = Math.floor(total / 3600);
	const m = Math.floor((total % 3600) / 60);
	const clock = two(total % 60);
	return h
		? { text: `${h}:${two(m)}:${clock}`, unit: 'h' }
		: { text: `${m}:${clock}`, unit: 'min' };
}

/**
 * Writes a value of the core's unit the way a person in the shop says it.
 * The same code runs on the server and in the browser, so the two agree to the digit.
 */
export function showQuantity(value: number, context: FormatContext): Shown {
	const { quantity, units } = context;
	if (!Number.isFinite(value)) return { text: '–', unit: '' };
	if (quantity === 'thickness') return showThickness(value, context);
	if (quantity === 'time') return showTime(value);
	// A spot of a second is no "0 min".
	if (quantity === 'minutes' && value > 0 && value < 0.95) return showTime(value * 60);
	if (quantity === 'small') return showSmall(value, context);
	if (quantity === 'length') return showLength(value, context);
	if (quantity === 'share') return { text: fixed(value * 100, 0), unit: '%' };
	if (quantity === 'count' || quantity === 'shade') return { text: fixed(value, 0), unit: '' };
	if (quantity === 'factor' || quantity === 'wire') {
		return { text: trimmed(fixed(value, 2)), unit: '' };
	}
	const key = defaultUnit(quantity, units);
	const conversion = ACCEPTED[quantity][key] ?? { factor: 1 };
	const shown = (value - (conversion.offset ?? 0)) / conversion.factor;
	const size = Math.abs(shown);
	const byHand = DECIMALS[key]?.(size) ?? 0;
	const text = fixed(shown, context.asEntered ? Math.max(byHand, size < 10 ? 2 : 1) : byHand);
	// A price is written with both its zeros.
	const price = quantity === 'perLength' || quantity === 'perMass';
	return { text: price ? text : trimmed(text), unit: unitLabel(key) };
}

/** Number and unit in one string: "22 mm/s", "45°". */
export function say(value: number, context: FormatContext): string {
	const { text, unit } = showQuantity(value, context);
	if (unit === '') return text;
	return unit === '°' ? `${text}°` : `${text} ${unit}`;
}

/** Free air that was used: litres, or cubic feet as a compressor’s plate counts it; gallons are a tank’s. */
export function sayFreeAir(litres: number | null, units: UnitSystem): string {
	if (litres === null) return '–';
	if (units === 'metric') return `${fixed(litres, 0)} l`;
	const cubicFeet = litres / ACCEPTED.volume.ft3!.factor;
	return `${fixed(cubicFeet, cubicFeet < 10 ? 1 : 0)} ft³`;
}
