/**
 * How a room tells its figures: where each is read in the workings, and the trust of each way to it. Label
 * and unit stand apart, in the room's names, and load first; so do the formula and the source of a way, in
 * the room's reasons, and load when somebody asks. Nothing is computed here.
 */
import { EIGHT_IN_TEN } from '../solve/normal';
import type { Basis } from './types';

/** A figure read from workings `W`, by one of the ways `Way`. */
export interface FigureDef<W, Way extends string = string> {
	value: (w: W) => number | null;
	way: (w: W) => Way;
	/** The letter in the balloon, by way. */
	basis: Readonly<Record<Way, Basis>>;
	/** Eight times in ten inside. */
	band?: (w: W) => [number, number] | undefined;
}

type Read<W, T> = (w: W) => T;

/** The words in which a room that reads `W` defines its figures. */
export function figuresFor<W>() {
	return {
		/** A figure with one way only. */
		single: (value: Read<W, number | null>, basis: Basis): FigureDef<W, 'only'> => ({
			value,
			way: () => 'only',
			basis: { only: basis }
		}),

		/** A figure with several ways, the one taken read from the workings. */
		several: <Way extends string>(
			value: Read<W, number | null>,
			way: Read<W, NoInfer<Way>>,
			basis: Record<Way, Basis>
		): FigureDef<W, Way> => ({ value, way, basis }),

		/** A figure with a band. */
		banded: <Way extends string>(
			def: FigureDef<W, Way>,
			band: Read<W, [number, number] | undefined>
		): FigureDef<W, Way> => ({ ...def, band }),

		/** Band of what was measured; `scale` where the figure is a multiple of it. */
		measuredBand:
			(
				read: Read<W, { mean: number; spread: number } | null>,
				scale: Read<W, number> = () => 1,
				value?: Read<W, number>
			): Read<W, [number, number] | undefined> =>
			(w) => {
				const stat = read(w);
				if (!stat) return undefined;
				const half = EIGHT_IN_TEN * stat.spread * scale(w);
				const middle = value ? value(w) : stat.mean;
				return [Math.max(0, middle - half), middle + half];
			}
	};
}
