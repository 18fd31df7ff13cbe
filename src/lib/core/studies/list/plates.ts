/** The rectangles of a list on plates: those of one metal and thickness together. */
import type { DayList } from '../../list/inputs';
import { layoutOf, type Layout } from '../../list/layout';
import type { MetalId } from '../../metal/metals';
import type { AskedItem, ItemPlan } from './items';

export interface PlatesOf {
	metal: MetalId;
	thicknessMm: number;
	/** The widest kerf of those that lie here. */
	kerfMm: number;
	layout: Layout;
}
/** Rectangles that one list lays at most. */
export const RECTANGLES_MOST = 1000;

/** A plate of no thickness of its own is had in every one; two that are said differ from a tenth on. */
const isOf = ({ metal, thicknessMm }: DayList['plates'][number], cut: AskedItem['cut']): boolean =>
	(metal === null || metal === cut.metal) &&
	(thicknessMm === null || Math.abs(thicknessMm - cut.thicknessMm) < 0.1);

export function platesOf(
	list: Pick<DayList, 'plates' | 'trimMm'>,
	asked: readonly AskedItem[],
	plans: readonly ItemPlan[]
): PlatesOf[] {
	const groups = new Map<string, { of: AskedItem[]; kerfMm: number }>();
	for (const one of asked) {
		const plan = plans.find(({ id }) => id === one.item.id);
		if (!plan || one.item.what !== 'cut' || one.item.widthMm === null || one.item.heightMm === null)
			continue;
		const key = `${one.cut.metal} ${one.cut.thicknessMm}`;
		const group = groups.get(key) ?? { of: [], kerfMm: 0 };
		groups.set(key, { of: [...group.of, one], kerfMm: Math.max(group.kerfMm, plan.kerfMm) });
	}
	let room = RECTANGLES_MOST;
	return [...groups.values()].map(({ of, kerfMm }) => {
		const parts = of.map(({ item }) => {
			const count = Math.min(item.pieces, room);
			room -= count;
			const { id, widthMm, heightMm, turns } = item;
			return { id, widthMm: widthMm!, heightMm: heightMm!, count, turns };
		});
		const [{ cut }] = of as [AskedItem];
		return {
			metal: cut.metal,
			thicknessMm: cut.thicknessMm,
			kerfMm,
			layout: layoutOf({
				parts,
				plates: list.plates.filter((plate) => isOf(plate, cut)),
				kerfMm,
				trimMm: list.trimMm
			})
		};
	});
}
