/** What the pages of a list say. */
import { START_NAMES } from '$lib/components/Cut/steps';
import { paceHelp } from '$lib/components/Words/pace';
import type { DayList } from '$lib/core/list/inputs';
import type { Change } from '$lib/core/studies/list/changes';
import type { ItemPlan } from '$lib/core/studies/list/items';
import type { HeldUpBy, RunTrouble } from '$lib/core/studies/list/runTypes';

/** In the middle of a sentence. */
export const startWords = (start: string): string =>
	start in START_NAMES ? START_NAMES[start as keyof typeof START_NAMES].toLowerCase() : start;

export const HELD_UP: Record<HeldUpBy, string> = {
	air: 'air',
	breaker: 'the breaker',
	heat: 'cutter heat',
	cooling: 'a workpiece that cools'
};
export const ORDERS = [
	{
		value: 'soonest',
		label: 'Soonest done',
		help: 'Done soonest, then with the fewest changes of parts.'
	},
	{
		value: 'fewest',
		label: 'Fewest changes',
		help: 'As few changes of parts as can be, then soonest.'
	},
	{
		value: 'own',
		label: 'My own',
		help: 'As the list stands; drag an item, or Alt with the arrow keys.'
	}
] as const satisfies { value: DayList['order']; label: string; help: string }[];

export const BUYS: Record<Change['id'], string> = {
	helper: 'A helper lays and clamps: half the handling',
	torch: 'A second torch with the other parts in',
	fewest: 'The order with the fewest changes',
	entered: 'In the order it was entered',
	full: 'Every cut at full amps: one school',
	matched: 'Amps matched to each thickness: the other school'
};

const GUIDE_WORDS: Record<string, string> = {
	kept: 'Edge on the part',
	waste: 'Edge on the waste',
	roller: 'Roller',
	circle: 'Circle guide',
	freehand: 'By hand',
	groove: 'Grooves'
};
/** What is handled alike. */
export function kindWords(kind: string): string {
	const [guide = '', start] = kind.split(', ');
	return `${GUIDE_WORDS[guide] ?? guide}${start ? `, ${startWords(start)}` : ''}`;
}

const DAY_MIN = 24 * 60;
/** "10:05", or "10:05 next day": so long after the start of the list. */
export function clock(startsAt: string, seconds: number): string {
	const [h, m] = startsAt.split(':').map(Number) as [number, number];
	const minutes = h * 60 + m + Math.round(seconds / 60);
	const days = Math.floor(minutes / DAY_MIN);
	const two = (n: number) => String(n).padStart(2, '0');
	const time = `${two(Math.floor((minutes % DAY_MIN) / 60))}:${two(minutes % 60)}`;
	return days === 0 ? time : days === 1 ? `${time} next day` : `${time}, ${days} days on`;
}
/** "1:38", "1:02:10". */
export function lasts(seconds: number): string {
	const s = Math.max(0, Math.round(seconds));
	const [h, m] = [Math.floor(s / 3600), Math.floor((s % 3600) / 60)];
	const two = (n: number) => String(n).padStart(2, '0');
	return h > 0 ? `${h}:${two(m)}:${two(s % 60)}` : `${m}:${two(s % 60)}`;
}
export const minutes = (seconds: number): string => {
	const min = Math.round(Math.abs(seconds) / 60);
	return min >= 120 ? `${Math.floor(min / 60)} h ${min % 60} min` : `${min} min`;
};

const NAMES_MOST = 3;
/** "Bars, Straps and 4 more". */
export function listed(names: readonly string[]): string {
	const more = names.length - NAMES_MOST;
	const told = more > 1 ? [...names.slice(0, NAMES_MOST), `${more} more`] : names;
	return new Intl.ListFormat('en-GB').format(told);
}

/** What whoever makes it should know first; undefined: nothing. */
export function mindWords({
	mayTrip,
	pace,
	guide
}: Pick<ItemPlan, 'mayTrip' | 'pace' | 'guide'>): string | undefined {
	if (mayTrip)
		return 'The breaker may trip in one of its cuts, even from rest: fewer amps, shorter cuts, or another circuit.';
	if (pace === 'held' || guide === null) return undefined;
	const what =
		pace === 'fast' ? 'It asks for more than a hand follows' : 'Slower than a hand holds steadily';
	return `${what}. ${paceHelp(pace, guide)}`;
}

/** Why there is no run. */
export function troubleWords(trouble: RunTrouble, nameOf: (id: string) => string): string {
	switch (trouble.trouble) {
		case 'ring':
			return `${trouble.items.map(nameOf).join(', ')} each wait for another of them: nothing can be first. Take one "after" out.`;
		case 'no-bench':
			return `This bench makes none of ${trouble.items.map(nameOf).join(', ')}.`;
		case 'never':
			return `${nameOf(trouble.item)}: however long the rests, ${HELD_UP[trouble.because]} stops it in this list. Fewer amps, shorter cuts, or another bench.`;
		case 'order':
			return `${nameOf(trouble.item)} stands before ${nameOf(trouble.first)}, which must come first: move one of them.`;
		case 'too-many':
			return `${trouble.arcs} arcs are more than are planned one by one: split the list.`;
	}
}

/** Of parts that lie on no plate, after how many they are. */
export const leftWords = ({ count, tooLarge }: { count: number; tooLarge: boolean }): string =>
	tooLarge
		? `${count === 1 ? 'is' : 'are'} larger than every plate`
		: `${count === 1 ? 'has' : 'have'} no plate left`;
