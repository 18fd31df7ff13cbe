/** The moment of a gesture, as it is written in the log. */
export function nowIso(): string {
	return new Date().toISOString();
}
