import { DomainError } from './errors';
import { GAUGE_RANGE, thicknessInFromGauge, type GaugeTable } from './gauge';
import { ACCEPTED, MM_PER_IN, type Quantity } from './units';
import { defaultUnit, unitLabel, type UnitSystem } from './systems';

export interface ParseContext {
	quantity: Quantity;
	/** Decides the unit of a bare number. */
	units: UnitSystem;
	/** Table for "16 ga"; without it gauges are refused. */
	gauge?: GaugeTable;
	/** Field path and words for the refusal. */
	field?: string;
	label?: string;
}

const SPELLINGS: [RegExp, string][] = [
	[/[″”“]|''/g, '"'],
	[/[′’]/g, "'"],
	[/²/g, '2'],
	[/³/g, '3'],
	[/µ|μ/g, 'u'],
	[/º/g, '°'],
	// Both ohm signs, as they look in lower case.
	[/ω/g, 'ohm'],
	[/[–−]/g, '-'],
	[/⁄/g, '/'],
	[/½/g, ' 1/2'],
	[/¼/g, ' 1/4'],
	[/¾/g, ' 3/4'],
	[/⅛/g, ' 1/8'],
	[/⅜/g, ' 3/8'],
	[/⅝/g, ' 5/8'],
	[/⅞/g, ' 7/8']
];

/** Other spellings of the units in ACCEPTED. */
const UNIT_ALIASES: Record<string, string> = {
	inch: 'in',
	inches: 'in',
	feet: 'ft',
	foot: 'ft',
	metre: 'm',
	metres: 'm',
	meter: 'm',
	meters: 'm',
	millimetre: 'mm',
	millimetres: 'mm',
	millimeters: 'mm',
	amp: 'a',
	amps: 'a',
	ampere: 'a',
	amperes: 'a',
	volt: 'v',
	volts: 'v',
	ohms: 'ohm',
	sec: 's',
	secs: 's',
	second: 's',
	seconds: 's',
	minute: 'min',
	minutes: 'min',
	mins: 'min',
	hour: 'h',
	hours: 'h',
	bars: 'bar',
	barg: 'bar',
	'bar(g)': 'bar',
	psig: 'psi',
	litre: 'l',
	litres: 'l',
	liter: 'l',
	liters: 'l',
	gallon: 'gal',
	gallons: 'gal',
	'cu ft/min': 'cfm',
	'ft3/min': 'cfm',
	'°': 'deg',
	degree: 'deg',
	degrees: 'deg',
	'°c': 'c',
	'°f': 'f',
	percent: '%',
	kilogram: 'kg',
	pound: 'lb'
};

const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`;
const QUANTITY_PATTERN = new RegExp(
	String.raw`^(-)?(?:(\d+)[ -]+(\d+)/(\d+)|(\d+)/(\d+)|(${NUMBER}))\s*(.*)$`
);
const GAUGE_PATTERN = /^(?:#\s*)?(\d+)\s*(?:ga|gauge|g|swg)\.?$|^#\s*(\d+)$/;

function decimal(text: string): number {
	return Number(text.replace(',', '.'));
}

/**
 * Reads what a person types for a quantity and gives it in the core's unit.
 *
 * Takes decimals with point or comma, fractions (`1/4`, `1 1/4"`), gauges (`16 ga`, by the
 * metal's own table) and every unit listed in {@link ACCEPTED}. A bare fraction is inches for a
 * thickness or a small size: nobody measures plate in quarters of a millimetre (common practice).
 *
 * @throws DomainError when it is not a number, the unit does not fit, or the gauge is not tabled.
 */
export function parseQuantity(input: string, context: ParseContext): number {
	const refuse = (code: 'not-a-quantity' | 'wrong-unit', allowed: string): DomainError =>
		new DomainError({
			code,
			field: context.field ?? context.quantity,
			quantity: context.label ?? context.quantity,
			allowed,
			received: input.trim() === '' ? 'nothing' : `"${input.trim().slice(0, 40)}"`
		});

	let text = input.toLowerCase();
	for (const [pattern, replacement] of SPELLINGS) text = text.replace(pattern, replacement);
	text = text.trim().replace(/\s+/g, ' ');

	if (context.gauge) {
		const gauge = GAUGE_PATTERN.exec(text);
		if (gauge) return thicknessMmFromGauge(Number(gauge[1] ?? gauge[2]), context.gauge, refuse);
	}

	const match = QUANTITY_PATTERN.exec(text);
	if (!match) throw refuse('not-a-quantity', exampleOf(context));
	const [, minus, whole, num, den, num2, den2, plain, rest = ''] = match;
	const isFraction = plain === undefined;
	const magnitude = isFraction
		? Number(whole ?? 0) + Number(num ?? num2) / Number(den ?? den2)
		: decimal(plain);
	if (!Number.isFinite(magnitude)) throw refuse('not-a-quantity', exampleOf(context));

	const table = ACCEPTED[context.quantity];
	const unit = rest === '' ? bareUnit(context, isFraction) : unitKey(rest);
	if (unit === '') return minus ? -magnitude : magnitude;
	const conversion = Object.hasOwn(table, unit) ? table[unit] : undefined;
	if (!conversion) {
		const units = Object.keys(table)
			.filter((u) => u !== '"' && u !== "'")
			.map(unitLabel);
		const price = Object.hasOwn(table, '/m') || Object.hasOwn(table, '/kg');
		throw refuse(
			'wrong-unit',
			price
				? `a number, ${units.join(' or ')},`
				: units.length
					? `a value in ${units.join(', ')}`
					: 'a plain number'
		);
	}
	return (minus ? -1 : 1) * magnitude * conversion.factor + (conversion.offset ?? 0);
}

/** Key into ACCEPTED of a unit as it is typed; "a kilogram", "per kg" and "/kg" are one. */
function unitKey(typed: string): string {
	const each = /^(?:a |per |\/)/.exec(typed)?.[0] ?? '';
	const name = typed.slice(each.length);
	return (each && '/') + (UNIT_ALIASES[name] ?? name);
}

function bareUnit(context: ParseContext, isFraction: boolean): string {
	const lengthLike = context.quantity === 'thickness' || context.quantity === 'small';
	return isFraction && lengthLike ? 'in' : defaultUnit(context.quantity, context.units);
}

function exampleOf(context: ParseContext): string {
	if (context.quantity === 'thickness') return 'a thickness such as 6 mm, 1/4" or 16 ga';
	const unit = unitLabel(defaultUnit(context.quantity, context.units));
	return `a number${unit ? ` such as 12 ${unit}` : ''}`;
}

function thicknessMmFromGauge(
	gauge: number,
	table: GaugeTable,
	refuse: (code: 'not-a-quantity', allowed: string) => DomainError
): number {
	const thicknessIn = thicknessInFromGauge(gauge, table);
	if (thicknessIn === undefined) {
		throw refuse('not-a-quantity', `gauge ${GAUGE_RANGE.min} to ${GAUGE_RANGE.max} (${table})`);
	}
	return thicknessIn * MM_PER_IN;
}
