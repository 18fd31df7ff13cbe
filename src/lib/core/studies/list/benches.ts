/** The list on the other benches of the shop, and split over two where that is done sooner. */
import type { PlanInputs } from '../../inputs/planInputs';
import { arcsOfPiece, type DayList, type ListItem } from '../../list/inputs';
import type { AskedItem, ItemPlan } from './items';
import { plansOf } from './itemPlans';
import { studyList } from './run';
import { NOTHING_DONE, type ListRun, type ListStudy, type Ways } from './runTypes';

export interface OtherBench {
	id: string;
	name: string;
	base: PlanInputs;
	asked: readonly AskedItem[];
}
/** The whole list on one other bench. */
export interface OnBench {
	id: string;
	name: string;
	/** Items that it cannot make. */
	cannot: string[];
	/** Of what it can make; null: nothing, or no order. */
	endS: number | null;
	changes: number;
	restS: number;
}
/** The list in two, each part on its bench, at the same time. */
export interface Split {
	id: string;
	name: string;
	here: string[];
	there: string[];
	hereEndS: number;
	thereEndS: number;
}
export interface OtherBenches {
	alone: OnBench[];
	/** null: two benches are not done sooner, by as much as anybody would notice. */
	split: Split | null;
}
type Known = Omit<ListStudy, 'run'>;

/** Items that are split are at most so many groups; longer lists are split by the rule alone. */
const TRIED_GROUPS_MOST = 10;
/** Partings that are run in full. */
const RUNS_MOST = 6;
/** Lists with more arcs are not run over and over. */
const ARCS_MOST = 1500;
/** Sooner by less than this is no reason to light a second bench [own]. */
const WORTH_S = 300;

/** Items that wait for another, or share a workpiece, stay together: nobody carries a hot gate across. */
export function groupsOf(items: readonly ListItem[]): string[][] {
	const groups: { ids: string[]; on: Set<string> }[] = [];
	for (const { id, after, on } of items) {
		const mine = groups.filter(
			(group) => group.ids.some((one) => after.includes(one)) || (on !== '' && group.on.has(on))
		);
		const joined = {
			ids: [...mine.flatMap(({ ids }) => ids), id],
			on: new Set([...mine.flatMap((group) => [...group.on]), ...(on === '' ? [] : [on])])
		};
		for (const group of mine) groups.splice(groups.indexOf(group), 1);
		groups.push(joined);
	}
	// An item may wait for one that stands after it in the list.
	for (const { id, after } of items) {
		const home = groups.find(({ ids }) => ids.includes(id))!;
		for (const first of after) {
			const other = groups.find(({ ids }) => ids.includes(first));
			if (!other || other === home) continue;
			home.ids.push(...other.ids);
			groups.splice(groups.indexOf(other), 1);
		}
	}
	const place = new Map(items.map(({ id }, k) => [id, k]));
	return groups.map(({ ids }) => ids.sort((a, b) => place.get(a)! - place.get(b)!));
}

interface Weight {
	ids: string[];
	/** Without rests, s; Infinity: it cannot be made there. */
	hereS: number;
	thereS: number;
}
const secondsOf = (
	plans: readonly ItemPlan[],
	ids: readonly string[],
	items: readonly ListItem[]
) =>
	ids.reduce((sum, id) => {
		const plan = plans.find((one) => one.id === id);
		if (!plan) return Infinity;
		const { pieces } = items.find((item) => item.id === id)!;
		const each = plan.arcs.reduce(
			(total, arc) => total + Math.max(arc.handlingS, arc.postS) + arc.arcS,
			0
		);
		return sum + pieces * each;
	}, 0);

