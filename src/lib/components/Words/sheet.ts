import type { Plan } from '$lib/core';
import { SPARKS_READ_FROM_MM } from '$lib/core/speed/speed';

/** Whether the cut is one of sheet, in which sparks tell nothing of the pace. */
export const inSheet = ({ figures }: Pick<Plan, 'figures'>): boolean =>
	(figures['setup.arcMm'].value ?? 0) < SPARKS_READ_FROM_MM;
