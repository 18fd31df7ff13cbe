/** What a list takes and costs, what one change buys, and how it stands while it is worked. */
import type { Entry } from '../../evidence/entries';
import type { PlanInputs } from '../../inputs/planInputs';
import { partsOfList, type PartsOfList } from '../../list/eats';
import type { DayList } from '../../list/inputs';
import { quoteBand, quoteOf, type Quote } from '../../list/quote';
import { workings } from '../../plan/workings';
import { atStart, runArc, type Standing } from '../../session/list';
import { cuttingSet, type AskedItem, type ItemPlan } from './items';
import { handlingOf, type TimedPiece } from './learnt';
import { platesOf, type PlatesOf } from './plates';
import { plansOf, shopOf, studyList } from './run';
import {
	HELPER_SHARE,
	NOTHING_DONE,
	waysOf,
	type ListRun,
	type ListStudy,
	type Progress,
	type Ways
} from './runTypes';

export interface ListEats {
	starts: number;
	arcS: number;
	lengthMm: number;
	airL: number;
	/** Cutter and compressor. */
	kwh: number;
	/** The electrode, in the order of the run. */
	electrode: EatsPart;
	/** The bore of the fitted nozzle; null: nobody measured one here, it goes in with each electrode. */
	nozzle: EatsPart | null;
	/** Bottles that are emptied, counted from how they stand now; null: the air comes from elsewhere. */
	bottles: { emptied: number; before: { id: string; piece: number } | null } | null;
}
interface EatsPart extends PartsOfList {
	nowUm: number;
	limitUm: number;
	/** Where the first new one goes in; null: it lasts. */
	before: { id: string; piece: number } | null;
}
/** On the shelf for this torch. */
export interface InDrawer {
	electrode: number;
	nozzle: number;
}

export function eatsOf(
	base: PlanInputs,
	plans: readonly ItemPlan[],
	run: Pick<ListRun, 'items'>,
	drawer: InDrawer
): ListEats {
	const { wearing, fittedNozzle, air } = workings(base, { solveAmps: false });
	const pieces = run.items.flatMap(({ id, pieces: n }) => {
		const plan = plans.find((one) => one.id === id)!;
		return Array.from({ length: n }, (_, k) => ({ id, piece: k + 1, plan }));
	});
	const sum = (of: (plan: ItemPlan) => number) =>
		pieces.reduce((total, { plan }) => total + of(plan), 0);
	type Of = (typeof pieces)[number];
	const place = (at: number | undefined) => {
		const found = at === undefined ? undefined : pieces[at];
		return found ? { id: found.id, piece: found.piece } : null;
	};
	const part = (
		{ nowUm, limitUm }: { nowUm: number; limitUm: number },
		um: (of: Of) => number,
		inDrawer: number
	): EatsPart => {
		const parts = partsOfList(pieces.map(um), { nowUm, limitUm, drawer: inDrawer });
		return { ...parts, nowUm, limitUm, before: place(parts.changesBefore[0]) };
	};
	const fitted = cuttingSet(fittedNozzle.ratingA);
	const nozzle = wearing.nozzleKnown
		? part(
				wearing.nozzle,
				({ plan }) => (plan.set === fitted ? plan.pieceBoreUm : 0),
				drawer.nozzle
			)
		: null;
	const bottled = base.bench.air.source === 'bottle' && air.bottleFreeL > 0;
	const bottles = partsOfList(
		pieces.map(({ plan }) => plan.pieceAirL),
		{ nowUm: 0, limitUm: Math.max(1, air.bottleFreeL), drawer: 0 }
	);
	return {
		starts: sum(({ arcs }) => arcs.length),
		arcS: sum(({ pieceArcS }) => pieceArcS),
		lengthMm: sum(({ pieceLengthMm }) => pieceLengthMm),
		airL: sum(({ pieceAirL }) => pieceAirL),
		kwh: sum(({ pieceKwh, pieceAirKwh }) => pieceKwh + pieceAirKwh),
		electrode: part(wearing.electrode, ({ plan }) => plan.pieceUm, drawer.electrode),
		nozzle,
		bottles: bottled ? { emptied: bottles.sets, before: place(bottles.changesBefore[0]) } : null
	};
}

