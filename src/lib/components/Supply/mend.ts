import { plateInput } from '$lib/core/cutter/plate';
import type { Workbench } from '$lib/state/workbench.svelte';

/** What is looked at where air is low, wet or dirty: only what this bench has (common practice). */
export function lookAtAir({ bench }: Workbench): string {
	const { source, stages } = bench.air;
	if (source === 'built-in') return 'Clear the cutter’s air intake and clean its filter';
	if (source === 'bottle') return 'Look at the bottle: its valve open, enough in it';
	const has = (wanted: string) => stages.some(({ kind }) => kind === wanted);
	const drain = has('trap') ? 'Drain tank and trap' : 'Drain the tank';
	return has('desiccant') ? `${drain}, look at the gel` : drain;
}

/** Where volts sag: what stands between panel and cutter. */
export const lessSag = ({ bench }: Workbench): string =>
	bench.supply.cord ? 'a shorter or thicker cord' : 'another circuit';

/** The knob stands at all that the cutter gives on this plug. */
export function atFullAmps({ bench, plan }: Workbench): boolean {
	const mostA = plateInput(bench)?.outputMaxA ?? Infinity;
	return (plan.figures['setup.currentA'].value ?? 0) >= Math.floor(mostA);
}
