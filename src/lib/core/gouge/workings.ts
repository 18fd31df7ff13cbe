import {
	GOUGE_AIR_SHARE,
	gougeSpeedMmS,
	grooveAreaMm2,
	passCount,
	passDepthMm,
	REMOVAL_J_PER_KG_STEEL,
	removalKgS
} from './groove';
import { meltEnergyJMm3, METALS, type Metal } from '../metal/metals';
import type { ShopBench } from '../air/inputs';
import type { LineCut } from '../cut/lineCut';
import type { Gouge } from './inputs';
import type { PlateInput } from '../cutter/inputs';
import { arcVoltageV } from '../cutter/power';

/** The groove, and the line it is cut along. */
type GougedCut = Pick<LineCut, 'metal' | 'lengthMm'> & { gouge: Gouge };

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
	/** At the torch while gouging; null: the machine sets it, or nobody has told. */
	airBar: number | null;
	/** Somebody wants this groove. */
	asked: boolean;
	hasNozzle: boolean;
}

/** Energy to throw out a kilogram, in proportion to the metal's melt energy against steel's [own]. */
export function removalEnergyJPerKg(metal: Metal): number {
	const perKg = (m: Metal) => meltEnergyJMm3(m) / m.densityKgM3;
	return (REMOVAL_J_PER_KG_STEEL * perKg(metal)) / perKg(METALS['mild-steel']);
}

/** Less than for cutting, by whoever sets it; the shop's own regulator stays inside the window. */
function gougeAirBar({ cutter, air }: ShopBench): number | null {
	if (cutter.regulator === 'itself') return null;
	if (cutter.regulator === 'none') {
		return Math.max(cutter.airMinBar, air.setPointBar * GOUGE_AIR_SHARE);
	}
	return cutter.workingBar === null ? null : cutter.workingBar * GOUGE_AIR_SHARE;
}

export function gougeWorkings(bench: ShopBench, plate: PlateInput, cut: GougedCut): GougeWorkings {
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
		airBar: gougeAirBar(bench),
		asked: cut.gouge.asked,
		hasNozzle: bench.torch.nozzles.some((n) => n.kind === 'gouge')
	};
}

/** What the room of gouging reads of the Plan's workings. */
export interface GougeView {
	inputs: { bench: ShopBench; cut: GougedCut };
	gouging: GougeWorkings;
	cutting: { metal: Metal };
}
