/** What is accepted of the work, in the units of its fields; the schema and the screen read it here. */
export const WORK_RANGES = {
	arcS: [1, 3600],
	restS: [0, 3600],
	shopC: [-20, 50],
	/** A share. */
	humidity: [0.05, 1],
	cuts: [1, 5000]
} as const;

export const SHIFT_RANGES = {
	hours: [0.5, 12],
	spellMin: [5, 720],
	breakMin: [0, 240]
} as const;
