/**
 * Rectangles on plates as a hand cuts them: every cut along a guide from edge to edge of what is being cut
 * (guillotine). Kerf lies between neighbours, once; trimmed edges are given. Sizes in mm of the finished part.
 */
export interface LayoutPart {
	id: string;
	widthMm: number;
	heightMm: number;
	count: number;
	/** May be laid the other way round; false: the grain, or a drawing, asks for this one. */
	turns: boolean;
}
export interface Plate {
	name: string;
	widthMm: number;
	heightMm: number;
	/** null: as many as are wanted. */
	count: number | null;
}
export interface LayoutAsk {
	parts: readonly LayoutPart[];
	/** In the order in which they are used up: offcuts before whole plates. */
	plates: readonly Plate[];
	kerfMm: number;
	/** Mill edge that is trimmed off all round. */
	trimMm: number;
}
export interface Laid {
	id: string;
	xMm: number;
	yMm: number;
	widthMm: number;
	heightMm: number;
}
export interface LaidPlate {
	plate: Plate;
	laid: Laid[];
	/** Left over, large enough to be kept: the largest first. */
	offcuts: Omit<Laid, 'id'>[];
	/** Finished parts over the whole plate. */
	yieldShare: number;
}
export interface Layout {
	plates: LaidPlate[];
	/** Parts that lie nowhere: too large for every plate, or no plate left. */
	left: { id: string; count: number; tooLarge: boolean }[];
	/** Finished parts over all plates that were begun. */
	yieldShare: number;
}

/** Smaller ones go into the bin [own]. */
const OFFCUT_LEAST_MM = 100;
/** Ways of laying a plate that are tried, times the square of its parts. */
const EFFORT = 1_500_000;
const TRIES = [60, 3000] as const;
/** More plates than this are no day's work. */
const PLATES_MOST = 200;

