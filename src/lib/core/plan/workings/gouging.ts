import {
	GOUGE_AIR_SHARE,
	gougeSpeedMmS,
	grooveAreaMm2,
	passCount,
	passDepthMm,
	REMOVAL_J_PER_KG_STEEL,
	removalKgS
} from '../../gouge/groove';
import { meltEnergyJMm3, METALS, type Metal } from '../../metal/metals';
import type { Bench, Cut, PlateInput } from '../inputs';
import { arcVoltageV } from './electric';

export interface GougeWorkings {
	/** Full amps: a wide soft arc (common practice). */
	outputA: number;
	arcVoltageV: number;
	removalJPerKg: number;
	removalKgH: number;
	passes: number;
	deepestPassMm: number;
	depthPerPassMm: number;
	areaMm2: number;
	areaPerPassMm2: number;
	speedMmS: number;
	secondsPerPass: number;
	airBar: number;
	hasNozzle: boolean;
}

/** Energy to throw out a kilogram, in proportion to the metal's melt energy against steel's [own]. */
export function removalEnergyJPerKg(metal: Metal): number {
	const perKg = (m: Metal) => meltEnergyJMm3(m) / m.densityKgM3;
	return (REMOVAL_J_PER_KG_STEEL * perKg(metal)) / perKg(METALS['mild-steel']);
}

export function gougeWorkings(bench: Bench, plate: PlateInput, cut: Cut): GougeWorkings {
	const metal = METALS[cut.metal];
	const { depthMm, widthMm, angleFromPlateDeg } = cut.gouge;
	const outputA = plate.outputMaxA;
	const removalJPerKg = removalEnergyJPerKg(metal);
	const arcV = arcVoltageV(bench, outputA);
	const removal = removalKgS(outputA * arcV, removalJPerKg);
	const deepestPassMm = passDepthMm(widthMm, angleFromPlateDeg);
	const passes = passCount(depthMm, deepestPassMm);
	const areaMm2 = grooveAreaMm2(widthMm, depthMm);
	const areaPerPassMm2 = areaMm2 / passes;
	const speedMmS = gougeSpeedMmS(removal, metal.densityKgM3, areaPerPassMm2);
	return {
		outputA,
		arcVoltageV: arcV,
		removalJPerKg,
		removalKgH: removal * 3600,
		passes,
		deepestPassMm,
		depthPerPassMm: depthMm / passes,
		areaMm2,
		areaPerPassMm2,
		speedMmS,
		secondsPerPass: cut.lengthMm / speedMmS,
		airBar: Math.max(bench.cutter.airMinBar, bench.air.setPointBar * GOUGE_AIR_SHARE),
		hasNozzle: bench.torch.nozzles.some((n) => n.kind === 'gouge')
	};
}
