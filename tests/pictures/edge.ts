/**
 * Pictures of cut edges with known truth, seen from the front: lag lines that trail with the depth and bend,
 * dross below, scratches, rust, a bench behind. Sizes in mm; y runs down from the top edge.
 */
import { drawnOnce } from './drawnOnce';
import { blurred, cloud, dice, exposed, scene, type Dice, type Picture } from './lens';

export interface EdgeTruth {
	thicknessMm: number;
	/** Of the tangent half way down, from straight down; the lines trail to the left where it is positive. */
	lagDeg: number;
	/** At three quarters less at one quarter of the depth. */
	bendDeg: number;
	dross: 'none' | 'soft' | 'hard';
	drossMm: number;
	pxPerMm: number;
	fault: EdgeFault | null;
}
export const EDGE_FAULTS = ['no-lines', 'blurred', 'no-edge', 'cut-off', 'glare'] as const;
export type EdgeFault = (typeof EDGE_FAULTS)[number];

export interface EdgeScene {
	thicknessMm: number;
	lengthMm: number;
	/** x = −(slope·y + curve·y²/t): how the lines trail. */
	slope: number;
	curve: number;
	way: 1 | -1;
	dross: 'none' | 'soft' | 'hard';
	/** How far it hangs in the mean; left out: as its kind usually does. */
	drossMm?: number;
	pxPerMm: number;
	turnDeg: number;
	pitchDeg: number;
	yawDeg: number;
	blurPx: number;
	noise: number;
	quality: number | null;
	lines: number;
	scratches: number;
	rust: number;
	background: number;
	steel: number;
	glare: boolean;
	empty: boolean;
	/** Share of the thickness that is below the picture. */
	below: number;
}

export function anyEdge(d: Dice, fault: EdgeFault | null): EdgeScene {
	const thicknessMm = d.ratio(4, 30);
	const pxPerMm = d.ratio(Math.max(8, 70 / thicknessMm), Math.min(40, 420 / thicknessMm));
	const midDeg = d.between(2, 48);
	const tan = Math.tan((midDeg * Math.PI) / 180);
	const curve = tan * d.between(0, 0.7);
	return {
		thicknessMm,
		lengthMm: Math.min(Math.max(d.between(2, 5) * thicknessMm, 25), 900 / pxPerMm),
		slope: tan - curve,
		curve,
		way: d.one([1, -1]),
		dross: d.one(['none', 'none', 'soft', 'hard']),
		pxPerMm,
		turnDeg: d.between(-4, 4),
		pitchDeg: d.between(-10, 10),
		yawDeg: d.between(-8, 8),
		blurPx:
			fault === 'blurred'
				? Math.max(5, 0.9 * pxPerMm) * d.between(1, 1.6)
				: d.between(0.5, 0.5 + 0.05 * pxPerMm),
		noise: d.ratio(0.004, 0.03),
		quality: d.yes(0.4) ? d.whole(70, 95) : null,
		lines: fault === 'no-lines' ? 0 : d.ratio(0.1, 0.45),
		scratches: fault === 'no-lines' ? d.whole(0, 3) : d.whole(0, 14),
		rust: d.between(0, 0.35),
		background: d.yes(0.5) ? d.between(0.01, 0.06) : d.between(0.55, 0.85),
		steel: d.between(0.14, 0.4),
		glare: fault === 'glare',
		empty: fault === 'no-edge',
		below: fault === 'cut-off' ? d.between(0.3, 0.6) : 0
	};
}

