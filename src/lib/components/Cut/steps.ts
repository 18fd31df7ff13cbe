/** Poses of the starts (common practice). Angles of sparks from straight down, towards the left. */
import type { StartMethod } from '$lib/core';

export type StartId = Exclude<StartMethod, 'none'>;
export const START_NAMES: Record<StartId, string> = {
	edge: 'Edge start',
	pierce: 'Straight pierce',
	rolled: 'Rolled pierce',
	hover: 'Hover pierce',
	drilled: 'In a drilled hole'
};

export interface Pose {
	say: string;
	plates: [number, number][];
	x: number;
	gap: number;
	/** Share of the school's tilt in this pose. */
	tiltShare: number;
	through: boolean;
	sparks: number[];
	go: boolean;
}

const whole: [number, number][] = [[10, 140]];
const pose = (p: Partial<Pose> & Pick<Pose, 'say'>): Pose => ({
	plates: whole,
	x: 74,
	gap: 3,
	tiltShare: 0,
	through: false,
	sparks: [],
	go: false,
	...p
});
/** Off along the line, the slot behind. */
const away = (say: string): Pose =>
	pose({
		say,
		plates: [
			[10, 71],
			[77, 140]
		],
		through: true,
		sparks: [10, 20, 30],
		go: true
	});

export const STEPS: Record<StartId, [Pose, Pose, Pose]> = {
	edge: [
		pose({ say: 'Nozzle centre over the edge, upright', plates: [[74, 140]] }),
		pose({
			say: 'Fire, wait: sparks below',
			plates: [[74, 140]],
			through: true,
			sparks: [-12, 0, 14]
		}),
		away('Go, full pace')
	],
	pierce: [
		pose({ say: 'Upright, on the waste' }),
		pose({ say: 'Fire, stay until it is through', through: true, sparks: [-12, 0, 14] }),
		away('Lead in to the line')
	],
	rolled: [
		pose({
			say: 'On the waste: tilt {tilt} from upright, 1.5–3 mm (1/16–1/8 in) off, fire',
			tiltShare: 1,
			gap: 8,
			sparks: [-76, -66]
		}),
		pose({
			say: 'Roll upright as it digs; keep that side clear',
			tiltShare: 0.45,
			gap: 5,
			sparks: [-72, -60]
		}),
		away('Sparks below: lead in to the line')
	],
	hover: [
		pose({
			say: 'On the waste: upright, about 12 mm (1/2 in) off, fire',
			gap: 26,
			sparks: [-78, -62, 62, 78]
		}),
		pose({
			say: 'Through: sparks below. Lower it once',
			gap: 14,
			through: true,
			sparks: [-10, 0, 12]
		}),
		away('Lead in to the line')
	],
	drilled: [
		pose({
			say: 'Drill wider than the kerf, on the waste; nozzle over its edge',
			plates: [
				[10, 66],
				[80, 140]
			]
		}),
		pose({
			say: 'Fire, wait: sparks below',
			plates: [
				[10, 66],
				[80, 140]
			],
			through: true,
			sparks: [-12, 0, 14]
		}),
		away('Lead in to the line')
	]
};

/** Where the sparks go while it digs (common practice). */
export const SPARKS_GO: Record<StartId, string> = {
	edge: 'Sparks fall below the edge: look under it.',
	pierce: 'Until it is through sparks come back up all round: face and hands clear.',
	rolled: 'Sparks leave flat on the side you lean away from: nobody and nothing there.',
	hover: 'Until it is through sparks spread flat all round: nobody close.',
	drilled: 'Sparks fall through the hole: look under it.'
};
