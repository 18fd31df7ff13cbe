import { FIGURE_IDS, NAMES, type FigureId } from './names';
import type { Figure } from '../figure/types';
import type { Plan } from './types';

/** A figure that a measurement moved. */
export interface FigureChange {
	id: FigureId;
	label: string;
	from: ChangeSide;
	to: ChangeSide;
}
export type ChangeSide = Pick<Figure, 'value' | 'basis' | 'band'>;

/** Relative change that is worth telling. */
const WORTH = 0.005;

/** Change of the width of a band that is worth telling. */
const WORTH_BAND = 0.05;

const width = ({ value, band }: Figure) =>
	band && value ? (band[1] - band[0]) / Math.abs(value) : undefined;

function bandMoved(from: Figure, to: Figure): boolean {
	const [before, after] = [width(from), width(to)];
	if (before === undefined || after === undefined) return before !== after;
	return Math.abs(after - before) > WORTH_BAND * before;
}

function moved(from: number | null, to: number | null): number {
	if (from === to) return 0;
	if (from === null || to === null) return Infinity;
	return Math.abs(to - from) / Math.max(Math.abs(from), Math.abs(to), 1e-12);
}

const sideOf = ({ value, basis, band }: Figure): ChangeSide =>
	band ? { value, basis, band } : { value, basis };

/**
 * What changed from one plan to another: first the figures whose basis changed, then those whose band
 * did, then those that moved most. At most `most`.
 */
export function whatChanged(before: Plan, after: Plan, most = 5): FigureChange[] {
	return FIGURE_IDS.map((id) => {
		const [from, to] = [before.figures[id], after.figures[id]];
		return {
			id,
			from,
			to,
			moved: moved(from.value, to.value),
			based: from.basis !== to.basis,
			banded: bandMoved(from, to)
		};
	})
		.filter((change) => change.based || change.moved > WORTH || change.banded)
		.sort(
			(x, y) =>
				Number(y.based) - Number(x.based) ||
				Number(y.banded) - Number(x.banded) ||
				y.moved - x.moved
		)
		.slice(0, most)
		.map(({ id, from, to }) => ({
			id,
			label: NAMES[id].label,
			from: sideOf(from),
			to: sideOf(to)
		}));
}
