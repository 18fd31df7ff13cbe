/** A nick in the rim of a bore. */
import { median, onEllipse, robustSpread } from './ellipse';
import { type Light, lightAt } from './light';
import { DIRECTIONS, type Rim } from './rim';
import type { Told } from './told';

/** A burr that stands out less is not told, mm; the nick is 0.15 mm. */
const NICK_LEAST_MM = 0.065;

/** How far the dark reaches outside the rim without a break, over about a fifth of a millimetre. */
export function nickOf(light: Light, bore: Rim, pxPerMm: number): Told | null {
	const { ellipse } = bore;
	const ways: number[] = [];
	for (let k = 0; k < DIRECTIONS; k++) {
		const to = (2 * Math.PI * k) / DIRECTIONS;
		const at = onEllipse(ellipse, to);
		const long = Math.hypot(at.x - ellipse.x, at.y - ellipse.y);
		const nx = (at.x - ellipse.x) / long;
		const ny = (at.y - ellipse.y) / long;
		const walk = 0.25;
		let way = -2 * walk;
		while (
			way < NICK_MOST_MM * pxPerMm &&
			lightAt(light, at.x + way * nx, at.y + way * ny) < bore.half
		)
			way += walk;
		ways.push(way);
	}
	const middle = median(ways);
	const noise = Math.max(robustSpread(ways), 0.08);
	const half = Math.max(1, Math.round((0.07 * pxPerMm * DIRECTIONS) / (2 * Math.PI * ellipse.a)));
	let worst = 0;
	for (let k = 0; k < DIRECTIONS; k++) {
		const near = Array.from(
			{ length: 2 * half + 1 },
			(_, i) => ways[(k + i - half + DIRECTIONS) % DIRECTIONS]! - middle
		);
		worst = Math.max(worst, median(near));
	}
	if (worst < Math.max(NICK_LEAST_MM * pxPerMm, NICK_NOISE * noise)) return null;
	return { value: worst / pxPerMm, spread: Math.hypot(noise, 0.4) / pxPerMm };
}
/** It stands out of the rim's own noise by so many of its spreads [own]. */
const NICK_NOISE = 3.2;
/** A nick that reaches further is a torn nozzle, and is told as this much. */
const NICK_MOST_MM = 0.6;
