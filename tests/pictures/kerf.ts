/** Pictures of a slot cut into a plate, a rule laid across it, with known truth. */
import { drawnOnce } from './drawnOnce';
import { blurred, cloud, dice, exposed, scene, type Dice, type Picture } from './lens';

export interface KerfTruth {
	kerfMm: number;
	pxPerMm: number;
	fault: 'no-rule' | 'no-kerf' | 'blurred' | 'small' | null;
}
export interface KerfScene {
	kerfMm: number;
	/** Of the kerf from square to the rule. */
	leanDeg: number;
	/** How its sides wander, one standard deviation about. */
	wanderMm: number;
	/** Of the walls that are seen, left and right, and their light over the plate's. */
	wallMm: readonly [number, number];
	wallLight: number;
	/** Tint of the heat beside it: share of light left, how wide, how soft it ends. */
	halo: number;
	haloMm: number;
	haloSoftMm: number;
	spatter: number;
	/** The finest lines of the rule; how high they lie over the plate. */
	tickMm: number;
	tickWideMm: number;
	ruleMm: number;
	ruleLight: number;
	tickLight: number;
	ruleAt: 'above' | 'below';
	wideMm: number;
	pxPerMm: number;
	turnDeg: number;
	pitchDeg: number;
	yawDeg: number;
	blurPx: number;
	noise: number;
	quality: number | null;
	steel: number;
	ground: number;
	hasRule: boolean;
	hasKerf: boolean;
}

function anyKerf(d: Dice, fault: KerfTruth['fault']): KerfScene {
	const kerfMm = d.ratio(0.9, 4);
	const pxPerMm = fault === 'small' ? d.between(2.5, 4.5) : d.ratio(9, 36);
	const steel = d.between(0.15, 0.5);
	const tilt = d.between(0, 8);
	const tiltTo = d.between(0, 2 * Math.PI);
	const wall = () => (d.yes(0.5) ? d.between(0, 0.3) * kerfMm : 0);
	return {
		kerfMm,
		leanDeg: d.between(-3, 3),
		wanderMm: d.between(0.02, 0.07),
		wallMm: [wall(), wall()],
		wallLight: d.between(0.1, 0.5),
		halo: d.between(0.65, 1),
		haloMm: d.between(0.4, 2.2),
		haloSoftMm: d.between(0.6, 1.5),
		spatter: d.whole(0, 12),
		tickMm: 1,
		tickWideMm: d.between(0.15, 0.28),
		ruleMm: d.between(0.4, 1),
		ruleLight: d.between(0.35, 0.8),
		tickLight: d.between(0.02, 0.1),
		ruleAt: d.one(['above', 'below']),
		wideMm: d.between(24, 34),
		pxPerMm,
		turnDeg: d.between(-5, 5),
		pitchDeg: tilt * Math.cos(tiltTo),
		yawDeg: tilt * Math.sin(tiltTo),
		blurPx:
			fault === 'blurred' ? d.between(0.35, 0.6) * pxPerMm : d.between(0.5, 0.5 + 0.04 * pxPerMm),
		noise: d.ratio(0.004, 0.03),
		quality: d.yes(0.5) ? d.whole(70, 95) : null,
		steel,
		ground: d.between(0.002, 0.02),
		hasRule: fault !== 'no-rule',
		hasKerf: fault !== 'no-kerf'
	};
}

