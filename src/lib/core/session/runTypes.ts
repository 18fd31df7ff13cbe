import type { WarmNode, NodeRun } from './node';

import type { Law, Tank } from './tank';
import type { Pattern, Phase } from './schedule';

export interface RunInputs {
	pattern: Pattern;
	/** undefined: the air does not come from a store. */
	air: { tank: Tank; useLpm: number; neededBar: number } | undefined;
	nodes: readonly WarmNode[];
	/** Run once in place of the pattern. */
	phases?: readonly Phase[];
	/** The compressor runs at the start. */
	compressorOn?: boolean;
}

/** The stretch of time before some moment, so that its figure can be worked out by hand. */
export interface FallingStretch {
	startS: number;
	fromBar: number;
	durationS: number;
	law: Law;
}

export interface Run {
	/** First time the tank is below the pressure needed while air is used; undefined: never. */
	shortFrom: FallingStretch | undefined;
	/** Lowest pressure while air is used, and the fall before it. */
	lowestBar: number;
	lowest: FallingStretch;
	/** Running and whole time: one repetition, or all up to the end. Starts of the compressor in it. */
	runS: number;
	spanS: number;
	starts: number;
	repeats: boolean;
	nodes: NodeRun[];
	/** How everything stands when the run is over. */
	end: { timeS: number; bar: number; compressorOn: boolean; levels: number[] };
}

/** One stretch without an event, as an observer sees it. */
export interface Step {
	startS: number;
	durationS: number;
	phase: Phase;
	compressorOn: boolean;
	fromBar: number;
	toBar: number;
	law: Law;
	/** Level of each node at the start and its target. */
	levels: readonly number[];
	targets: readonly number[];
}
