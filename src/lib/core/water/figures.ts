import { figuresFor } from '../figure/define';
import type { Basis } from '../figure/types';
import type { Quantity } from '../quantity/units';
import type { WaterView } from './workings';

const { several } = figuresFor<WaterView>();

/** A rate or a dew point of the water line; none without a shop compressor. */
const ofWater = (
	label: string,
	quantity: Quantity,
	read: 'inhaledGH' | 'tankGH' | 'trapGH' | 'onwardGH' | 'dewC',
	basis: Basis
) =>
	several(
		label,
		quantity,
		(w) => w.water?.[read] ?? null,
		(w) => (w.water ? 'water' : 'none'),
		{ water: basis, none: 'D' }
	);

/** Hours until something is full or spent, which may never be. */
const hoursOf = (label: string, read: 'drainH' | 'gelH', water: Basis, never: Basis) =>
	several(
		label,
		'hours',
		(w) => (w.water && Number.isFinite(w.water[read]) ? w.water[read]! : null),
		(w) => (!w.water ? 'none' : Number.isFinite(w.water[read]) ? 'water' : 'never'),
		{ water, never, none: 'D' }
	);

/** The water that the compressor takes in, and where it comes out. */
export const WATER_FIGURES = {
	'water.inhaledGH': ofWater('Water taken in', 'waterRate', 'inhaledGH', 'H'),
	'water.tankGH': ofWater('Falls out in the tank', 'waterRate', 'tankGH', 'H'),
	'water.trapGH': ofWater('Caught before the cutter', 'waterRate', 'trapGH', 'M'),
	'water.onwardGH': ofWater('Goes on to the torch', 'waterRate', 'onwardGH', 'M'),
	'water.dewC': ofWater('Pressure dew point at the inlet', 'temperature', 'dewC', 'H'),
	'water.drainH': hoursOf('Drain the tank every', 'drainH', 'M', 'M'),
	'water.gelH': hoursOf('Gel is spent after', 'gelH', 'R', 'D')
};
