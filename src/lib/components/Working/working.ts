import {
	showQuantity,
	type ExplainedInput,
	type Explanation,
	type GaugeTable,
	type UnitSystem
} from '$lib/core';

interface Plain {
	units: UnitSystem;
	gauge?: GaugeTable;
}

const SYMBOLS: Record<string, string> = {
	tau: 'τ',
	theta_0: 'θ₀',
	eta: 'η',
	rho: 'ρ',
	pi: 'π',
	dT: 'ΔT',
	dp: 'Δp'
};
const SUBSCRIPT: Record<string, string> = { '0': '₀', '1': '₁', '2': '₂' };

function symbol(name: string): string {
	if (SYMBOLS[name]) return SYMBOLS[name];
	const [head, tail] = name.split('_') as [string, string | undefined];
	if (tail === undefined) return name;
	const shown = head === 'dp' ? 'Δp' : head;
	return SUBSCRIPT[tail] ? shown + SUBSCRIPT[tail] : `${shown}_${tail}`;
}

/** Formula text as a person writes it: real signs, Greek letters, no stars. */
export function pretty(formula: string): string {
	return formula
		.replace(/[A-Za-z][A-Za-z_0-9]*/g, symbol)
		.replace(/\*/g, '·')
		.replace(/<=/g, '≤')
		.replace(/>=/g, '≥')
		.replace(/sqrt/g, '√')
		.replace(/ - /g, ' − ');
}

/** A bare number of at most five digits for the filled-in formula. */
function digits(value: number): string {
	return Number.isFinite(value) ? String(Number(value.toPrecision(4))) : '–';
}

/** An input with its unit; plain factors as plain numbers. */
export function inputText(input: ExplainedInput, plain: Plain): string {
	if (input.quantity === 'factor') return digits(input.value);
	const shown = showQuantity(input.value, { quantity: input.quantity, ...plain });
	return [shown.text, shown.unit].filter(Boolean).join(' ');
}

/** The formula with its numbers in the core's units, as they go in. */
export function filledIn(working: Explanation): string {
	const values = new Map(working.inputs.map((input) => [input.symbol, digits(input.value)]));
	const text = working.formula.replace(
		/[A-Za-z][A-Za-z_0-9]*/g,
		(name) => values.get(name) ?? name
	);
	return pretty(text);
}
