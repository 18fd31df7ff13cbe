import type { CareKind } from '$lib/core/care/care';

/** What is done, and how; screen and calendar say the same. */
export const CARE_WORDS: Record<CareKind, { name: string; how: string; done: string }> = {
	drain: {
		name: 'Drain the tank',
		how: 'Open the cock at the bottom until no more water comes (common practice: every working day).',
		done: 'tank drained'
	},
	gel: {
		name: 'Look at the drying gel',
		how: 'Half of it pink: dry or change it (common practice).',
		done: 'gel looked at'
	},
	filter: {
		name: 'Change the filter element',
		how: 'Pressure off first. A brown or wet element costs flow.',
		done: 'filter element changed'
	},
	rings: {
		name: 'O-rings of the torch',
		how: 'Cutter off. No cracks, no flat spots; a film of grease, no more.',
		done: 'o-rings looked at'
	},
	clamp: {
		name: 'Work clamp and lead',
		how: 'Jaws bright, spring firm, no lug hot or green.',
		done: 'clamp and lead looked at'
	},
	leak: {
		name: 'Leak test',
		how: 'Fill, shut everything, watch the gauge; log it under Supply.',
		done: 'leak test made'
	}
};
