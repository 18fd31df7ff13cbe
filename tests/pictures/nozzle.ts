/**
 * Pictures of nozzles with known truth: a turned face of copper with a bore, seen through a simple camera.
 * Sizes in mm in the plane of the face; the picture in pixels.
 */
import { drawnOnce } from './drawnOnce';
import { blurred, cloud, dice, exposed, scene, type Dice, type Picture } from './lens';

export interface NozzleTruth {
	faceMm: number;
	/** Long and short diameter of the bore. */
	boreMm: number;
	longMm: number;
	shortMm: number;
	offsetMm: number;
	/** Depth of the nick, 0: none. */
	nickMm: number;
	/** In the middle of the face. */
	pxPerMm: number;
	tiltDeg: number;
	blurPx: number;
	/** What makes it unreadable; null: it must be read. */
	fault: NozzleFault | null;
}
export const NOZZLE_FAULTS = ['blurred', 'oblique', 'glare', 'small', 'cut-off', 'none'] as const;
export type NozzleFault = (typeof NOZZLE_FAULTS)[number];

export interface NozzleScene {
	faceMm: number;
	boreMm: number;
	ovalMm: number;
	ovalDeg: number;
	offsetMm: number;
	offsetDeg: number;
	nickMm: number;
	nickDeg: number;
	pxPerMm: number;
	tiltDeg: number;
	tiltTo: number;
	distanceMm: number;
	blurPx: number;
	noise: number;
	quality: number | null;
	soot: number;
	wallLight: number;
	boreDepthMm: number;
	chamferMm: number;
	chamferLight: number;
	glare: { share: number; at: 'face' | 'rim' } | null;
	/** Where the middle of the face stands, as shares of the picture, and how much room is about it. */
	shift: [number, number];
	room: number;
	empty: boolean;
	background: number;
	copper: number;
}

/** A nozzle as it comes from the torch; `fault` makes one that nobody can read. */
export function anyNozzle(d: Dice, fault: NozzleFault | null): NozzleScene {
	const boreMm = d.between(0.8, 2.4);
	const faceMm = d.between(Math.max(6, 3.2 * boreMm), 14);
	let pxPerMm = d.ratio(Math.max(8.5, 11 / boreMm), Math.min(60, 460 / faceMm));
	if (fault === 'small') pxPerMm = d.between(3, 6.8) / boreMm;
	const boreR = (boreMm * pxPerMm) / 2;
	return {
		faceMm,
		boreMm,
		ovalMm: d.yes(0.5) ? d.between(0, 0.02) : d.between(0.05, 0.25),
		ovalDeg: d.between(0, 180),
		offsetMm: d.yes(0.7) ? d.between(0, 0.08) : d.between(0.1, 0.3),
		offsetDeg: d.between(0, 360),
		nickMm: d.yes(0.25) ? d.between(0.15, 0.4) : 0,
		nickDeg: d.between(0, 360),
		pxPerMm,
		tiltDeg: fault === 'oblique' ? d.between(24, 42) : d.between(0, 16),
		tiltTo: d.between(0, 360),
		distanceMm: d.between(70, 180),
		blurPx:
			fault === 'blurred'
				? boreR * d.between(0.6, 1)
				: Math.min(d.between(0.5, 0.5 + 0.05 * pxPerMm), 0.2 * boreR),
		noise: d.ratio(0.004, 0.03),
		quality: d.yes(0.4) ? d.whole(70, 95) : null,
		soot: d.yes(0.6) ? d.between(0, 0.5) : 0,
		wallLight: d.yes(0.5) ? d.between(0.1, 0.75) : 0.03,
		boreDepthMm: d.between(1, 4),
		chamferMm: d.between(0.3, 1.2),
		chamferLight: d.between(0.12, 0.45),
		glare:
			fault === 'glare'
				? { share: d.between(0.35, 0.6), at: 'rim' }
				: d.yes(0.3)
					? { share: d.between(0.02, 0.06), at: 'face' }
					: null,
		shift:
			fault === 'cut-off'
				? [d.one([-1, 1]) * d.between(0.45, 0.6), d.between(-0.1, 0.1)]
				: [d.between(-0.12, 0.12), d.between(-0.12, 0.12)],
		room: d.between(1.25, 1.7),
		empty: fault === 'none',
		background: d.ratio(0.02, 0.8),
		copper: d.between(0.3, 0.65)
	};
}

