/** A quote as CSV: RFC 4180, one line of the sum a row, as printed. */
import Papa from 'papaparse';
import type { DayList } from '$lib/core/list/inputs';
import { QUOTE_LINES, type Quote, type QuoteLine } from '$lib/core/list/quote';

export const QUOTE_WORDS: Record<QuoteLine, string> = {
	setUp: 'Set-up, changes and rests',
	labour: 'Labour',
	parts: 'Parts of the torch',
	power: 'Power',
	air: 'Air',
	plate: 'Plate'
};
/** A cell that a spreadsheet would take for a formula is given an apostrophe. */
const safe = (text: string) => (/^[=+\-@]/.test(text) ? `'${text}` : text);

export function quoteCsv(list: DayList, { printed }: Quote, currency: string): string {
	if (!printed) return '';
	const money = (amount: number | null) => (amount ?? 0).toFixed(2);
	const rows = [
		...QUOTE_LINES.map((line) => [QUOTE_WORDS[line], money(printed.lines[line])]),
		['Cost', money(printed.cost)],
		['Margin', money(printed.margin)],
		['Price', money(printed.price)],
		['Tax', money(printed.tax)],
		['Total', money(printed.total)]
	];
	return Papa.unparse({
		fields: [safe(list.name), currency],
		data: [['for', safe(list.customer)], ...rows]
	});
}
