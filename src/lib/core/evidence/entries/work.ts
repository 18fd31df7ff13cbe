/** Entries of the work itself: cuts, starts, grooves. */
import * as v from 'valibot';
import { START_METHODS } from '../../cut/start';
import { METAL_IDS } from '../../metal/metals';
import { within } from '../../quantity/within';

export const metal = v.picklist(METAL_IDS, `one of ${METAL_IDS.join(', ')}`);

export const start = v.picklist(START_METHODS, `one of ${START_METHODS.join(', ')}`);

export const CutEntry = v.object({
	kind: v.literal('cut'),
	metal,
	thicknessMm: within(0.3, 100, 'mm'),
	outputA: within(5, 500, 'A'),
	lengthMm: within(1, 100_000, 'mm'),
	arcS: within(0, 36_000, 's'),
	starts: v.pipe(within(1, 1000, ''), v.integer('a whole number')),
	start,
	/** Nozzle that was in the torch; the server fills it in. */
	nozzleA: v.optional(within(5, 500, 'A')),
	/** Over mesh or expanded metal. */
	mesh: v.optional(v.boolean('true or false'))
});

/** A person counts no more of them in one go. */
export const FAILED_AT_ONCE_MOST = 50;

export const StartEntry = v.object({
	kind: v.literal('start'),
	/** Pilot arc or short touch, s. */
	arcS: within(0, 60, 's'),
	start,
	/** So many alike; left out: one. */
	times: v.optional(v.pipe(within(1, FAILED_AT_ONCE_MOST, ''), v.integer('a whole number')))
});

/** Strings of a groove, as they were pushed. */
export const GrooveEntry = v.object({
	kind: v.literal('groove'),
	metal,
	outputA: within(5, 500, 'A'),
	/** Of all strings together. */
	lengthMm: within(1, 100_000, 'mm'),
	arcS: within(0, 36_000, 's'),
	starts: v.pipe(within(1, 1000, ''), v.integer('a whole number')),
	/** Gouging nozzle that was in the torch. */
	nozzleA: v.optional(within(5, 500, 'A'))
});