interface Rect {
	x: number;
	y: number;
	w: number;
	h: number;
}
interface Piece {
	id: string;
	w: number;
	h: number;
	turns: boolean;
}
/** Numbers between 0 and 1, the same for the same start: the same list gives the same layout. */
function numbers(seed: number): () => number {
	let a = seed >>> 0;
	return () => {
		a = (a + 0x6d2b79f5) | 0;
		let t = Math.imul(a ^ (a >>> 15), 1 | a);
		t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
}

const ORDERS: readonly ((p: Piece) => number)[] = [
	({ w, h }) => w * h,
	({ w, h }) => Math.max(w, h),
	({ h }) => h,
	({ w }) => w,
	({ w, h }) => w + h
];
/** How well a part fits a free rectangle: less is better. */
const FITS: readonly ((free: Rect, w: number, h: number) => number)[] = [
	(free, w, h) => Math.min(free.w - w, free.h - h),
	(free, w, h) => free.w * free.h - w * h,
	(free, w, h) => Math.max(free.w - w, free.h - h),
	(free) => free.y * 1e6 + free.x
];
/** Whether what is left beside a part is split along its upper edge, from side to side. */
const SPLITS: readonly ((free: Rect, w: number, h: number) => boolean)[] = [
	(free, w, h) => free.w - w < free.h - h,
	(free, w, h) => free.w - w >= free.h - h,
	(free, w, h) => (free.w - w) * h < (free.h - h) * w,
	() => true,
	() => false
];

interface Filled {
	laid: { piece: Piece; rect: Rect }[];
	free: Rect[];
	area: number;
}
/** One plate by one rule. Sizes have the kerf in them already. */
function fill(
	pieces: readonly Piece[],
	plate: Rect,
	rule: { fit: (typeof FITS)[number]; split: (typeof SPLITS)[number] }
): Filled {
	const free: Rect[] = [plate];
	const laid: Filled['laid'] = [];
	let area = 0;
	for (const piece of pieces) {
		let best: { at: number; w: number; h: number; by: number } | undefined;
		for (const [at, one] of free.entries()) {
			for (const turned of piece.turns ? [false, true] : [false]) {
				const [w, h] = turned ? [piece.h, piece.w] : [piece.w, piece.h];
				if (w > one.w + 1e-9 || h > one.h + 1e-9) continue;
				const by = rule.fit(one, w, h);
				if (!best || by < best.by) best = { at, w, h, by };
			}
		}
		if (!best) continue;
		const { at, w, h } = best;
		const one = free[at]!;
		laid.push({ piece, rect: { x: one.x, y: one.y, w, h } });
		area += w * h;
		const across = rule.split(one, w, h);
		const right = { x: one.x + w, y: one.y, w: one.w - w, h: across ? h : one.h };
		const above = { x: one.x, y: one.y + h, w: across ? one.w : w, h: one.h - h };
		free.splice(at, 1, ...[right, above].filter((rest) => rest.w > 1e-9 && rest.h > 1e-9));
	}
	return { laid, free, area };
}

const largest = ({ free }: Filled): number => Math.max(0, ...free.map(({ w, h }) => w * h));
/** Lines from below and from the left that somebody has to mark. */
const linesOf = ({ laid }: Filled): number =>
	new Set(laid.map(({ rect }) => Math.round(10 * (rect.x + rect.w)))).size +
	new Set(laid.map(({ rect }) => Math.round(10 * (rect.y + rect.h)))).size;

/** The fullest of many ways to lay one plate. */
function fullest(pieces: readonly Piece[], plate: Rect, seed: number): Filled {
	const next = numbers(seed);
	const whole = pieces.reduce((sum, { w, h }) => sum + w * h, 0);
	const tries = Math.min(TRIES[1], Math.max(TRIES[0], Math.floor(EFFORT / pieces.length ** 2)));
	let best: Filled | undefined;
	for (let n = 0; n < tries; n++) {
		const order = ORDERS[n % ORDERS.length]!;
		const rule = {
			fit: FITS[Math.floor(n / ORDERS.length) % FITS.length]!,
			split: SPLITS[Math.floor(n / (ORDERS.length * FITS.length)) % SPLITS.length]!
		};
		// The first rounds are by the plain rules; after that orders are shaken.
		const shake = n < ORDERS.length * FITS.length * SPLITS.length ? 0 : 0.6 * next();
		const sorted = pieces
			.map((piece) => ({ piece, by: order(piece) * (1 - shake + 2 * shake * next()) }))
			.sort((a, b) => b.by - a.by)
			.map(({ piece }) => piece);
		const filled = fill(sorted, plate, rule);
		if (!best || filled.area > best.area + 1e-6) best = filled;
		else if (filled.area > best.area - 1e-6) {
			// As full: fewer lines to mark and guides to set, then a larger piece left over.
			const lines = linesOf(filled) - linesOf(best);
			if (lines < 0 || (lines === 0 && largest(filled) > largest(best) + 1e-6)) best = filled;
		}
		const rounds = ORDERS.length * FITS.length * SPLITS.length;
		if (best.area >= whole - 1e-6 && n >= rounds) break;
	}
	return best!;
}

/** Plate after plate, each as full as it was found to go. */
export function layoutOf({ parts, plates, kerfMm, trimMm }: LayoutAsk): Layout {
	let pieces: Piece[] = parts.flatMap(({ id, widthMm, heightMm, count, turns }) =>
		Array.from({ length: count }, () => ({
			id,
			w: widthMm + kerfMm,
			h: heightMm + kerfMm,
			turns
		}))
	);
	const room = ({ widthMm, heightMm }: Plate): Rect => ({
		x: 0,
		y: 0,
		w: widthMm - 2 * trimMm + kerfMm,
		h: heightMm - 2 * trimMm + kerfMm
	});
	const fits = ({ w, h, turns }: Piece, on: Rect) =>
		(w <= on.w + 1e-9 && h <= on.h + 1e-9) || (turns && h <= on.w + 1e-9 && w <= on.h + 1e-9);
	const tooLarge = new Set(
		pieces.filter((p) => !plates.some((plate) => fits(p, room(plate)))).map(({ id }) => id)
	);
	const out: LaidPlate[] = [];
	for (const plate of plates) {
		const on = room(plate);
		for (let k = 0; k < (plate.count ?? Infinity) && out.length < PLATES_MOST; k++) {
			const here = pieces.filter((piece) => fits(piece, on));
			if (here.length === 0) break;
			const { laid, free } = fullest(here, on, out.length + 1);
			if (laid.length === 0) break;
			const used = new Set(laid.map(({ piece }) => piece));
			pieces = pieces.filter((piece) => !used.has(piece));
			const finished = laid.map(({ piece: { id }, rect: { x, y, w, h } }) => ({
				id,
				xMm: x + trimMm,
				yMm: y + trimMm,
				widthMm: w - kerfMm,
				heightMm: h - kerfMm
			}));
			out.push({
				plate,
				laid: finished,
				offcuts: free
					.map(({ x, y, w, h }) => ({
						xMm: x + trimMm,
						yMm: y + trimMm,
						widthMm: w - kerfMm,
						heightMm: h - kerfMm
					}))
					.filter(({ widthMm, heightMm }) => Math.min(widthMm, heightMm) >= OFFCUT_LEAST_MM)
					.sort((a, b) => b.widthMm * b.heightMm - a.widthMm * a.heightMm),
				yieldShare: areaOf(finished) / (plate.widthMm * plate.heightMm)
			});
		}
	}
	const left = [...new Set(pieces.map(({ id }) => id))].map((id) => ({
		id,
		count: pieces.filter((piece) => piece.id === id).length,
		tooLarge: tooLarge.has(id)
	}));
	const plateArea = out.reduce((sum, { plate }) => sum + plate.widthMm * plate.heightMm, 0);
	const partArea = out.reduce((sum, { laid }) => sum + areaOf(laid), 0);
	return { plates: out, left, yieldShare: plateArea > 0 ? partArea / plateArea : 0 };
}
const areaOf = (laid: readonly Laid[]): number =>
	laid.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0);