export function drawEdge(d: Dice, s: EdgeScene): { picture: Picture; drossMm: number } {
	const rad = Math.PI / 180;
	const t = s.thicknessMm;
	const k = s.pxPerMm;
	const width = Math.round(s.lengthMm * k);
	const room = Math.max(3.2, 0.35 * t) * k;
	const height = Math.round(t * k * (1 - s.below) + (s.below > 0 ? 1 : 2) * room);
	const topY = room;
	const [c, sn] = [Math.cos(s.turnDeg * rad), Math.sin(s.turnDeg * rad)];
	const [cp, sp] = [Math.cos(s.pitchDeg * rad), Math.sin(s.pitchDeg * rad)];
	const [cy, sy] = [Math.cos(s.yawDeg * rad), Math.sin(s.yawDeg * rad)];
	const D = Math.max(200, 3 * s.lengthMm);
	const ripples = (size: number) => cloud(d, size * d.between(0.7, 1.3));
	const [small, middling, large] = [ripples(0.35), ripples(0.7), ripples(1.4)];
	const drift = cloud(d, 2.5);
	const patch = cloud(d, 6);
	const bench = cloud(d, d.between(3, 20));
	const fine = cloud(d, 0.25);
	const lump = cloud(d, s.dross === 'soft' ? d.between(2, 4) : d.between(0.35, 0.8));
	const usualMm =
		s.dross === 'none' ? 0 : s.dross === 'soft' ? d.between(1, 2.4) : d.between(0.3, 0.75);
	const drossMean = s.drossMm ?? usualMm;
	const drossLight = s.steel * d.between(0.35, 0.8);
	const drossAt = (x: number): number =>
		s.dross === 'none'
			? 0
			: Math.max(0, drossMean * (1 + (s.dross === 'soft' ? 0.7 : 1.1) * lump(x, 3.3)));
	const marks = Array.from({ length: s.scratches }, () => ({
		x: d.between(-0.5, 0.5) * s.lengthMm,
		y: d.between(0, t),
		to: d.between(0, Math.PI),
		long: d.between(3, 25),
		wide: d.between(0.05, 0.15),
		light: d.between(-0.4, 0.6)
	})).map((m) => ({ ...m, c: Math.cos(m.to), s: Math.sin(m.to) }));
	const fall = d.between(-0.3, 0.3);
	const topGlow = d.between(0.8, 1.6);
	const glareX = d.between(-0.2, 0.2) * s.lengthMm;
	const drawn = scene(width, height, 3, (px, py, into) => {
		// Ray through the pixel, turned, onto a plane that is pitched and yawed.
		const u0 = (px - width / 2) / k;
		const v0 = (py - topY) / k - t / 2;
		const u = c * u0 + sn * v0;
		const v = -sn * u0 + c * v0;
		// Axes of the plane (cy, 0, sy) and (sp·sy, cp, −sp·cy), so its normal is (−sy·cp, sp, cy·cp).
		// The eye stands at (0, 0, −D), the middle of the edge at 0.
		const w = (D * cy * cp) / (v * sp - u * sy * cp + D * cy * cp);
		const X = w * u;
		const Y = w * v;
		const Z = w * D - D;
		const x = X * cy + Z * sy;
		const y = X * sp * sy + Y * cp - Z * sp * cy + t / 2;
		let light: number;
		let warm = 1;
		const hang = drossAt(x);
		if (s.empty || y < 0 || y > t + hang)
			light = s.background * (1 + 0.25 * bench(x, y) + 0.06 * fine(x, y));
		else if (y > t) light = drossLight * (1 + 0.5 * fine(2 * x, 2 * y) + 0.3 * lump(x, y));
		else {
			const trail = s.way * (s.slope * y + (s.curve * y * y) / t);
			const q = x + trail + 0.12 * drift(x, y);
			// Finer above, coarser below; a line fades over some millimetres of depth.
			const deep = y / t;
			let ripple =
				(1 - 0.6 * deep) * small(q, y * 0.06) +
				0.8 * middling(q, y * 0.05) +
				deep * large(q, y * 0.05);
			ripple *= 1 + 0.4 * patch(x, y);
			light = s.steel * Math.exp(s.lines * ripple);
			light *= 1 - s.rust * Math.max(0, patch(y, x));
			warm = 1 + 0.4 * s.rust;
			if (y < 0.35) light *= topGlow;
			for (const m of marks) {
				const mx = x - m.x;
				const my = y - m.y;
				if (Math.abs(mx * m.s - my * m.c) < m.wide && Math.abs(mx * m.c + my * m.s) < m.long / 2)
					light *= 1 + m.light;
			}
		}
		light *= 1 + (fall * x) / s.lengthMm;
		if (s.glare)
			light +=
				3 *
				Math.exp(
					-0.5 * (((x - glareX) / (0.3 * s.lengthMm)) ** 2 + ((y - t / 2) / (0.8 * t)) ** 2)
				);
		into[0] = light * warm;
		into[1] = light;
		into[2] = light / warm;
	});
	return {
		picture: exposed(blurred(drawn, s.blurPx), d, s),
		drossMm: drossMean
	};
}

export function edgePicture(
	...asked: Parameters<typeof drawEdgePicture>
): ReturnType<typeof drawEdgePicture> {
	return drawnOnce('edge', asked, () => drawEdgePicture(...asked));
}
function drawEdgePicture(
	seed: number,
	fault?: EdgeFault | null,
	change: Partial<EdgeScene> = {}
): { picture: Picture; truth: EdgeTruth } {
	const d = dice(seed);
	const kind = fault === undefined ? (d.yes(0.2) ? d.one(EDGE_FAULTS) : null) : fault;
	const s = { ...anyEdge(d, kind), ...change };
	const { picture, drossMm } = drawEdge(d, s);
	const at = (share: number) => (Math.atan(s.slope + 2 * s.curve * share) * 180) / Math.PI;
	return {
		picture,
		truth: {
			thicknessMm: s.thicknessMm,
			lagDeg: s.way * at(0.5),
			bendDeg: at(0.75) - at(0.25),
			dross: s.dross,
			drossMm,
			pxPerMm: s.pxPerMm,
			fault: kind
		}
	};
}
