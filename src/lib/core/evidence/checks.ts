import { OPEN_MOST, type Held } from '../checks/inputs';
import type { Of } from './supply';

/** What is open: of each thing the newest word counts. Newest last; oldest first in `checks`. */
export function openOf(checks: readonly Of<'check'>[]): Held[] {
	const open = new Map<string, Held>();
	for (const { item, word, station, verdict, so } of checks) {
		open.delete(item);
		if (!so) open.set(item, { item, word, station, verdict });
	}
	return [...open.values()].slice(-OPEN_MOST);
}