export function kerfPicture(
	...asked: Parameters<typeof drawKerfPicture>
): ReturnType<typeof drawKerfPicture> {
	return drawnOnce('kerf', asked, () => drawKerfPicture(...asked));
}
function drawKerfPicture(
	seed: number,
	fault: KerfTruth['fault'] = null,
	change: Partial<KerfScene> = {}
): { picture: Picture; truth: KerfTruth } {
	const d = dice(seed);
	const s = { ...anyKerf(d, fault), ...change };
	const rad = Math.PI / 180;
	const k = s.pxPerMm;
	const highMm = 0.75 * s.wideMm;
	const [width, height] = [Math.round(s.wideMm * k), Math.round(highMm * k)];
	const [c, sn] = [Math.cos(s.turnDeg * rad), Math.sin(s.turnDeg * rad)];
	const [cp, sp] = [Math.cos(s.pitchDeg * rad), Math.sin(s.pitchDeg * rad)];
	const [cy, sy] = [Math.cos(s.yawDeg * rad), Math.sin(s.yawDeg * rad)];
	const D = d.between(120, 220);
	const kerfAt = d.between(-0.25, 0.25) * s.wideMm;
	const lean = Math.tan(s.leanDeg * rad);
	const cosLean = Math.cos(s.leanDeg * rad);
	const grain = cloud(d, 0.25);
	const patch = cloud(d, 4);
	const brush = cloud(d, 0.35);
	const wander = [cloud(d, 0.9), cloud(d, 0.9)];
	const fall = d.between(-0.3, 0.3);
	// The rule lies over the upper or the lower part, its finest lines along the edge that looks at the rest.
	const ruleEdge = d.between(0.04, 0.16) * highMm;
	const way = s.ruleAt === 'below' ? 1 : -1;
	const phase = d.between(0, 10);
	const dots = Array.from({ length: s.spatter }, () => ({
		x: d.between(-0.5, 0.5) * s.wideMm,
		y: d.between(-0.5, 0.5) * highMm,
		r: d.between(0.1, 0.4),
		light: d.between(0.3, 1.6)
	}));
	const digits = cloud(d, 0.5);
	const at = new Float64Array(2);
	/** Of a plane that lies `z` over the plate, in it. */
	const seen = (u: number, v: number, z: number): void => {
		const far = D - z;
		const w = (far * cy * cp) / (v * sp - u * sy * cp + D * cy * cp);
		const X = w * u;
		const Y = w * v;
		const Z = w * D - far;
		at[0] = X * cy + Z * sy;
		at[1] = X * sp * sy + Y * cp - Z * sp * cy;
	};
	const rule = (x: number, y: number): number => {
		const into = way * y - ruleEdge;
		const along = x + phase;
		const near = Math.round(along / s.tickMm);
		const long = near % 10 === 0 ? 7 : near % 5 === 0 ? 5 : 3.2;
		if (into < long && Math.abs(along - near * s.tickMm) < s.tickWideMm / 2) return s.tickLight;
		// Figures below the long lines, as blots.
		const tens = Math.round(along / (10 * s.tickMm)) * 10 * s.tickMm;
		if (into > 7.4 && into < 9.6 && Math.abs(along - tens) < 1.4 && digits(x, y) > 0.1)
			return s.tickLight;
		return s.ruleLight * (1 + 0.05 * grain(x, y) + 0.08 * brush(x / 12, y * 3));
	};
	const drawn = scene(width, height, 3, (px, py, into) => {
		const u0 = (px - width / 2) / k;
		const v0 = (py - height / 2) / k;
		const u = c * u0 + sn * v0;
		const v = -sn * u0 + c * v0;
		let light: number;
		seen(u, v, s.ruleMm);
		if (s.hasRule && way * at[1]! > ruleEdge) light = rule(at[0]!, at[1]!);
		else {
			seen(u, v, 0);
			const x = at[0]!;
			const y = at[1]!;
			const off = (x - kerfAt - lean * y) * cosLean;
			const side = off < 0 ? 0 : 1;
			const half = s.kerfMm / 2 + 1.7 * s.wanderMm * wander[side]!(y, 3);
			const out = Math.abs(off) - half;
			if (s.hasKerf && out < 0) {
				const deep = -out / Math.max(s.wallMm[side], 1e-6);
				light = deep < 1 ? s.steel * s.wallLight * (1 - 0.7 * deep) : s.ground;
			} else {
				const tint = s.hasKerf
					? s.halo + (1 - s.halo) * Math.min(1, Math.max(0, (out - s.haloMm) / s.haloSoftMm))
					: 1;
				light = s.steel * tint * (1 + 0.1 * grain(x, y) + 0.12 * patch(x, y));
				for (const dot of dots)
					if ((x - dot.x) ** 2 + (y - dot.y) ** 2 < dot.r ** 2) light = s.steel * dot.light;
			}
		}
		into[0] = into[1] = into[2] = light * (1 + (fall * u0) / s.wideMm);
	});
	// Its sides wander: the kerf is the mean of what is drawn beside the rule.
	const [from, to] = [-highMm / 2, ruleEdge].map((y) => way * y) as [number, number];
	const rows = Array.from({ length: 200 }, (_, i) => from + ((to - from) * (i + 0.5)) / 200);
	const wandered = rows.reduce((sum, y) => sum + wander[0]!(y, 3) + wander[1]!(y, 3), 0) / 200;
	return {
		picture: exposed(blurred(drawn, s.blurPx), d, s),
		truth: { kerfMm: s.kerfMm + 1.7 * s.wanderMm * wandered, pxPerMm: k, fault }
	};
}
