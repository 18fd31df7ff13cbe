import { FIGURE_IDS, REGISTRY, type FigureId } from './registry';
import type { Basis, Plan } from './types';

/** A figure that a measurement moved. */
export interface FigureChange {
	id: FigureId;
	label: string;
	from: { value: number | null; basis: Basis };
	to: { value: number | null; basis: Basis };
}

/** Relative change that is worth telling. */
const WORTH = 0.005;

function moved(from: number | null, to: number | null): number {
	if (from === to) return 0;
	if (from === null || to === null) return Infinity;
	return Math.abs(to - from) / Math.max(Math.abs(from), Math.abs(to), 1e-12);
}

/**
 * What changed from one plan to another: first the figures whose basis changed, then those that moved
 * most. At most `most`.
 */
export function whatChanged(before: Plan, after: Plan, most = 5): FigureChange[] {
	return FIGURE_IDS.map((id) => {
		const [from, to] = [before.figures[id], after.figures[id]];
		return { id, from, to, moved: moved(from.value, to.value), based: from.basis !== to.basis };
	})
		.filter((change) => change.based || change.moved > WORTH)
		.sort((x, y) => Number(y.based) - Number(x.based) || y.moved - x.moved)
		.slice(0, most)
		.map(({ id, from, to }) => ({
			id,
			label: REGISTRY[id].label,
			from: { value: from.value, basis: from.basis },
			to: { value: to.value, basis: to.basis }
		}));
}
