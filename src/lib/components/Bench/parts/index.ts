/** The things that stand in the shop and the fields of each. */
import type { Bench } from '$lib/core';
import { AIR_PARTS } from './air';
import { CUTTER_PARTS } from './cutter';
import { ELECTRIC_PARTS } from './electric';
import type { Part, PartId } from './fields';

export type { Field, Part, PartId } from './fields';

export const PARTS: readonly Part[] = [...ELECTRIC_PARTS, ...AIR_PARTS, ...CUTTER_PARTS];
export const partOf = (id: PartId): Part => PARTS.find((part) => part.id === id)!;
/** Parts that this bench has a place for. */
export const partsOf = (bench: Bench): Part[] =>
	PARTS.filter((part) => part.shown?.(bench) ?? true);
