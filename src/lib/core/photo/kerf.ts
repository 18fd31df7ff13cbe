/**
 * Width of a kerf from a photo of a slot, a rule laid across it [own model]. The finest lines of the rule are
 * the scale; the slot's sides are the outermost clear steps beside its dark middle: heat tints the plate softly,
 * and a wall that is seen lies further in.
 */
import { SCRAP_KERF_MM } from '../cut/guide';
import type { Point } from './ellipse';
import {
	beside,
	CHUNKS,
	darkLine,
	edgeOut,
	type Fitted,
	outward,
	REACH_MM,
	type Run,
	side
} from './kerfSides';
import { isSoft, type Light, smaller, turned } from './light';
import type { Told } from './told';
import { findRule, level, RAD, ticksOf } from './rule';

export const KERF_REFUSALS = ['no-rule', 'no-kerf', 'blurred', 'small', 'uneven'] as const;
export type KerfRefusal = (typeof KERF_REFUSALS)[number];

/** A side of the slot, from end to end, pixels. */
export type Side = readonly [Point, Point];
export interface KerfReading {
	kerfMm: Told;
	pxPerMm: number;
	left: Side;
	right: Side;
	/** Lines of the rule that were found, for drawing. */
	ticks: Point[];
}
export type KerfAnswer = { read: KerfReading } | { refused: KerfRefusal };
/** Closer than this, every second line may be taken for every one. */
const TICK_PX_SURE = 7;
/** Fewest pixels over the kerf. */
export const KERF_PX_LEAST = 7;
/** A line that is blurred by more is lost, pixels of the small look. */
const SOFT_PX = 2.95;

/** From the picture to what was made small and level, and back. */
function levelled(small: Light, by: number, turnDeg: number) {
	const [c, s] = [Math.cos(turnDeg * RAD), Math.sin(turnDeg * RAD)];
	const [mx, my] = [(small.width - 1) / 2, (small.height - 1) / 2];
	return {
		back: ({ x, y }: Point): Point => ({
			x: by * (mx + c * (x - mx) - s * (y - my)),
			y: by * (my + s * (x - mx) + c * (y - my))
		}),
		forth: (p: Point): Point => {
			const [x, y] = [p.x / by - mx, p.y / by - my];
			return { x: mx + c * x + s * y, y: my - s * x + c * y };
		}
	};
}

/** How far both sides of the slot lie from a line along it, to the left and to the right. */
interface Sides {
	middle: Pick<Fitted, 'at' | 'lean'>;
	left: Fitted;
	right: Fitted;
}

/** As a person laid them, in what is small and level. */
function sidesLaid(byHand: { left: Side; right: Side }, forth: (p: Point) => Point): Sides {
	const fit = ([p, q]: Side): Fitted => {
		const [a, b] = [forth(p), forth(q)];
		const lean = (b.x - a.x) / (b.y - a.y || 1);
		return { at: a.x - lean * a.y, lean, spread: 0.6, n: 2 };
	};
	const left = fit(byHand.left);
	return {
		middle: { at: 0, lean: 0 },
		left: { ...left, at: -left.at, lean: -left.lean },
		right: fit(byHand.right)
	};
}

/** Found beside the dark of the slot, chunk by chunk; undefined: too few of them agree. */
function sidesFound(
	turn: Light,
	middle: Pick<Fitted, 'at' | 'lean'>,
	rows: Run,
	roughPxMm: number
): Sides | undefined {
	const n = Math.round(REACH_MM * roughPxMm);
	const startOf = (i: number) => Math.round(rows.from + ((rows.to - rows.from) * i) / CHUNKS);
	const chunks = Array.from({ length: CHUNKS }, (_, i): Run => ({
		from: startOf(i),
		to: startOf(i + 1)
	}));
	const found = (way: 1 | -1) =>
		side(
			chunks.flatMap((chunk) => {
				const edge = edgeOut(outward(turn, middle, chunk, way, n), roughPxMm);
				return edge ? [{ y: (chunk.from + chunk.to - 1) / 2, out: edge.at }] : [];
			})
		);
	const [left, right] = [found(-1), found(1)];
	return left && right && { middle, left, right };
}

