/** Pictures of a plate seen from its end, the cut edge on one side, with known truth. */
import { drawnOnce } from './drawnOnce';
import { blurred, cloud, dice, exposed, scene, type Dice, type Picture } from './lens';

export interface EndTruth {
	/** From square: positive where the top reaches further out than the bottom. */
	bevelDeg: number;
	side: 'left' | 'right';
	pxPerMm: number;
	fault: 'no-edge' | 'blurred' | null;
}
export interface EndScene {
	thicknessMm: number;
	bevelDeg: number;
	side: 'left' | 'right';
	pxPerMm: number;
	turnDeg: number;
	pitchDeg: number;
	yawDeg: number;
	blurPx: number;
	noise: number;
	quality: number | null;
	steel: number;
	background: number;
	empty: boolean;
}

function anyEnd(d: Dice, fault: EndTruth['fault']): EndScene {
	const thicknessMm = d.ratio(4, 25);
	const pxPerMm = d.ratio(Math.max(8, 70 / thicknessMm), Math.min(40, 330 / thicknessMm));
	const steel = d.between(0.12, 0.45);
	const tilt = d.between(0, 10);
	const tiltTo = d.between(0, 2 * Math.PI);
	return {
		thicknessMm,
		bevelDeg: d.between(-14, 14),
		side: d.one(['left', 'right']),
		pxPerMm,
		turnDeg: d.between(-5, 5),
		pitchDeg: tilt * Math.cos(tiltTo),
		yawDeg: tilt * Math.sin(tiltTo),
		blurPx: fault === 'blurred' ? d.between(7, 12) : d.between(0.5, 0.5 + 0.05 * pxPerMm),
		noise: d.ratio(0.004, 0.03),
		quality: d.yes(0.4) ? d.whole(70, 95) : null,
		steel,
		background: d.yes(0.5) ? d.between(0.01, 0.05) : d.between(0.6, 0.85),
		empty: fault === 'no-edge'
	};
}

export function endPicture(
	...asked: Parameters<typeof drawEndPicture>
): ReturnType<typeof drawEndPicture> {
	return drawnOnce('end', asked, () => drawEndPicture(...asked));
}
function drawEndPicture(
	seed: number,
	fault: EndTruth['fault'] = null,
	change: Partial<EndScene> = {}
): { picture: Picture; truth: EndTruth } {
	const d = dice(seed);
	const s = { ...anyEnd(d, fault), ...change };
	const rad = Math.PI / 180;
	const k = s.pxPerMm;
	const t = s.thicknessMm;
	const [width, height] = [Math.round(2.6 * t * k), Math.round(1.7 * t * k)];
	const [c, sn] = [Math.cos(s.turnDeg * rad), Math.sin(s.turnDeg * rad)];
	const [cp, sp] = [Math.cos(s.pitchDeg * rad), Math.sin(s.pitchDeg * rad)];
	const [cy, sy] = [Math.cos(s.yawDeg * rad), Math.sin(s.yawDeg * rad)];
	const D = Math.max(150, 6 * t);
	const flip = s.side === 'right' ? 1 : -1;
	const edgeAt = d.between(0.2, 0.5) * t;
	const grain = cloud(d, 0.4);
	const patch = cloud(d, 3);
	const bench = cloud(d, d.between(4, 20));
	const rough = cloud(d, 0.8);
	const round = d.between(0.1, 0.5);
	const fall = d.between(-0.3, 0.3);
	const tanBevel = Math.tan(s.bevelDeg * rad);
	const drawn = scene(width, height, 3, (px, py, into) => {
		const u0 = (px - width / 2) / k;
		const v0 = (py - height / 2) / k;
		const u = c * u0 + sn * v0;
		const v = -sn * u0 + c * v0;
		const w = (D * cy * cp) / (v * sp - u * sy * cp + D * cy * cp);
		const X = w * u;
		const Y = w * v;
		const Z = w * D - D;
		const x = flip * (X * cy + Z * sy);
		const y = X * sp * sy + Y * cp - Z * sp * cy;
		// The cut side, with its upper rim rounded and its face a little rough.
		const out = edgeAt - tanBevel * y + 0.06 * rough(y, 1) - Math.max(0, round - (y + t / 2)) ** 2;
		const plate = !s.empty && Math.abs(y) < t / 2 && x < out;
		let light = plate
			? s.steel * (1 + 0.12 * grain(x, y) + 0.15 * patch(x, y))
			: s.background * (1 + 0.2 * bench(x, y));
		light *= 1 + (fall * u0) / (2 * t);
		into[0] = into[1] = into[2] = light;
	});
	return {
		picture: exposed(blurred(drawn, s.blurPx), d, s),
		truth: { bevelDeg: s.bevelDeg, side: s.side, pxPerMm: k, fault }
	};
}
