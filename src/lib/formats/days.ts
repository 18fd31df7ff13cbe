const MONTHS = [
	'Jan',
	'Feb',
	'Mar',
	'Apr',
	'May',
	'Jun',
	'Jul',
	'Aug',
	'Sep',
	'Oct',
	'Nov',
	'Dec'
] as const;

const two = (n: number) => String(n).padStart(2, '0');

/** The day of a moment by the clock of this machine, as an ISO date. */
export const dayOf = (at: Date): string =>
	`${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;

/** The day of a moment by the clock of this machine, as its midnight in UTC, ms: whole days to count with. */
export const dayMs = (atMs: number): number => Date.parse(`${dayOf(new Date(atMs))}T00:00:00Z`);

/** When a day begins by the clock of this machine, as the instant that entries are compared with. */
export const startOfDay = (isoDay: string): string => {
	const at = new Date(`${isoDay}T00:00`);
	return Number.isNaN(at.getTime()) ? isoDay : at.toISOString();
};

/** "24 Nov 11:20" of an instant as ISO 8601 writes it, by the clock of whoever shows it; else the text itself. */
export function dayAndTime(iso: string): string {
	const at = new Date(iso);
	if (Number.isNaN(at.getTime())) return iso;
	return `${at.getDate()} ${MONTHS[at.getMonth()]} ${two(at.getHours())}:${two(at.getMinutes())}`;
}

/** "31 Dec 2026" of an ISO date, wherever it is read. */
export function dayAndYear(isoDay: string): string {
	const [, year, month, day] = /^(\d+)-(\d+)-(\d+)/.exec(isoDay) ?? [];
	return month ? `${Number(day)} ${MONTHS[Number(month) - 1]} ${year}` : isoDay;
}
