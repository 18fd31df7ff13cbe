/** Geometry of the section drawing: 420 × 336, to scale, a fillet turned so that one plate lies flat. */
import type { Cut } from '$lib/core';
import type { Groove } from '$lib/core/gouge/groove';
import { goesIntoPlate } from '$lib/core/gouge/targets';
import { legsOf } from '$lib/core/gouge/section';

export const GROOVE = { width: 420, height: 336 };
const MARGIN = 34;

export interface Point {
	x: number;
	y: number;
}
export interface SectionShape {
	pxPerMm: number;
	/** Plate or plates that stay. */
	plates: string[];
	/** What stands before anything is done. */
	before: string;
	/** What is gone after so many strings. */
	gone: (strings: number) => string;
	/** Floor of one string, where it cuts. */
	string: (index: number) => { path: string; label: Point };
	/** What is left for the grinder: asked for but not reached. */
	asked: string;
	/** Line below which nothing may be taken; a groove only. */
	ligamentY: number | null;
	/** Under side of the plate, where it is seen. */
	plateBottomY: number;
	/** Where the legs of a fillet end, on the flat plate and up the other. */
	legEnd: Point;
	upEnd: Point;
	/** Right end of what was asked for, at the plate. */
	side: Point;
	/** A place by the deepest point. */
	floor: Point;
}

const path = (points: readonly Point[]) =>
	points.map(({ x, y }, i) => `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

type Asked = Pick<Cut['gouge'], 'target' | 'legMm' | 'upLegMm' | 'depthMm' | 'widthMm'>;

/** Where millimetres of the section lie in the drawing. */
function frameOf(groove: Groove, gouge: Asked, plateMm: number) {
	const fillet = gouge.target === 'fillet';
	const into = goesIntoPlate(gouge.target);
	const [flatMm, upMm] = legsOf(gouge);
	const faceMm = Math.hypot(flatMm, upMm);
	// What has to fit: a fillet with some of its plates, else the groove with its plate where it is thin.
	const wideMm = fillet ? flatMm * 2.1 : Math.max(groove.widthMm * 1.5, 10);
	const highMm = fillet
		? upMm * 1.9
		: into
			? Math.max(groove.reachMm * 1.4, Math.min(plateMm, groove.depthMm * 2.4))
			: gouge.depthMm * 2.6;
	const pxPerMm = Math.min((GROOVE.width - 2 * MARGIN) / wideMm, (GROOVE.height - 70) / highMm);
	const origin = fillet ? { x: 62, y: GROOVE.height - 64 } : { x: GROOVE.width / 2, y: 58 };
	// A fillet's face looks up and to the right: its corner is the origin, one plate flat, one upright.
	const place = (xMm: number, yMm: number): Point => {
		if (!fillet) return { x: origin.x + xMm * pxPerMm, y: origin.y + yMm * pxPerMm };
		const along = xMm + groove.midMm;
		return {
			x: origin.x + (flatMm / 2 + (along * flatMm - yMm * upMm) / faceMm) * pxPerMm,
			y: origin.y - (upMm / 2 - (along * upMm + yMm * flatMm) / faceMm) * pxPerMm
		};
	};
	return { fillet, into, flatMm, upMm, faceMm, pxPerMm, origin, place };
}
type Frame = ReturnType<typeof frameOf>;

/** The weld of a fillet as it stands: what bulges over its face, as the core has it, and its corner. */
function filletBefore({ faceMm, origin, place }: Frame, { topMm, midMm }: Groove): string {
	const bulgeMm = -Math.min(0, ...topMm);
	const face = Array.from({ length: 25 }, (_, i) => {
		const x = -faceMm / 2 + (faceMm * i) / 24;
		return place(x - midMm, -bulgeMm * (1 - (2 * x) ** 2 / faceMm ** 2));
	});
	return `${path([...face, origin])}Z`;
}

/** The floor of a string, from where it begins to cut to where it ends. */
function stringShape(
	{ place }: Frame,
	{ xs, topMm, strings }: Groove,
	i: number,
	edge: (ys: readonly number[], from: number, to: number) => Point[]
): { path: string; label: Point } {
	const { fromMm, toMm, floor } = strings[i]!;
	const from = Math.max(
		0,
		xs.findIndex((x) => x >= fromMm)
	);
	const to = xs.findLastIndex((x) => x <= toMm);
	const before = i === 0 ? topMm : strings[i - 1]!.floor;
	// The number stands where the string is thickest.
	let at = from;
	for (let k = from; k <= to; k++) if (floor[k]! - before[k]! > floor[at]! - before[at]!) at = k;
	return {
		path: `${path([...edge(before, from, to), ...edge(floor, from, to).reverse()])}Z`,
		label: place(xs[at]!, (floor[at]! + before[at]!) / 2)
	};
}

export function sectionShape(
	groove: Groove,
	gouge: Asked,
	plateMm: number,
	keepMm: number
): SectionShape {
	const { xs, topMm, bottomMm, strings } = groove;
	const frame = frameOf(groove, gouge, plateMm);
	const { fillet, into, flatMm, upMm, pxPerMm, origin, place } = frame;
	const edge = (ys: readonly number[], from: number, to: number) =>
		xs.slice(from, to + 1).map((x, i) => place(x, ys[from + i]!));
	// Past the edges of what there is nothing is drawn.
	const edgeMm = fillet ? frame.faceMm / 2 : Infinity;
	const first = xs.findIndex((x) => x + groove.midMm >= -edgeMm);
	const end = xs.findLastIndex((x) => x + groove.midMm <= edgeMm);
	const between = (upper: readonly number[], lower: readonly number[]) =>
		`${path([...edge(upper, first, end), ...edge(lower, first, end).reverse()])}Z`;

	const plateY = into ? origin.y : origin.y + gouge.depthMm * pxPerMm;
	const bottomY = Math.min(GROOVE.height - 26, plateY + plateMm * pxPerMm);
	const standing = () =>
		between(
			topMm.map((y) => Math.min(y, gouge.depthMm)),
			topMm.map(() => gouge.depthMm)
		);
	return {
		pxPerMm,
		plates: fillet
			? [
					`M0 ${origin.y}H${GROOVE.width}V${GROOVE.height - 26}H0Z`,
					`M${origin.x} ${origin.y}V8H18V${origin.y}Z`
				]
			: [`M0 ${plateY}H${GROOVE.width}V${bottomY}H0Z`],
		before: fillet ? filletBefore(frame, groove) : into ? '' : standing(),
		gone: (n) => (n === 0 ? '' : between(topMm, strings[n - 1]!.floor)),
		string: (i) => stringShape(frame, groove, i, edge),
		asked: between(topMm, bottomMm),
		ligamentY: into ? origin.y + (plateMm - keepMm) * pxPerMm : null,
		plateBottomY: bottomY,
		legEnd: { x: origin.x + flatMm * pxPerMm, y: origin.y },
		upEnd: { x: origin.x, y: origin.y - upMm * pxPerMm },
		side: { x: origin.x + (gouge.widthMm / 2) * pxPerMm, y: plateY },
		floor: place(0, groove.reachMm)
	};
}