/** `tickMm`: from one of the rule's finest lines to the next; `byHand`: the sides as a person laid them. */
export function readKerf(
	light: Light,
	tickMm: number,
	byHand?: { left: Side; right: Side }
): KerfAnswer {
	const by = Math.max(1, Math.floor(Math.max(light.width, light.height) / 1000));
	const small = smaller(light, by);
	const softOr = (refused: KerfRefusal): KerfAnswer => ({
		refused: isSoft(turned(small), SOFT_PX) ? 'blurred' : refused
	});
	const rule = findRule(small);
	if (!rule) return softOr('no-rule');
	const turn = level(small, rule.turnDeg);
	const ticks = ticksOf(turn, rule);
	if (!ticks) return softOr('no-rule');
	const { back, forth } = levelled(small, by, rule.turnDeg);
	const roughPxMm = ticks.pxAt(small.width / 2) / tickMm;
	const rows = beside(turn, rule, roughPxMm);
	const line = byHand ? undefined : darkLine(turn, rows, roughPxMm);
	const sides = byHand ? sidesLaid(byHand, forth) : line && sidesFound(turn, line, rows, roughPxMm);
	if (!sides) return softOr('no-kerf');
	const { middle, left, right } = sides;
	// In its middle: towards its ends the wander of the sides would swing the lines. A camera aslant makes the
	// scale there another than at the rule by less than one in a hundred.
	const y = (rows.from + rows.to) / 2;
	const at = (f: Fitted, here: number) => f.at + f.lean * here;
	const across = at(left, y) + at(right, y);
	const lean = middle.lean + (right.lean - left.lean) / 2;
	const widePx = across / Math.hypot(1, lean);
	// Where the slot lies: a camera aslant makes another scale of either end of the rule.
	const pxPerTick = ticks.pxAt(middle.at + middle.lean * y + (at(right, y) - at(left, y)) / 2);
	const pxPerMm = pxPerTick / tickMm;
	const kerfMm = widePx / pxPerMm;
	if (widePx * by < KERF_PX_LEAST || pxPerTick < TICK_PX_SURE) return { refused: 'small' };
	if (!(kerfMm >= SCRAP_KERF_MM[0] && kerfMm <= SCRAP_KERF_MM[1])) return { refused: 'no-kerf' };
	if (Math.max(left.spread, right.spread) > Math.max(1.5, 0.2 * pxPerMm)) return softOr('uneven');
	const ends = (way: 1 | -1, f: Fitted): Side => {
		const point = (here: number): Point =>
			back({ x: middle.at + middle.lean * here + way * at(f, here), y: here });
		return [point(rows.from), point(rows.to)];
	};
	const ruleY = (rule.from + rule.to) / 2;
	return {
		read: {
			kerfMm: { value: kerfMm, spread: spreadOf(kerfMm, pxPerMm, [left, right]) },
			pxPerMm: pxPerMm * by,
			left: ends(-1, left),
			right: ends(1, right),
			ticks: ticks.xs.map((x) => back({ x, y: ruleY }))
		}
	};
}

function spreadOf(kerfMm: number, pxPerMm: number, sides: readonly Fitted[]): number {
	const own = sides.map(({ spread, n }) => (2 * spread) / Math.sqrt(n));
	return Math.hypot(
		Math.hypot(...own) / pxPerMm,
		0.5 / pxPerMm,
		// A rule is up to a millimetre nearer to the lens than the plate, and the camera may be aslant.
		0.009 * kerfMm,
		0.012
	);
}

/** Where the kerf of a picture and that of the plan cannot both be right: two spreads and a tenth apart [own]. */
export function kerfBeside(read: Told, plannedMm: number): 'wider' | 'narrower' | 'as planned' {
	const most = 2 * read.spread + 0.1;
	if (read.value - plannedMm > most) return 'wider';
	return plannedMm - read.value > most ? 'narrower' : 'as planned';
}
