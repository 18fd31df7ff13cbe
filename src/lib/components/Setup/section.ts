/** Geometry of the side section: plate to scale, torch as a symbol, in a 690 × 330 drawing. */
import { showQuantity, type UnitSystem } from '$lib/core';
import { MM_PER_IN } from '$lib/core/quantity/units';
import { px } from '$lib/components/Drawing/px';
import { scatter } from '$lib/components/Drawing/scatter';

export const SECTION = {
	width: 690,
	height: 330,
	plateTopY: 142,
	arcX: 390,
	leftX: 162,
	rightX: 662,
	gaugeX: 10,
	/** Lower end of the box that tells the kerf; it hangs out of a thin plate. */
	kerfBoxY: 142 + 37
};
const DEEPEST_PX = SECTION.height - SECTION.plateTopY - 12;

export interface SectionShape {
	/** Underside of the plate. */
	bottomY: number;
	pxPerMm: number;
	/** Where the arc leaves, behind the torch. */
	exitX: number;
	lagDeg: number;
	kerfHalfPx: number;
	plateLeft: string;
	plateRight: string;
	lagLines: string;
	arc: string;
	arcCore: string;
	dross: string;
	/** Where the sheets of a stack meet, on both sides of the kerf. */
	sheets: string;
	/** Length of the lag angle's ray, and its end. */
	ray: { length: number; x: number; y: number };
	/** Height at which the lag angle is told: beside the sparks, under what tells the kerf. */
	lagY: number;
}

/** How far a gauge may reach, mm. Like ranges of a meter: a step of the amps seldom changes the drawing's scale. */
const REACHES_MM = [8, 10, 12, 15, 18, 22, 26, 32, 38, 46, 56, 68, 82, 100];

/** The gauge reaches a little past what can be severed, and to the underside of what lies there. */
export function deepestMm(severMm: number, plateMm: number): number {
	const least = Math.max(severMm * 1.12, plateMm);
	return REACHES_MM.find((mm) => mm >= least) ?? Math.ceil(least);
}

/** Thickness in mm at a height of the drawing. */
export function thicknessAt(y: number, deepest: number): number {
	return ((y - SECTION.plateTopY) / DEEPEST_PX) * deepest;
}

/** Where the thickness stands beside the underside: always inside of the drawing. */
export function labelAtY(bottomY: number): number {
	return Math.min(Math.max(bottomY, SECTION.plateTopY + 26), SECTION.height - 26);
}

/** Size of the letters on the thickness flag, px: "0.0787 in" stays on it. */
export const flagPx = (text: string): number => (text.length > 7 ? 21 : 27);

/**
 * Marks of the gauge beside the plate, in the unit of the device: millimetres, or 16ths of an inch. Those with a
 * label are one path and the others are one, so that another scale redraws two lines instead of fifty.
 */
export function sectionMarks(
	deepest: number,
	units: UnitSystem
): { long: string; short: string; labels: { y: number; text: string }[] } {
	const metric = units === 'metric';
	const stepMm = metric ? 1 : MM_PER_IN / 16;
	// "1 1/2" does not fit beside its mark: only inches where there is more than one.
	const every = metric ? (deepest > 18 ? 5 : 2) : deepest > 26 ? 16 : deepest > 18 ? 8 : 4;
	const x = SECTION.gaugeX + 44;
	const marks = { long: '', short: '', labels: [] as { y: number; text: string }[] };
	for (let i = 0; i * stepMm <= deepest; i++) {
		const y = px(SECTION.plateTopY + (i * stepMm * DEEPEST_PX) / deepest);
		if (i % every !== 0) {
			marks.short += `M${x} ${y}h-9`;
			continue;
		}
		marks.long += `M${x} ${y}h-16`;
		const inches = { quantity: 'thickness', units: 'imperial' } as const;
		const text = metric || i === 0 ? String(i) : showQuantity(i * stepMm, inches).text;
		marks.labels.push({ y, text });
	}
	return marks;
}

export function sectionShape(input: {
	/** All sheets together. */
	thicknessMm: number;
	layers: number;
	deepest: number;
	lagDeg: number;
	kerfMm: number;
}): SectionShape {
	const { plateTopY: top, arcX: cx, leftX, rightX, height } = SECTION;
	const pxPerMm = DEEPEST_PX / input.deepest;
	const depth = px(Math.min(DEEPEST_PX, Math.max(3, input.thicknessMm * pxPerMm)));
	const bottom = top + depth;
	const lag = (input.lagDeg * Math.PI) / 180;
	// The drag at the underside, t·tan(lag), as far as the drawing has room.
	const drag = px(Math.min((depth * Math.sin(lag)) / Math.cos(lag), 60));
	const half = px(Math.max(4, (input.kerfMm * pxPerMm) / 2));
	const exitX = cx - drag;
	// The front of the cut bends from straight down to the way it leaves.
	const bendsY = px(top + depth * 0.45);
	const [quarterY, midY, lowY] = [0.25, 0.5, 0.75].map((share) => px(top + depth * share));
	const bentX = exitX + px(drag * 0.45);
	const back = `C${cx - half} ${bendsY} ${bentX - half} ${lowY} ${exitX - half} ${bottom}`;
	const front = `C${cx + half} ${bendsY} ${bentX + half} ${lowY} ${exitX + half} ${bottom}`;
	const torn = `L${rightX - 8} ${lowY}L${rightX + 2} ${midY}L${rightX - 9} ${quarterY}L${rightX} ${top}`;

	let lagLines = '';
	const random = scatter(7);
	for (let x = leftX + drag + 6; x < cx - half - 4; x += 13) {
		const end = drag * (0.85 + random() * 0.3);
		lagLines += `M${x.toFixed(1)} ${top + 3}C${x.toFixed(1)} ${(top + depth * 0.4).toFixed(1)} ${(x - end * 0.35).toFixed(1)} ${(top + depth * 0.7).toFixed(1)} ${(x - end).toFixed(1)} ${(bottom - 2).toFixed(1)}`;
	}
	let dross = '';
	for (let x = leftX + 14; x < exitX - 24; x += 26 + random() * 30) {
		dross += `M${x.toFixed(1)} ${bottom}q3 7 9 0Z`;
	}
	let sheets = '';
	for (let i = 1; i < input.layers; i++) {
		const y = px(top + (depth * i) / input.layers);
		const x = px(cx - drag * (i / input.layers) ** 2);
		sheets += `M${leftX} ${y}H${x - half}M${x + half} ${y}H${rightX - 6}`;
	}
	const length = Math.min(height - bottom - 8, 62);
	return {
		bottomY: bottom,
		pxPerMm,
		exitX,
		lagDeg: input.lagDeg,
		kerfHalfPx: half,
		plateLeft: `M${leftX} ${top}H${cx - half}${back}H${leftX}Z`,
		plateRight: `M${cx + half} ${top}${front}H${rightX}${torn}Z`,
		lagLines,
		arc: `M${cx - 3} ${top - 9}L${cx - half} ${top}${back}L${exitX + half} ${bottom}C${bentX + half} ${lowY} ${cx + half} ${bendsY} ${cx + half} ${top}L${cx + 3} ${top - 9}Z`,
		arcCore: `M${cx} ${top - 50}V${top}C${cx} ${midY} ${exitX + px(drag * 0.4)} ${lowY} ${exitX} ${bottom + 10}`,
		dross,
		sheets,
		ray: {
			length,
			x: exitX - px(Math.sin(lag) * length),
			y: bottom + px(Math.cos(lag) * length)
		},
		lagY: Math.max(bottom + px(length * 0.62), SECTION.kerfBoxY + 17)
	};
}