/** Ways to part the groups, by when the later bench would be done without rests; the best first. */
function partings(weights: readonly Weight[]): boolean[][] {
	const latest = (there: readonly boolean[]) => {
		const sum = (of: (weight: Weight, k: number) => number) =>
			weights.reduce((s, w, k) => s + of(w, k), 0);
		return Math.max(
			sum((w, k) => (there[k] ? 0 : w.hereS)),
			sum((w, k) => (there[k] ? w.thereS : 0))
		);
	};
	if (weights.length <= TRIED_GROUPS_MOST)
		return Array.from({ length: 2 ** weights.length - 1 }, (_, bits) =>
			weights.map((__, k) => Boolean((bits + 1) & (1 << k)))
		)
			.map((there) => ({ there, endS: latest(there) }))
			.filter(({ there, endS }) => Number.isFinite(endS) && there.some((one) => !one))
			.sort((a, b) => a.endS - b.endS)
			.slice(0, RUNS_MOST)
			.map(({ there }) => there);
	// The longest first, each to where it is over sooner: within a third of the best (Graham 1969).
	const order = weights
		.map((w, k) => ({ w, k }))
		.sort((a, b) => Math.min(b.w.hereS, b.w.thereS) - Math.min(a.w.hereS, a.w.thereS));
	const there = weights.map(() => false);
	let [hereS, thereS] = [0, 0];
	for (const { w, k } of order) {
		there[k] = thereS + w.thereS < hereS + w.hereS;
		if (there[k]) thereS += w.thereS;
		else hereS += w.hereS;
	}
	return Number.isFinite(Math.max(hereS, thereS)) ? [there] : [];
}

/** `known`: what the items ask of this bench; `now`: its run of the whole list. */
export function otherBenches(
	here: {
		base: PlanInputs;
		list: Pick<DayList, 'items'>;
		asked: readonly AskedItem[];
		known: Known;
	},
	ways: Ways,
	now: ListRun | null,
	others: readonly OtherBench[]
): OtherBenches {
	const alone: OnBench[] = [];
	let split: Split | null = null;
	for (const { id, name, base, asked } of others) {
		const known = plansOf(base, asked);
		const { run } = studyList(base, here.list, asked, ways, NOTHING_DONE, known);
		const made = run && !('trouble' in run) ? run : null;
		alone.push({
			id,
			name,
			cannot: known.cannot.map((one) => one.id),
			endS: made && made.endS,
			changes: made?.changes ?? 0,
			restS: made?.restS ?? 0
		});
		const found = splitWith(here, ways, now, { id, name, base, asked, known });
		if (found && (!split || laterOf(found) < laterOf(split))) split = found;
	}
	return { alone, split };
}
const laterOf = ({ hereEndS, thereEndS }: Split) => Math.max(hereEndS, thereEndS);

function splitWith(
	here: Parameters<typeof otherBenches>[0],
	ways: Ways,
	now: ListRun | null,
	there: OtherBench & { known: Known }
): Split | null {
	const { items } = here.list;
	// What neither bench makes is named beside the list; the rest is parted.
	const can = items.filter(({ id }) =>
		[here.known, there.known].some(({ plans }) => plans.some((plan) => plan.id === id))
	);
	const arcs = can.reduce((sum, item) => sum + item.pieces * arcsOfPiece(item), 0);
	if (can.length < 2 || arcs > ARCS_MOST) return null;
	const weights = groupsOf(can).map((ids) => ({
		ids,
		hereS: secondsOf(here.known.plans, ids, items),
		thereS: secondsOf(there.known.plans, ids, items)
	}));
	const all = can.every(({ id }) => here.known.plans.some((plan) => plan.id === id));
	let best: Split | null = null;
	for (const parted of partings(weights)) {
		const ids = (side: boolean) => weights.flatMap((w, k) => (parted[k] === side ? w.ids : []));
		const ran = (of: typeof here, mine: readonly string[]) => {
			const some = <T extends { id: string }>(list: readonly T[]) =>
				list.filter(({ id }) => mine.includes(id));
			const { run } = studyList(of.base, { items: some(items) }, of.asked, ways, NOTHING_DONE, {
				plans: some(of.known.plans),
				cannot: []
			});
			return run && !('trouble' in run) ? run.endS : null;
		};
		const hereEndS = ran(here, ids(false));
		const thereEndS = hereEndS === null ? null : ran({ ...there, list: here.list }, ids(true));
		if (hereEndS === null || thereEndS === null) continue;
		const found = {
			id: there.id,
			name: there.name,
			here: ids(false),
			there: ids(true),
			hereEndS,
			thereEndS
		};
		if (!best || laterOf(found) < laterOf(best)) best = found;
	}
	// Where this bench cannot make all of it, two that can are worth it whenever they are done.
	if (best && all && now && laterOf(best) > now.endS - WORTH_S) return null;
	return best;
}
