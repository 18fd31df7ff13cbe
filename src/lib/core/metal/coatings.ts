import type { MetalId } from './metals';

/** What may lie on the metal, on the face or on the back, and what it does to a person and to the cut. */
export const COATINGS = ['none', 'paint', 'zinc', 'rust', 'oil'] as const;
export type Coating = (typeof COATINGS)[number];

/** What is told of face and back: the zinc of galvanized sheet is a caution of the metal already. */
export function coatsTold(cut: {
	metal: MetalId;
	coating: Coating;
	backCoating: Coating;
}): Exclude<Coating, 'none'>[] {
	return [...new Set([cut.coating, cut.backCoating])].filter(
		(side) => side !== 'none' && !(side === 'zinc' && cut.metal === 'galvanized')
	) as Exclude<Coating, 'none'>[];
}

/** Travel over that of clean metal: what burns, flakes and spits in the arc slows the hand [own]. */
const SPEED: Record<Coating, number> = { none: 1, paint: 0.95, zinc: 0.97, rust: 0.93, oil: 0.97 };

/** By the worse of face and back. */
export function coatingSpeed(cut: { coating: Coating; backCoating: Coating }): number {
	return Math.min(SPEED[cut.coating], SPEED[cut.backCoating]);
}

/** Cautions are common practice; lead, cadmium and solvent rules are in every code of work safety. */
export const COATING_CAUTIONS: Record<Exclude<Coating, 'none'>, string> = {
	paint:
		'Old paint may hold lead or cadmium: strip it along the line, extract, wear a respirator; bright metal under the clamp.',
	zinc: 'Zinc fume makes ill within hours: grind it off along the line, extract, wear a respirator.',
	rust: 'Rust and scale insulate: bright metal under the clamp and where the arc starts.',
	oil: 'Oil and solvent residues burn and poison: degrease and let it dry before any arc.'
};
