/** What a list takes of parts, air and current. */
import type { PlanInputs } from '../../inputs/planInputs';
import { partsOfList, type PartsOfList } from '../../list/eats';
import { workings } from '../../plan/workings';
import { cuttingSet, type ItemPlan } from './items';
import type { ListRun } from './runTypes';

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
	const bottled = base.bench.air.source === 'bottle' && air.line.bottleFreeL > 0;
	const bottles = partsOfList(
		pieces.map(({ plan }) => plan.pieceAirL),
		{ nowUm: 0, limitUm: Math.max(1, air.line.bottleFreeL), drawer: 0 }
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