export function drawNozzle(d: Dice, s: NozzleScene): Picture {
	const rad = Math.PI / 180;
	const half = Math.ceil(((s.faceMm / 2 + s.chamferMm) * s.room * s.pxPerMm) / 1) + 4;
	const width = 2 * half;
	const height = 2 * half;
	const midX = half + s.shift[0] * half * (s.shift[0] > 0.3 || s.shift[0] < -0.3 ? 2 : 1);
	const midY = half + s.shift[1] * half;
	const ct = Math.cos(s.tiltDeg * rad);
	const st = Math.sin(s.tiltDeg * rad);
	const ca = Math.cos(s.tiltTo * rad);
	const sa = Math.sin(s.tiltTo * rad);
	const D = s.distanceMm;
	// A point of the plane at depth `z` below the face, through the hole of the camera, back to the plane.
	const toPlane = (x: number, y: number, depth: number, to: Float64Array) => {
		const u = (x - midX) / s.pxPerMm;
		const v = (y - midY) / s.pxPerMm;
		// Along the tilt (p) and across it (q), on a screen at distance D.
		const p = ca * u + sa * v;
		const q = -sa * u + ca * v;
		// Eye at (0,0,0), ray (p, q, D); plane through (0,0,D) with normal (st,0,ct), sunk by `depth` along it.
		const t = (D * ct + depth) / (p * st + D * ct);
		const px = t * p;
		const pz = t * D - D;
		// Coordinates in the plane: along (ct,0,−st) and (0,1,0).
		const along = px * ct - pz * st;
		const across = t * q;
		to[0] = ca * along - sa * across;
		to[1] = sa * along + ca * across;
	};
	const here = new Float64Array(2);
	const deep = new Float64Array(2);
	const rim = s.faceMm / 2;
	const bx = s.offsetMm * Math.cos(s.offsetDeg * rad);
	const by = s.offsetMm * Math.sin(s.offsetDeg * rad);
	const nickWidth = d.between(0.1, 0.1 + 0.14 * s.boreMm);
	const turnEvery = d.between(0.12, 0.35);
	const turnDeep = d.between(0, 0.06);
	const sheenTo = d.between(0, Math.PI);
	const sheen = d.between(0, 0.22);
	const lightTo = d.between(0, 2 * Math.PI);
	const blotch = cloud(d, 0.5);
	const bench = cloud(d, d.between(2, 14));
	const fine = cloud(d, d.between(0.15, 0.5));
	const sootReach = d.between(0.3, 1.2);
	const fall = d.between(-0.25, 0.25);
	const fallTo = d.between(0, 2 * Math.PI);
	const [fallX, fallY] = [Math.cos(fallTo), Math.sin(fallTo)];
	const specks = Array.from({ length: d.whole(0, 10) }, () => ({
		r: d.between(s.boreMm * 0.65, rim * 0.92),
		to: d.between(0, 2 * Math.PI),
		size: d.between(0.04, 0.16),
		light: d.one([0.08, 0.15, 0.9])
	})).map((k) => ({ ...k, x: k.r * Math.cos(k.to), y: k.r * Math.sin(k.to) }));
	const scratches = Array.from({ length: d.whole(0, 4) }, () => ({
		to: d.between(0, Math.PI),
		off: d.between(-rim, rim),
		wide: d.between(0.015, 0.05),
		light: d.between(-0.15, 0.2)
	})).map((k) => ({ ...k, c: Math.cos(k.to), s: Math.sin(k.to) }));
	const gAt =
		s.glare?.at === 'rim' ? s.boreMm / 2 : d.between(s.boreMm * 0.5 + s.faceMm * 0.18, rim * 0.8);
	const gTo = d.between(0, 2 * Math.PI);
	const gR = s.glare ? s.glare.share * (s.glare.at === 'rim' ? 2.2 * s.boreMm : s.faceMm) : 0;
	const glareX = gAt * Math.cos(gTo) + bx;
	const glareY = gAt * Math.sin(gTo) + by;
	const boreAt = (x: number, y: number): number => {
		// How far outside the bore's rim, mm, negative within.
		const u = x - bx;
		const v = y - by;
		const to = Math.atan2(v, u);
		let edge = s.boreMm / 2 + (s.ovalMm / 4) * Math.cos(2 * (to - s.ovalDeg * rad));
		if (s.nickMm > 0) {
			let turn = to - s.nickDeg * rad;
			turn -= 2 * Math.PI * Math.round(turn / (2 * Math.PI));
			const way = (turn * s.boreMm) / 2;
			edge += s.nickMm * Math.max(0, 1 - Math.abs(way) / nickWidth);
		}
		return Math.sqrt(u * u + v * v) - edge;
	};
	const drawn = scene(width, height, 3, (x, y, into) => {
		toPlane(x, y, 0, here);
		const mx = here[0]!;
		const my = here[1]!;
		const r = Math.sqrt(mx * mx + my * my);
		const to = Math.atan2(my, mx);
		let light: number;
		let copper = true;
		if (s.empty || r > rim + s.chamferMm) {
			light = s.background * (1 + 0.35 * bench(mx, my) + 0.12 * fine(mx, my));
			copper = false;
		} else if (r > rim) {
			light = s.copper * s.chamferLight * (1 + 0.5 * Math.cos(to - lightTo));
		} else {
			const off = boreAt(mx, my);
			if (off < 0) {
				toPlane(x, y, s.boreDepthMm, deep);
				const below = boreAt(deep[0]!, deep[1]!);
				light = 0.012;
				// The wall is seen where the eye looks past the lower rim.
				if (below > 0) {
					const facing = Math.max(0, Math.cos(Math.atan2(my - by, mx - bx) - lightTo));
					light += s.copper * s.wallLight * (0.3 + 0.7 * facing) * Math.exp(-below / 1.2);
				}
			} else {
				light = s.copper * (1 + sheen * Math.cos(2 * (to - sheenTo)));
				light *= 1 + turnDeep * Math.sin((2 * Math.PI * r) / turnEvery);
				light *= 1 - s.soot * Math.exp(-off / sootReach) * (0.75 + 0.25 * blotch(mx, my));
				for (const k of scratches) {
					const way = mx * k.c + my * k.s - k.off;
					if (Math.abs(way) < k.wide) light *= 1 + k.light;
				}
				for (const k of specks)
					if ((mx - k.x) ** 2 + (my - k.y) ** 2 < k.size ** 2) light = k.light * s.copper;
			}
		}
		light *= 1 + fall * ((mx * fallX + my * fallY) / s.faceMm);
		if (gR > 0 && !s.empty)
			light += 4 * Math.exp(-0.5 * (((mx - glareX) ** 2 + (my - glareY) ** 2) / (0.35 * gR) ** 2));
		into[0] = light * (copper ? 1.25 : 1);
		into[1] = light * (copper ? 0.95 : 1);
		into[2] = light * (copper ? 0.75 : 1);
	});
	return exposed(blurred(drawn, s.blurPx), d, s);
}

/** Picture and truth from a seed; `fault` undefined: one in five is made unreadable. */
export function nozzlePicture(
	...asked: Parameters<typeof drawNozzlePicture>
): ReturnType<typeof drawNozzlePicture> {
	return drawnOnce('nozzle', asked, () => drawNozzlePicture(...asked));
}
function drawNozzlePicture(
	seed: number,
	fault?: NozzleFault | null,
	change: Partial<NozzleScene> = {}
): { picture: Picture; truth: NozzleTruth } {
	const d = dice(seed);
	const kind = fault === undefined ? (d.yes(0.2) ? d.one(NOZZLE_FAULTS) : null) : fault;
	const s = { ...anyNozzle(d, kind), ...change };
	return {
		picture: drawNozzle(d, s),
		truth: {
			faceMm: s.faceMm,
			boreMm: s.boreMm,
			longMm: s.boreMm + s.ovalMm / 2,
			shortMm: s.boreMm - s.ovalMm / 2,
			offsetMm: s.offsetMm,
			nickMm: s.nickMm,
			pxPerMm: s.pxPerMm,
			tiltDeg: s.tiltDeg,
			blurPx: s.blurPx,
			fault: kind
		}
	};
}
