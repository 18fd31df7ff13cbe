/**
 * How much metal a gouging arc throws out, and the shape that it leaves [own]: power melts and throws out at
 * η·P/H; one string is a parabola (area 2/3·w·d) whose depth over width is 0.44·tan(angle from the plate).
 * Area comes from power and travel, depth over width from the angle: width and depth follow.
 */
import { meltEnergyJMm3, METALS, type Metal } from '../metal/metals';

export const REMOVAL_EFFICIENCY = 0.25;
/** Melt, some superheat and throw, mild steel, J/kg. Other metals go by their melt energy. */
export const REMOVAL_J_PER_KG_STEEL = 1.28e6;
export const DEPTH_PER_WIDTH = 0.44;
/** Travel of a hand that pushes a groove, mm/s: 8 to 5 mm of width at 45 A [common practice]. */
export const HAND_GOUGE_MM_S = [6, 16] as const;
/** Lines that only mark are drawn faster, along a guide: as fast as a hand cuts. */
export const HAND_MARK_MM_S = [6, 30] as const;
/** A twentieth of a hand's travel: nobody tells those apart [own]. */
export const HAND_TELLS_MM_S = 0.8;
/** Marks, dimples and tacks: at most so many amps, with a precision nozzle where there is one (common practice). */
export const PRECISE_A = 25;
/** Angles of a groove from the plate: flatter skids, steeper blows back (common practice). */
export const GROOVE_ANGLE_DEG = [30, 50] as const;
/** Gouging air over cutting air (common practice: less, so that the arc lies soft) [own value]. */
export const GOUGE_AIR_SHARE = 0.87;

/** What is accepted of a test groove; the log and the screen read it here. */
export const TEST_GROOVE_RANGES = {
	angleFromPlateDeg: [20, 60],
	widthMm: [1, 40],
	depthMm: [0.2, 20],
	lengthMm: [20, 2000],
	seconds: [1, 600]
} as const;

/**
 * Energy to throw out a kilogram, in proportion to the metal's melt energy against steel's, and more where the
 * plate leads heat away: by as much as it lowers what is cut through at the same amps [own]. By melt energy
 * alone copper would be gouged twice as fast as steel, which nobody has seen.
 */
export function removalEnergyJPerKg(metal: Metal): number {
	const perKg = (m: Metal) => meltEnergyJMm3(m) / m.densityKgM3;
	return (REMOVAL_J_PER_KG_STEEL * perKg(metal)) / perKg(METALS['mild-steel']) / metal.capacity;
}

/** η·P/H, kg/s. */
export function removalKgS(powerW: number, removalJPerKg: number): number {
	return (REMOVAL_EFFICIENCY * powerW) / removalJPerKg;
}
/** The same as volume, mm³/s. */
export const removalMm3S = (removalKgPerS: number, densityKgM3: number): number =>
	removalKgPerS / (densityKgM3 * 1e-9);

/** Travel that leaves a section: ṁ/(ρ·area), mm/s. */
export function gougeSpeedMmS(removalKgPerS: number, densityKgM3: number, areaMm2: number): number {
	return removalMm3S(removalKgPerS, densityKgM3) / areaMm2;
}

/** Depth over width of one string that is pushed straight, at a torch angle from the plate. */
export const depthOverWidth = (angleFromPlateDeg: number): number =>
	DEPTH_PER_WIDTH * Math.tan((angleFromPlateDeg * Math.PI) / 180);

/** Within so much of its planned travel a string comes out as planned [own]. */
const STEADY_SHARE = 0.15;
export const steadyMmS = (speedMmS: number) => ({
	lowMmS: speedMmS * (1 - STEADY_SHARE),
	highMmS: speedMmS * (1 + STEADY_SHARE)
});
