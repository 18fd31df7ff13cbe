import type { FigureDef, Way } from './define';

/** The cutter makes its own air: the shop's has no figure. */
export const OWN_AIR: Way = {
	basis: 'D',
	formula: 'true',
	source: 'The cutter’s own compressor: of the shop’s air nothing is asked, and nothing is known',
	inputs: {}
};

/** Figures of the shop's air, which there are not where the cutter makes its own. */
export function ofTheShop<T extends Record<string, FigureDef>>(figures: T): T {
	return Object.fromEntries(
		Object.entries(figures).map(([id, def]) => [
			id,
			{
				...def,
				value: (w) => (w.air.flowWay === 'built-in' ? null : def.value(w)),
				way: (w) => (w.air.flowWay === 'built-in' ? 'ownAir' : def.way(w)),
				band: def.band && ((w) => (w.air.flowWay === 'built-in' ? undefined : def.band!(w))),
				ways: { ...def.ways, ownAir: OWN_AIR }
			} satisfies FigureDef
		])
	) as unknown as T;
}
