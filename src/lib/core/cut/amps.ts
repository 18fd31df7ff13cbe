import { MM_PER_IN } from '../quantity/units';

/**
 * The amps ladder: 20 A to 1/8 in of mild steel, 10 A more for each further 1/8 in
 * (common practice; usually a bit conservative). Thickness in mm, result in A.
 */
export function ladderA(thicknessMm: number): number {
	const eighths = thicknessMm / (MM_PER_IN / 8);
	return 20 + 10 * Math.max(0, eighths - 1);
}
