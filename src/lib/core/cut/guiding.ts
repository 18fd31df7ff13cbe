import { aimShiftMm, bottomShiftMm, circleRadiusMm, guideOffsetMm, surfaceKerfMm } from './guide';
import type { Torch } from '../torch/inputs';
import type { CutEvidence } from './inputs';
import type { LineCut } from './lineCut';
import type { Stat } from '../quantity/stat';

/** What the distance to set is measured for. */
export type GuideWay = 'kept' | 'waste' | 'hole' | 'disc' | 'centre';
const OTHER_WAY: Record<GuideWay, GuideWay> = {
	kept: 'waste',
	waste: 'kept',
	hole: 'disc',
	disc: 'hole',
	centre: 'centre'
};

/** Where the guide goes; all in mm. */
export interface Guiding {
	guideWay: GuideWay;
	otherWay: GuideWay;
	/** Straight edge from the finished edge; pivot to torch centre; torch centre from the finished edge. */
	offsetMm: number;
	otherSideOffsetMm: number;
	/** Width of the kerf in the surface. */
	kerfTopMm: number;
	/** Way of the torch: the line, or once round the circle. */
	lineMm: number;
	radiusMm: number;
	/** From scrap; null: as on the bench. */
	measuredRadius: Stat | null;
	bottomShiftMm: number;
	aimShiftMm: number;
}

function guideWay({ guide, circleOf }: LineCut): GuideWay {
	if (guide === 'kept' || guide === 'waste') return guide;
	return guide === 'circle' ? circleOf : 'centre';
}

/** The guide for this cut, with what was measured on scrap before what the bench says. */
export function guided(
	bench: { torch: Torch },
	cut: LineCut,
	evidence: CutEvidence,
	{ kerfMm, standoffMm }: { kerfMm: number; standoffMm: number }
): Guiding {
	const { bevelDeg, circleMm, guide, circleOf } = cut;
	const measuredRadius = evidence.scrap.radius;
	const radiusMm = measuredRadius?.mean ?? bench.torch.shieldRadiusMm;
	const kerfTopMm = surfaceKerfMm(kerfMm, bevelDeg);
	const edge = { shieldRadiusMm: radiusMm, kerfMm, bevelDeg };
	const offsets: Record<GuideWay, number> = {
		kept: guideOffsetMm('kept', edge),
		waste: guideOffsetMm('waste', edge),
		hole: circleRadiusMm('hole', circleMm, kerfTopMm),
		disc: circleRadiusMm('disc', circleMm, kerfTopMm),
		centre: kerfTopMm / 2
	};
	const way = guideWay(cut);
	return {
		guideWay: way,
		otherWay: OTHER_WAY[way],
		offsetMm: offsets[way],
		otherSideOffsetMm: offsets[OTHER_WAY[way]],
		kerfTopMm,
		lineMm: guide === 'circle' ? 2 * Math.PI * offsets[circleOf] : cut.lengthMm,
		measuredRadius,
		radiusMm,
		bottomShiftMm: bottomShiftMm(cut.layers * cut.thicknessMm, bevelDeg),
		aimShiftMm: aimShiftMm(standoffMm, bevelDeg)
	};
}