/** One change, and when the whole list would be done with it. */
export interface Change {
	id: 'helper' | 'torch' | 'entered' | 'fewest' | 'full' | 'matched';
	/** null: the list cannot be made like that. */
	endS: number | null;
	changes: number;
	restS: number;
}

/** More items are not planned again by another school. */
const SCHOOLS_ITEMS_MOST = 40;

/** The whole list planned again with one thing changed. */
export function whatChanges(
	base: PlanInputs,
	list: Pick<DayList, 'items'>,
	asked: readonly AskedItem[],
	ways: Ways,
	now: ListRun,
	known = plansOf(base, asked)
): Change[] {
	const others: [Change['id'], Ways][] = [
		['helper', { ...ways, handlingShare: HELPER_SHARE }],
		...(now.changes > 0
			? ([
					['torch', { ...ways, changeS: 0 }],
					['fewest', { ...ways, order: 'fewest' }]
				] satisfies [Change['id'], Ways][])
			: []),
		...(ways.order === 'own'
			? []
			: ([['entered', { ...ways, order: 'own' }]] satisfies [Change['id'], Ways][]))
	];
	// Both schools on amps, where the list is short enough to be planned again from its items on.
	const schools = asked.length > SCHOOLS_ITEMS_MOST ? [] : (['full', 'matched'] as const);
	const bySchool = schools.flatMap((school) => {
		const by = asked.map(({ item, cut }) => ({ item, cut: { ...cut, school } }));
		const cuts = by.filter(({ item }) => item.what === 'cut');
		const same = asked.every(({ item, cut }) => item.what !== 'cut' || cut.school === school);
		if (same || cuts.length === 0) return [];
		const plans = plansOf(base, by);
		// Whoever cannot make what is made now has no answer to give.
		if (plans.cannot.length > known.cannot.length) return [];
		const amps = (all: Omit<ListStudy, 'run'>) => all.plans.map(({ outputA }) => outputA).join();
		return amps(plans) === amps(known) ? [] : [{ id: school, by, plans }];
	});
	const again = others.map(([id, way]) => ({ id, way, by: asked, plans: known }));
	const anew = bySchool.map((one) => ({ ...one, way: ways }));
	return [...again, ...anew].map(({ id, way, by, plans }): Change => {
		const { run } = studyList(base, list, by, way, NOTHING_DONE, plans);
		if (!run || 'trouble' in run) return { id, endS: null, changes: 0, restS: 0 };
		return { id, endS: run.endS, changes: run.changes, restS: run.restS };
	});
}

/** The quote of what can be made, at the shop's prices. */
export function quoteOfList(
	{ settings, bench }: Pick<PlanInputs, 'settings' | 'bench'>,
	list: Pick<DayList, 'items' | 'quote'>,
	plans: readonly ItemPlan[],
	/** Changes of parts and rests, s; and litres in a full bottle. */
	besides: { besidesS: number; bottleL: number; pitLimitUm: number }
): Quote & { band: [number, number] | null } {
	const { electrodePrice, nozzlePrice, pricePerKwh, bottlePrice } = settings;
	const pair =
		electrodePrice === null || nozzlePrice === null ? null : electrodePrice + nozzlePrice;
	const items = plans.map((plan) => {
		const { pieces } = list.items.find(({ id }) => id === plan.id)!;
		const kwh = (of: number) => (pricePerKwh === null ? null : pieces * of * pricePerKwh);
		const bottled =
			bottlePrice === null || besides.bottleL <= 0
				? null
				: (pieces * plan.pieceAirL * bottlePrice) / besides.bottleL;
		const handlingS = plan.arcs.reduce((sum, arc) => sum + arc.handlingS, 0);
		return {
			pieces,
			arcS: pieces * plan.pieceArcS,
			handlingS: pieces * handlingS,
			arcFactor: plan.arcFactor,
			parts: pair === null ? null : (pieces * plan.pieceUm * pair) / besides.pitLimitUm,
			power: kwh(plan.pieceKwh),
			air: bench.air.source === 'bottle' ? bottled : kwh(plan.pieceAirKwh),
			plateKg: pieces * plan.pieceKg
		};
	});
	const rates = { labourPerH: settings.labourPerH, besidesS: besides.besidesS };
	return {
		...quoteOf(items, list.quote, rates),
		band: quoteBand(items, list.quote, rates)
	};
}

