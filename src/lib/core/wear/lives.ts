/** How long such parts have lasted in this shop, for one that was never measured. */
import {
	remainingLife,
	remainingLifeUnsure,
	weibullFit,
	type FittedWeibull,
	type ShapeBelief
} from '../solve/weibull';

/** One life of a part, in growth by the starting rates, µm: work of all kinds counts by what it takes. */
export interface PartLife {
	um: number;
	/** Taken out worn; else in service, lost, blown, or out with its partner, which tells only that it came so far. */
	worn: boolean;
}

/** Wear-out lives of parts: shape 2 to 3 [own]. */
export const SHAPE_BELIEF: ShapeBelief = { shape: 2.5, spread: 0.18 };
/** A life shorter than this was none: fitted and taken out again, µm. */
const LEAST_UM = 1;

/** undefined: no life has ended by wear yet. */
export function livesFit(lives: readonly PartLife[]): FittedWeibull | undefined {
	const of = (worn: boolean) =>
		lives.filter((life) => life.worn === worn && life.um >= LEAST_UM).map((life) => life.um);
	return weibullFit(of(true), of(false), SHAPE_BELIEF);
}

/**
 * What is left after `um`, growth by the starting rates, µm: in the middle by the likeliest shape and scale, and
 * eight times in ten between, by all that so few lives leave open.
 */
export function livesLeft(
	fit: FittedWeibull,
	um: number
): { middleUm: number; bandUm: [number, number] } {
	const middleUm = remainingLife(fit, um, 0.5);
	// Far beyond every life before it, the likeliest is surer of its end than all of them together.
	return {
		middleUm,
		bandUm: [
			Math.min(middleUm, remainingLifeUnsure(fit, um, 0.9)),
			Math.max(middleUm, remainingLifeUnsure(fit, um, 0.1))
		]
	};
}
