/**
 * A rule of paper, printed by the person, that stands for a steel one. Printers fit a page to its margins or feed it
 * a little short, so it is a scale only once a steel rule has told how long its hundred millimetres came out.
 */
export const PAPER_RULE_MM = 160;
/** The stretch that is measured, from its 0 to its 100. */
export const CHECK_MM = 100;
/** What it may measure, mm: beyond this it was printed on another sheet than it was made for. */
export const CHECKED_MM = [90, 110] as const;

/** From one line of the rule to the next, mm, where its hundred millimetres measure `checkedMm`. */
export function paperTickMm(checkedMm: number): number {
	if (!(checkedMm >= CHECKED_MM[0] && checkedMm <= CHECKED_MM[1]))
		throw new RangeError(`${checkedMm} mm is no length of the check line`);
	return checkedMm / CHECK_MM;
}

/** How far a line reaches into the rule, mm, as on a steel one: tens, fives, the rest. */
export const lineMm = (atMm: number): number => (atMm % 10 === 0 ? 7 : atMm % 5 === 0 ? 5 : 3.2);