/** A piece that was made, or failed on the way, by the clock of the list. */
export interface Made {
	id: string;
	endS: number;
}

/** How tank, breaker and cutter stand at `nowS`, from the pieces that were made until then. */
export function standingAfter(
	base: PlanInputs,
	plans: readonly ItemPlan[],
	made: readonly Made[],
	nowS: number
): Standing {
	const { shop } = shopOf(base);
	let standing = atStart(shop);
	for (const { id, endS } of made) {
		const plan = plans.find((one) => one.id === id);
		if (!plan) continue;
		const takesS = plan.arcs.reduce((sum, { arcS, handlingS }) => sum + arcS + handlingS, 0);
		for (const [k, arc] of plan.arcs.entries()) {
			// Whatever time there was before its first arc, the bench stood still.
			const handlingS =
				k === 0 ? Math.max(0, endS - takesS + arc.handlingS - standing.timeS) : arc.handlingS;
			const targets = [arc.targets[0]!, arc.targets[2]!];
			standing = runArc(shop, standing, { ...arc, handlingS, targets }, 0).after;
		}
	}
	const idleS = nowS - standing.timeS;
	const [any] = plans;
	if (idleS <= 0 || !any) return { ...standing, timeS: Math.max(standing.timeS, nowS) };
	const still = { ...any.arcs[0]!, arcS: 0, postS: 0, handlingS: idleS };
	const targets = [still.targets[0]!, still.targets[2]!];
	return runArc(shop, { ...standing, postS: 0 }, { ...still, targets }, 0).after;
}

/** What an item really took, against its plan. */
export interface RealItem {
	id: string;
	made: number;
	failed: number;
	plannedS: number;
	/** From the tick before to its own, pauses left out, s. */
	realS: number;
	/** Handling before each arc as it really was, the middle of all; null: not told by its ticks. */
	handlingS: number | null;
}

export function realOf(plans: readonly ItemPlan[], pieces: readonly TimedPiece[]): RealItem[] {
	return plans.flatMap((plan): RealItem[] => {
		const mine = pieces.filter(({ id }) => id === plan.id);
		if (mine.length === 0) return [];
		const made = mine.filter(({ kind }) => kind === 'done').length;
		const timed = mine.flatMap((piece) => {
			const handlingS = handlingOf(plan, piece);
			return handlingS === undefined ? [] : [{ handlingS, tookS: piece.tookS! }];
		});
		const handling = timed.map(({ handlingS }) => handlingS).sort((x, y) => x - y);
		const plannedEachS = plan.arcs.reduce((sum, { arcS, handlingS }) => sum + arcS + handlingS, 0);
		return [
			{
				id: plan.id,
				made,
				failed: mine.length - made,
				plannedS: timed.length * plannedEachS,
				realS: timed.reduce((sum, { tookS }) => sum + tookS, 0),
				handlingS: handling.length ? handling[Math.floor((handling.length - 1) / 2)]! : null
			}
		];
	});
}

