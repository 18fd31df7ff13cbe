import { figuresFor } from '../figure/define';
import type { Basis } from '../figure/types';
import type { WaterView } from './workings';

const { several } = figuresFor<WaterView>();

/** A rate or a dew point of the water line; none without a shop compressor. */
const ofWater = (read: 'inhaledGH' | 'tankGH' | 'trapGH' | 'onwardGH' | 'dewC', basis: Basis) =>
	several(
		(w) => w.water?.[read] ?? null,
		(w) => (w.water ? 'water' : 'none'),
		{ water: basis, none: 'D' }
	);

/** Hours until something is full or spent, which may never be. */
const hoursOf = (read: 'drainH' | 'gelH', water: Basis, never: Basis) =>
	several(
		(w) => (w.water && Number.isFinite(w.water[read]) ? w.water[read]! : null),
		(w) => (!w.water ? 'none' : Number.isFinite(w.water[read]) ? 'water' : 'never'),
		{ water, never, none: 'D' }
	);

/** The water that the compressor takes in, and where it comes out. */
export const WATER_FIGURES = {
	'water.inhaledGH': ofWater('inhaledGH', 'H'),
	'water.tankGH': ofWater('tankGH', 'H'),
	'water.trapGH': ofWater('trapGH', 'M'),
	'water.onwardGH': ofWater('onwardGH', 'M'),
	'water.dewC': ofWater('dewC', 'H'),
	'water.drainH': hoursOf('drainH', 'M', 'M'),
	'water.gelH': hoursOf('gelH', 'R', 'D')
};
