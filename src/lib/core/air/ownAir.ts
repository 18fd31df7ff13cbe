/** The cutter makes its own air: of the shop's air nothing is asked, and nothing is known. */
import type { FigureDef } from '../figure/define';
import type { Reason, ReasonsOf, WayOf } from '../figure/reason';
import type { AirView } from './workings';

const isOwn = (w: AirView) => w.air.line.flowWay === 'built-in';

type OwnAir<F> = {
	[Id in keyof F]: F[Id] extends FigureDef<AirView, infer Way>
		? FigureDef<AirView, Way | 'ownAir'>
		: never;
};

/** Figures of the shop's air, which there are not where the cutter makes its own. */
export function ofTheShop<F extends Record<string, FigureDef<AirView>>>(figures: F): OwnAir<F> {
	return Object.fromEntries(
		Object.entries(figures).map(([id, def]) => [
			id,
			{
				...def,
				value: (w) => (isOwn(w) ? null : def.value(w)),
				way: (w) => (isOwn(w) ? 'ownAir' : def.way(w)),
				band: def.band && ((w) => (isOwn(w) ? undefined : def.band!(w))),
				basis: { ...def.basis, ownAir: 'D' }
			} satisfies FigureDef<AirView>
		])
	) as unknown as OwnAir<F>;
}

export const OWN_AIR: Reason<AirView> = {
	formula: 'true',
	source: 'The cutter’s own compressor: of the shop’s air nothing is asked, and nothing is known',
	inputs: {}
};

/** Their reasons, with that one. */
export function ofTheShopReasons<F>(reasons: {
	[Id in keyof F]: Record<Exclude<WayOf<F[Id]>, 'ownAir'>, Reason<AirView>>;
}): ReasonsOf<F, AirView> {
	return Object.fromEntries(
		Object.entries<object>(reasons).map(([id, ways]) => [id, { ...ways, ownAir: OWN_AIR }])
	) as unknown as ReasonsOf<F, AirView>;
}
