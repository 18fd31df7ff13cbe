/**
 * Travel before anything is known of a machine beyond its limits: mild steel, mm/min, mm, A.
 * w = 1500·(I/45)^1.6·(6/t)^1.5, bent on sheet to w/√(1 + (w/10 000)²) [common practice, from memory; own
 * fit]. Between clean and sever it falls to a quarter, straight in the logarithms: the 500 and 125 mm/min
 * by which the trade rates machines.
 */
export const POOLED_MM_MIN = 1500;
export const POOLED_A = 45;
export const POOLED_MM = 6;
export const AMPS_POWER = 1.6;
export const THICKNESS_POWER = 1.5;
export const SHEET_MM_MIN = 10_000;

export const CLEAN_MM_MIN = 500;
export const SEVER_MM_MIN = 125;
export const FALL = Math.log(CLEAN_MM_MIN / SEVER_MM_MIN);

/** Another metal against mild steel: `capacity` scales the limits, `thinSpeed` the speed in thin sheet. */
export interface MetalFactors {
	capacity: number;
	thinSpeed: number;
}

/** Limits of mild steel at the amps asked about, mm. */
export interface SteelLimits {
	cleanMm: number;
	severMm: number;
}

/** Up to this share of its own sever limit a metal goes by its thin speed [own]. */
const THIN_TO_SEVER = 0.6;
/** And at least up to this share of what the bench cuts clean in steel (common practice). */
const THIN_TO_CLEAN = 0.6;
const THIN_MOST = 0.75;

const isSteel = (metal: MetalFactors) => metal.capacity === 1 && metal.thinSpeed === 1;

/** ln(mm/min) below the clean limit. */
function lnThin(outputA: number, thicknessMm: number): number {
	const w =
		POOLED_MM_MIN *
		(outputA / POOLED_A) ** AMPS_POWER *
		(POOLED_MM / thicknessMm) ** THICKNESS_POWER;
	return Math.log(w) - 0.5 * Math.log1p((w / SHEET_MM_MIN) ** 2);
}

/** Where a thickness stands between the clean limit (0) and the sever limit (1) of its metal. */
export function thickShare(
	{ cleanMm, severMm }: SteelLimits,
	metal: MetalFactors,
	thicknessMm: number
): number {
	const share = Math.log(thicknessMm / (metal.capacity * cleanMm)) / Math.log(severMm / cleanMm);
	return Math.min(1, Math.max(0, share));
}

/** Up to here another metal goes by its thin speed, mm. */
export function thinToMm({ cleanMm, severMm }: SteelLimits, metal: MetalFactors): number {
	const severHere = metal.capacity * severMm;
	return Math.min(
		THIN_MOST * severHere,
		Math.max(THIN_TO_SEVER * severHere, THIN_TO_CLEAN * cleanMm)
	);
}

/** Which stretch of the pooled law a place lies on. Thickness in mm, speed as ln(mm/min). */
export type Stretch =
	| { kind: 'thin'; factor: number }
	| { kind: 'between'; from: { mm: number; ln: number }; to: { mm: number; ln: number } };

/** Steel: the thin law to the clean limit, then straight in the logarithms to a quarter at the sever limit. */
function steelStretch(limits: SteelLimits, outputA: number, thicknessMm: number): Stretch {
	if (thicknessMm <= limits.cleanMm) return { kind: 'thin', factor: 1 };
	const ln = lnThin(outputA, limits.cleanMm);
	return {
		kind: 'between',
		from: { mm: limits.cleanMm, ln },
		to: { mm: limits.severMm, ln: ln - FALL }
	};
}

function lnOn(stretch: Stretch, outputA: number, thicknessMm: number): number {
	if (stretch.kind === 'thin') return Math.log(stretch.factor) + lnThin(outputA, thicknessMm);
	const { from, to } = stretch;
	const share = Math.log(thicknessMm / from.mm) / Math.log(to.mm / from.mm);
	return from.ln + Math.min(1, share) * (to.ln - from.ln);
}

/**
 * Another metal: `thinSpeed` times steel in its thin range, then straight, in the logarithms, to the speed
 * of steel at its own sever limit.
 */
export function stretchAt(
	limits: SteelLimits,
	metal: MetalFactors,
	{ outputA, thicknessMm }: { outputA: number; thicknessMm: number }
): Stretch {
	const steel = (mm: number) => steelStretch(limits, outputA, mm);
	if (isSteel(metal)) return steel(thicknessMm);
	const thinMm = thinToMm(limits, metal);
	const slower = Math.log(metal.thinSpeed);
	const thin = steel(Math.min(thicknessMm, thinMm));
	if (thicknessMm > thinMm) {
		return {
			kind: 'between',
			from: { mm: thinMm, ln: slower + lnOn(steel(thinMm), outputA, thinMm) },
			to: {
				mm: metal.capacity * limits.severMm,
				ln: lnOn(steel(limits.severMm), outputA, limits.severMm)
			}
		};
	}
	if (thin.kind === 'thin') return { kind: 'thin', factor: metal.thinSpeed };
	const shifted = (end: { mm: number; ln: number }) => ({ mm: end.mm, ln: end.ln + slower });
	return { kind: 'between', from: shifted(thin.from), to: shifted(thin.to) };
}

/** ln(mm/min) of a metal at amps and thickness up to its sever limit. */
export function lnPooled(
	limits: SteelLimits,
	metal: MetalFactors,
	at: { outputA: number; thicknessMm: number }
): number {
	return lnOn(stretchAt(limits, metal, at), at.outputA, at.thicknessMm);
}
