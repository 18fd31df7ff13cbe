import {
	absoluteHPa,
	absoluteHumidityGM3,
	dewPointC,
	mixingRatio,
	saturationHPa,
	vapourHPaOf
} from './humidity';
import type { StageKind } from '../air/stages';

/** Silica gel takes about 0.2 g of water per gram before it is spent [common practice]. */
export const GEL_CAPACITY = 0.2;
/** Pressure dew point behind gel that is not spent, °C [own]. */
export const GEL_DEW_C = -20;
/** Share of liquid that a trap or a plain filter takes out, and a coalescing one [own]. */
export const CAUGHT: Record<'plain' | 'coalescing', number> = { plain: 0.95, coalescing: 0.99 };
/** Warm air comes down to the shop's temperature along the pipe: e-fold in so many metres [own]. */
export const COOLING_M = 4;
/** Drain before this share of the tank is water [own]; after each shift at the latest [common practice]. */
export const TANK_WATER_SHARE = 0.01;

export interface WaterInputs {
	/** Free air used on average, l/min at the shop's own temperature and pressure. */
	flowLpm: number;
	shopC: number;
	humidity: number;
	ambientHPa: number;
	/** Tank above the shop, K. */
	tankRiseK: number;
	tankBar: number;
	tankL: number;
	/** Pipe (and hose) up to the first thing that takes out water, m. */
	coolingM: number;
	/** While flowing, at the cutter. */
	inletBar: number;
	stages: readonly { kind: StageKind; gelG: number | null }[];
}

export interface WaterLine {
	/** All in g/h. Inhaled = tank + trap + gel + onward, always. */
	inhaledGH: number;
	tankGH: number;
	trapGH: number;
	gelGH: number;
	onwardGH: number;
	/** Of what goes on, liquid. */
	mistGH: number;
	dryAirKgH: number;
	tankC: number;
	trapC: number;
	/** Pressure dew point at the cutter's inlet, °C. */
	dewC: number;
	/** Hours until the tank should be drained; Infinity: nothing falls out. */
	drainH: number;
	/** Hours until the gel is spent; undefined: there is none, or nobody said how much. */
	gelH: number | undefined;
}

/**
 * Where the water goes that the compressor inhales. Each stage cools and keeps what the air can carry
 * as vapour at its temperature and pressure; the rest is liquid. [own; Magnus and mass balance]
 */
export function waterLine(i: WaterInputs): WaterLine {
	const inHPa = i.humidity * saturationHPa(i.shopC);
	const m3H = (i.flowLpm * 60) / 1000;
	const inhaledGH = absoluteHumidityGM3(inHPa, i.shopC) * m3H;
	const dryAirKgH = inhaledGH / 1000 / mixingRatio(inHPa, i.ambientHPa);
	const carriesGH = (tempC: number, bar: number) =>
		1000 * dryAirKgH * mixingRatio(saturationHPa(tempC), absoluteHPa(bar, i.ambientHPa));

	const tankC = i.shopC + i.tankRiseK;
	const leavesTank = Math.min(inhaledGH, carriesGH(tankC, i.tankBar));
	const trapC = i.shopC + i.tankRiseK * Math.exp(-i.coolingM / COOLING_M);
	const vapour = Math.min(leavesTank, carriesGH(trapC, i.tankBar));
	const liquid = leavesTank - vapour;
	const dryers = i.stages.filter((s) => s.kind === 'desiccant');
	const separators = i.stages.filter((s) => s.kind !== 'desiccant');
	const share = separators.some((s) => s.kind === 'coalescing')
		? CAUGHT.coalescing
		: separators.length
			? CAUGHT.plain
			: 0;
	const trapGH = share * liquid;
	const mist = liquid - trapGH;

	const gelG = dryers.reduce((sum, d) => sum + (d.gelG ?? 0), 0);
	const dry = dryers.length > 0;
	const leavesGel = dry ? Math.min(vapour + mist, carriesGH(GEL_DEW_C, i.inletBar)) : vapour + mist;
	const gelGH = vapour + mist - leavesGel;
	const ratio = (dry ? leavesGel : vapour) / 1000 / Math.max(dryAirKgH, 1e-12);
	const fallsGH = inhaledGH - leavesTank;
	return {
		inhaledGH,
		tankGH: fallsGH,
		trapGH,
		gelGH,
		onwardGH: leavesGel,
		mistGH: dry ? 0 : mist,
		dryAirKgH,
		tankC,
		trapC,
		dewC: dewPointC(vapourHPaOf(ratio, absoluteHPa(i.inletBar, i.ambientHPa))),
		drainH: fallsGH > 0 ? (TANK_WATER_SHARE * i.tankL * 1000) / fallsGH : Infinity,
		gelH: gelG > 0 ? (gelGH > 0 ? (GEL_CAPACITY * gelG) / gelGH : Infinity) : undefined
	};
}