/** Everything that a list's own page shows. */
export interface WholeStudy extends ListStudy {
	/** null: nothing can be made, or nothing is left. */
	eats: ListEats | null;
	buys: Change[];
	quote: Quote & { band: [number, number] | null };
	/** Free air in a full bottle, l; 0: none. */
	bottleL: number;
	/** null: nobody asked. */
	plates: PlatesOf[] | null;
}
export interface WholeAsk {
	base: PlanInputs;
	list: DayList;
	asked: readonly AskedItem[];
	drawer: InDrawer;
	laysPlates?: boolean;
	/** While it is worked: what was made, by the clock of the list. */
	live?: {
		made: readonly Made[];
		failed: readonly Made[];
		nowS: number;
		/** When it was really begun, s after midnight. */
		beganS: number;
	};
}

/** What is done, and how the bench stands, after what was made until now. */
function progressOf(
	base: PlanInputs,
	plans: readonly ItemPlan[],
	live: NonNullable<WholeAsk['live']>
): Progress {
	const done: Record<string, number> = {};
	for (const { id } of live.made) done[id] = (done[id] ?? 0) + 1;
	const all = [...live.made, ...live.failed].sort((a, b) => a.endS - b.endS);
	const last = plans.find(({ id }) => id === all.at(-1)?.id);
	return {
		done,
		setInTorch: last?.set ?? null,
		standing: standingAfter(base, plans, all, live.nowS),
		usedL: all.reduce(
			(sum, { id }) => sum + (plans.find((plan) => plan.id === id)?.pieceAirL ?? 0),
			0
		)
	};
}

/**
 * All of it. `first` is told the same without what one change buys, as soon as it is there: that plans the
 * list several times more.
 */
export function wholeStudy(
	{ base, list, asked, drawer, live, laysPlates }: WholeAsk,
	first: (study: WholeStudy) => void = () => {}
): WholeStudy {
	const known = plansOf(base, asked);
	const progress = live && progressOf(base, known.plans, live);
	const ways = waysOf(list, live?.beganS);
	const study = studyList(base, list, asked, ways, progress, known);
	const run = study.run && !('trouble' in study.run) ? study.run : null;
	const { inputs, air } = workings(base, { solveAmps: false });
	const whole: WholeStudy = {
		...study,
		eats: run && eatsOf(base, study.plans, run, drawer),
		buys: [],
		bottleL: air.bottleFreeL,
		plates: laysPlates ? platesOf(list, asked, study.plans) : null,
		quote: quoteOfList(base, list, study.plans, {
			besidesS: run ? run.restS + run.changes * list.changeS : 0,
			bottleL: air.bottleFreeL,
			pitLimitUm: inputs.settings.pitLimitMm * 1000
		})
	};
	if (!run || progress) return whole;
	first(whole);
	return { ...whole, buys: whatChanges(base, list, asked, ways, run, known) };
}

/** Longest failed arc that the log takes for one start, s. */
const FAILED_MOST_S = 60;

/** What one press on the run sheet writes into the log: a piece as it was planned, or a start that failed. */
export function entryOf(plan: ItemPlan, { item, cut }: AskedItem, kind: 'done' | 'failed'): Entry {
	const start = plan.start as StartEntry['start'];
	if (kind === 'failed')
		return { kind: 'start', arcS: Math.min(FAILED_MOST_S, plan.arcs[0]!.arcS), start };
	const made = {
		outputA: plan.outputA,
		lengthMm: plan.pieceLengthMm,
		arcS: plan.pieceArcS,
		starts: plan.arcs.length,
		nozzleA: plan.nozzleA
	};
	if (item.what === 'groove')
		return { kind: 'groove', metal: cut.gouge.metal ?? cut.metal, ...made };
	const { metal, thicknessMm, mesh } = cut;
	return { kind: 'cut', metal, thicknessMm, ...made, start, ...(mesh ? { mesh } : {}) };
}
type StartEntry = Extract<Entry, { kind: 'start' }>;
