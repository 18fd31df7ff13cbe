import { FREE_AIR_BAR } from '../quantity/units';

const R_AIR = 287.05287;
const GAMMA = 1.4;
const FREE_AIR_K = 293.15;
/** Sutherland at 20 °C, Pa·s. */
const VISCOSITY_PA_S = 1.8134e-5;
/** A smooth rubber or PVC hose, mm [handbook, from memory]. */
const HOSE_ROUGHNESS_MM = 0.01;

/** kg/s of a free-air flow. */
export function massFlowKgS(flowLpm: number): number {
	const density = (FREE_AIR_BAR * 1e5) / (R_AIR * FREE_AIR_K);
	return (flowLpm / 60_000) * density;
}

/**
 * Flow through a round bore that is choked (upstream above about 0.9 bar gauge), free air l/min:
 * ṁ = Cd·A·p0·√(γ/(R·T0))·(2/(γ+1))^3 for γ = 1.4. Isentropic orifice; checked with leak tables.
 */
export function chokedFlowLpm(
	boreMm: number,
	pressureBar: number,
	dischargeCoefficient = 1
): number {
	const areaM2 = (Math.PI / 4) * (boreMm / 1000) ** 2;
	const p0Pa = (pressureBar + FREE_AIR_BAR) * 1e5;
	const kgS =
		dischargeCoefficient *
		areaM2 *
		p0Pa *
		Math.sqrt(GAMMA / (R_AIR * FREE_AIR_K)) *
		(2 / (GAMMA + 1)) ** 3;
	return kgS / massFlowKgS(1);
}

/** Explicit fit to Colebrook-White within 2 % above Re 4000 (Swamee & Jain 1976). */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
	return 0.25 / Math.log10(relativeRoughness / 3.7 + 5.74 / reynolds ** 0.9) ** 2;
}

export interface HoseFlow {
	boreMm: number;
	lengthM: number;
	flowLpm: number;
}

/**
 * p1² − p2² along a hose, isothermal Darcy-Weisbach: f·(L/D)·G²·R·T, in bar² (absolute pressures).
 * It does not depend on the pressures, which makes the loss explicit from either end.
 */
export function hoseSquareDropBar2({ boreMm, lengthM, flowLpm }: HoseFlow): number {
	if (!(flowLpm > 0)) return 0;
	const diameterM = boreMm / 1000;
	const fluxKgM2S = massFlowKgS(flowLpm) / ((Math.PI / 4) * diameterM ** 2);
	const reynolds = (fluxKgM2S * diameterM) / VISCOSITY_PA_S;
	const f = frictionFactor(reynolds, HOSE_ROUGHNESS_MM / boreMm);
	return ((f * lengthM) / diameterM) * fluxKgM2S ** 2 * R_AIR * FREE_AIR_K * 1e-10;
}

/**
 * Pressure at the far end of the hose, bar gauge.
 * Gives undefined when the hose cannot pass the flow at all.
 */
export function outletBar(inletBar: number, squareDropBar2: number): number | undefined {
	const square = (inletBar + FREE_AIR_BAR) ** 2 - squareDropBar2;
	return square > FREE_AIR_BAR ** 2 ? Math.sqrt(square) - FREE_AIR_BAR : undefined;
}

/** Pressure wanted at the near end of the hose for a pressure at the far end, bar gauge. */
export function inletBarFor(outletBarG: number, squareDropBar2: number): number {
	return Math.sqrt((outletBarG + FREE_AIR_BAR) ** 2 + squareDropBar2) - FREE_AIR_BAR;
}

/** Straight hose that loses as much as one quick coupling of the hose's size, m [common practice]. */
export const COUPLING_EQUIVALENT_M = 2;
