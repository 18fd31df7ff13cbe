/**
 * Gouging [own]: power melts and throws out metal at η·P/H; a pass leaves a parabolic groove
 * (area 2/3·w·d) whose depth over width is 0.44·tan(angle from the plate).
 */
export const REMOVAL_EFFICIENCY = 0.25;
/** Melt, some superheat and throw, mild steel, J/kg. Other metals go by their melt energy. */
export const REMOVAL_J_PER_KG_STEEL = 1.28e6;
export const DEPTH_PER_WIDTH = 0.44;

export function removalKgS(powerW: number, removalJPerKg: number): number {
	return (REMOVAL_EFFICIENCY * powerW) / removalJPerKg;
}

export function grooveAreaMm2(widthMm: number, depthMm: number): number {
	return (2 / 3) * widthMm * depthMm;
}

/** Deepest single pass of this width at a torch angle from the plate, mm. */
export function passDepthMm(widthMm: number, angleFromPlateDeg: number): number {
	return DEPTH_PER_WIDTH * Math.tan((angleFromPlateDeg * Math.PI) / 180) * widthMm;
}

/** Passes for a depth; 0.9 mm in passes of 0.3 mm is three, whatever the last binary digit says. */
export function passCount(depthMm: number, depthPerPassMm: number): number {
	return Math.max(1, Math.ceil(depthMm / depthPerPassMm - 1e-9));
}

/** Travel that leaves a groove area: ṁ/(ρ·area), mm/s. */
export function gougeSpeedMmS(removalKgPerS: number, densityKgM3: number, areaMm2: number): number {
	return removalKgPerS / (densityKgM3 * 1e-9 * areaMm2);
}

/** Gouging air over cutting air (common practice: less, so that the arc lies soft) [own value]. */
export const GOUGE_AIR_SHARE = 0.87;

/** What a person starts from; every field may be left out. `asked`: somebody wants it; else it judges nothing. */
/** What is accepted; the schema and the screen read it here. */
export const GOUGE_RANGES = {
	depthMm: [0.3, 40],
	widthMm: [1, 40],
	angleFromPlateDeg: [20, 60]
} as const;

export const DEFAULT_GOUGE = {
	asked: false,
	depthMm: 4,
	widthMm: 7,
	angleFromPlateDeg: 40
} as const;
