/**
 * What the arc has to go through, mm: all sheets of a stack, along the slant of a bevel: n·t/cos(β).
 * A stack counts as its sum when it is clamped tight [common practice].
 */
export function arcThicknessMm(cut: {
	thicknessMm: number;
	layers: number;
	bevelDeg: number;
}): number {
	return (cut.layers * cut.thicknessMm) / Math.cos((cut.bevelDeg * Math.PI) / 180);
}
