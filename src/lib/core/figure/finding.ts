import type { FormatContext } from '../quantity/format';
import { say } from '../quantity/format';
import type { Quantity } from '../quantity/units';
import type { Finding, Station } from './types';

/** A quantity inside a text, said by each device in its own units; or plain words. */
export type Said = string | { value: number; quantity: Quantity };

/** A text that names its values in braces: "Turn down to {amps}". */
export interface Told {
	text: string;
	values?: Record<string, Said>;
}

export const said = (value: number, quantity: Quantity): Said => ({ value, quantity });
export const amps = (value: number): Said => said(Math.round(value), 'current');
export const volts = (value: number): Said => said(Math.round(value), 'voltage');

/** Template tag: keeps the quantities of a sentence apart from its words. */
export function told(words: TemplateStringsArray, ...parts: (Said | number)[]): Told {
	const values: Record<string, Said> = {};
	let text = words[0]!;
	parts.forEach((part, i) => {
		if (typeof part === 'object') {
			values[i] = part;
			text += `{${i}}`;
		} else text += String(part);
		text += words[i + 1]!;
	});
	return Object.keys(values).length ? { text, values } : { text };
}

/** The text with its values said in these units. A value that it names and that is not there is left out. */
export function filled(
	{ text, values = {} }: Told,
	context: Pick<FormatContext, 'units' | 'gauge'>
): string {
	return text.replace(/\{(\w+)\}/g, (_, name: string) => {
		const value = values[name];
		if (value === undefined) return '';
		return typeof value === 'string'
			? value
			: say(value.value, { quantity: value.quantity, ...context });
	});
}

/** Collects what is to be said, in the order of the work. */
export class Findings {
	readonly all: Finding[] = [];
	constructor(private readonly station: Station) {}

	say(kind: Finding['kind'], what: Told | string, station = this.station): void {
		this.all.push({ kind, station, ...(typeof what === 'string' ? { text: what } : what) });
	}
}
