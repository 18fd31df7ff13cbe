import type { MetalId } from '../metal/metals';
import type { Coating } from '../metal/coatings';
import type { Aim } from '../speed/speed';
import type { Guide } from './guide';
import type { Start } from './start';

export const SCHOOLS = ['full', 'matched', 'circuit', 'typed'] as const;

export const CIRCLES = ['hole', 'disc'] as const;

/** A cut along a line or a circle. */
export interface LineCut {
	metal: MetalId;
	thicknessMm: number;
	/** Sheets in a stack, each of that thickness. */
	layers: number;
	/** From upright; the arc then sees more. */
	bevelDeg: number;
	/** Mesh or expanded metal: the pilot arc lights again over every gap. */
	mesh: boolean;
	coating: Coating;
	backCoating: Coating;
	aim: Aim;
	school: (typeof SCHOOLS)[number];
	/** The knob, for the school "typed". */
	typedA: number;
	lengthMm: number;
	guide: Guide;
	/** On a circle guide: what is kept, and how wide it is finished. */
	circleOf: (typeof CIRCLES)[number];
	circleMm: number;
	start: Start;
}

/** What is accepted, in the units of the fields; the schema and the screen read it here. */
export const LINE_CUT_RANGES = {
	thicknessMm: [0.3, 100],
	bevelDeg: [0, 60],
	typedA: [5, 500],
	lengthMm: [10, 20_000],
	circleMm: [10, 5000]
} as const satisfies Partial<Record<keyof LineCut, readonly [number, number]>>;

/** What a person starts from; every field may be left out. */
export const DEFAULT_LINE_CUT = {
	metal: 'mild-steel',
	thicknessMm: 6,
	layers: 1,
	bevelDeg: 0,
	mesh: false,
	coating: 'none',
	backCoating: 'none',
	aim: 'clean',
	school: 'full',
	typedA: 40,
	lengthMm: 300,
	guide: 'kept',
	circleOf: 'hole',
	circleMm: 100,
	start: 'edge'
} as const satisfies LineCut;
