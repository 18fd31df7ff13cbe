/** One thing to look at before the arc: what, why, and what to do when it is not so. */
import type { Held } from '../checks/inputs';
import type { Told } from '../figure/finding';
import { hash53 } from '../solve/hash';

/** What a look is drawn with. */
export type ItemDrawing = 'clamp' | 'stack' | 'gauge' | 'height' | 'paper' | 'around' | 'breaker';

export interface Item {
	id: string;
	/** What has to be so. */
	ask: Told;
	/** A figure or a word more. */
	more?: Told;
	why: string;
	/** When it is not so. */
	remedy: string;
	/** The page that helps, without what comes after the question mark. */
	page?: '/supply' | '/setup' | '/cut' | '/gouge' | '/wear' | '/bench';
	/** What the line says as long as it is not so. */
	held: Held;
	draw?: ItemDrawing;
}
export const LISTS = ['day', 'cut', 'groove'] as const;
export type ListId = (typeof LISTS)[number];
/** Nobody goes through more of them. */
export const ITEMS_MOST = 12;

const asTold = (text: Told | string): Told => (typeof text === 'string' ? { text } : text);

export function item(
	id: string,
	ask: Told | string,
	rest: Omit<Item, 'id' | 'ask' | 'more' | 'held'> & {
		more?: Told | string;
		/** Word on the line, its station, and whether it stops. */
		not: readonly [string, Held['station'], Held['verdict']];
	}
): Item {
	const { more, not, ...others } = rest;
	const [word, station, verdict] = not;
	return {
		id,
		ask: asTold(ask),
		...(more !== undefined && { more: asTold(more) }),
		...others,
		held: { item: id, word, station, verdict }
	};
}

/** What an item says now; a tick counts as long as it says the same. */
export const itemKey = ({ id, ask, more }: Item): string => hash53(JSON.stringify([id, ask, more]));
/** The same of a whole list. */
export const listKey = (items: readonly Item[]): string => hash53(items.map(itemKey).join(' '));
