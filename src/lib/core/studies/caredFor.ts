import type { StageKind } from '../air/stages';
import { CARE_KINDS, type CareKind } from '../care/care';
import type { Bench } from '../inputs/bench';

/** Stages with an element that clogs. */
const ELEMENTS: readonly StageKind[] = ['particulate', 'coalescing', 'cartridge'];

/** What this bench has to be looked after: tank, gel and elements only where they are. */
export function caredFor({ source, stages }: Pick<Bench['air'], 'source' | 'stages'>): CareKind[] {
	const has: Record<CareKind, boolean> = {
		drain: source === 'compressor',
		gel: source !== 'built-in' && stages.some(({ kind }) => kind === 'desiccant'),
		// The cutter that makes its own air breathes through one.
		filter: source === 'built-in' || stages.some(({ kind }) => ELEMENTS.includes(kind)),
		rings: true,
		clamp: true,
		leak: source === 'compressor'
	};
	return CARE_KINDS.filter((kind) => has[kind]);
}
