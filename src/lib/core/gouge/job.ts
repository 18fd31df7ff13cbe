/** A groove as it is asked for, and what there is to make it with. */
import type { ShopBench } from '../air/inputs';
import type { LineCut } from '../cut/lineCut';
import type { PlateInput } from '../cutter/inputs';
import { METALS } from '../metal/metals';
import type { Nozzle } from '../torch/inputs';
import { factorOf, REMOVAL_PRIOR, SHAPE_PRIOR } from './calibrated';
import { grooveKey, type Gouge, type GougeEvidence } from './inputs';
import { depthOverWidth, GROOVE_ANGLE_DEG, PRECISE_A, removalEnergyJPerKg } from './removal';
import { goesIntoPlate, isLight, isSpot } from './targets';
import { GRIND_MM, ligamentMm, sectionOf } from './section';

/** The groove, and the cut whose plate it is in where nothing else is said. */
export type GougedCut = Pick<LineCut, 'metal' | 'thicknessMm' | 'lengthMm'> & { gouge: Gouge };

/** Why it cannot be made as asked. */
export type GougeRefusal =
	/** No gouging nozzle, and no light work. */
	| 'nozzle'
	/** More amps than the nozzle or the machine bear, or fewer than the machine gives. */
	| 'amps'
	| 'angle'
	/** Into what must stay of the plate. */
	| 'plate'
	/** Deeper than wide. */
	| 'deep'
	/** Nothing is left of it once the grinder's share is off. */
	| 'small'
	/** More strings than anyone pushes. */
	| 'much'
	/** No strings at a hand's travel: too much arc for so little metal, or too little angle. */
	| 'hand';

/** The nozzle that is put in: the smallest gouging one that bears the amps, else the largest. */
export function gougeNozzle(bench: ShopBench, wantedA: number | null): Nozzle | undefined {
	const gouging = bench.torch.nozzles
		.filter(({ kind }) => kind === 'gouge')
		.sort((x, y) => x.ratingA - y.ratingA);
	return (
		(wantedA === null ? undefined : gouging.find((n) => n.ratingA >= wantedA)) ?? gouging.at(-1)
	);
}

/** The job itself, with what was left to us filled in. */
export function jobOf(cut: GougedCut) {
	const { gouge } = cut;
	const { target } = gouge;
	const plateMm = gouge.plateMm ?? cut.thicknessMm;
	const into = goesIntoPlate(target);
	const usualMm = target === 'fillet' ? GRIND_MM.fillet : GRIND_MM.other;
	const grindMm = into ? 0 : (gouge.grindMm ?? usualMm);
	const keepMm = gouge.keepMm ?? ligamentMm(plateMm);
	const mostMm = into ? Math.max(0, plateMm - keepMm) : Infinity;
	return {
		metal: METALS[gouge.metal ?? cut.metal],
		plateMm,
		lengthMm: gouge.lengthMm ?? cut.lengthMm,
		into,
		grindMm,
		keepMm,
		mostMm,
		section: sectionOf(gouge, grindMm, mostMm)
	};
}
export type GrooveJob = ReturnType<typeof jobOf>;

/** Nozzle, amps, and what model and test grooves say of them. */
export function toolsOf(
	bench: ShopBench,
	plate: PlateInput,
	gouge: Gouge,
	{ metal }: GrooveJob,
	evidence: GougeEvidence
) {
	const light = isLight(gouge.target);
	const nozzle = gougeNozzle(bench, gouge.outputA ?? (light ? PRECISE_A : null)) ?? null;
	const ratingA = nozzle?.ratingA ?? bench.torch.fittedA;
	const mostA = Math.min(plate.outputMaxA, ratingA);
	const read = evidence.gouge[grooveKey(metal.id, ratingA)];
	const shape = factorOf(read?.shape, SHAPE_PRIOR);
	return {
		nozzle,
		mostA,
		usualA: light ? Math.min(mostA, Math.max(PRECISE_A, bench.cutter.outputMinA)) : mostA,
		removalJPerKg: removalEnergyJPerKg(metal),
		removal: factorOf(read?.removal, REMOVAL_PRIOR),
		shape,
		depthOverWidth: shape.factor * depthOverWidth(gouge.angleFromPlateDeg)
	};
}
export type GrooveTools = ReturnType<typeof toolsOf>;

/** Why it cannot be made, before any string is looked for. */
export function refusalOf(
	{ cutter }: ShopBench,
	{ target, outputA, angleFromPlateDeg }: Gouge,
	{ into, section, mostMm }: GrooveJob,
	{ nozzle, mostA }: GrooveTools
): GougeRefusal | undefined {
	if (!nozzle && !isLight(target)) return 'nozzle';
	if (outputA !== null && (outputA > mostA || outputA < cutter.outputMinA)) return 'amps';
	if (isSpot(target)) return undefined;
	const [flat, steep] = GROOVE_ANGLE_DEG;
	if (angleFromPlateDeg < flat || angleFromPlateDeg > steep) return 'angle';
	if (section.depthMm <= 0) return 'small';
	if (into && section.depthMm > mostMm + 1e-9) return 'plate';
	if (into && section.depthMm > section.widthMm) return 'deep';
	return undefined;
}
