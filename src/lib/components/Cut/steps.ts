/** Poses of the starts (common practice). Angles of sparks from straight down, towards the left. */
export type StartId = 'edge' | 'pierce' | 'rolled';

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

export const STEPS: Record<StartId, [Pose, Pose, Pose]> = {
	edge: [
		pose({ say: 'Nozzle centre over the edge, upright', plates: [[74, 140]] }),
		pose({
			say: 'Fire, wait: sparks below',
			plates: [[74, 140]],
			through: true,
			sparks: [-12, 0, 14]
		}),
		pose({
			say: 'Go, full pace',
			plates: [
				[10, 71],
				[77, 140]
			],
			through: true,
			sparks: [10, 20, 30],
			go: true
		})
	],
	pierce: [
		pose({ say: 'Upright, on the waste' }),
		pose({ say: 'Fire, stay until it is through', through: true, sparks: [-12, 0, 14] }),
		pose({
			say: 'Lead in to the line',
			plates: [
				[10, 71],
				[77, 140]
			],
			through: true,
			sparks: [10, 20, 30],
			go: true
		})
	],
	rolled: [
		pose({
			say: 'Tilt {tilt} from upright, 1.5–3 mm off, fire',
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
		pose({
			say: 'Sparks below: go',
			plates: [
				[10, 71],
				[77, 140]
			],
			through: true,
			sparks: [-10, 0, 12],
			go: true
		})
	]
};
