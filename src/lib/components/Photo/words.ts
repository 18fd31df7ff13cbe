import type { BevelRefusal } from '$lib/core/photo/bevel';
import type { EdgeRefusal } from '$lib/core/photo/edge';
import type { KerfRefusal } from '$lib/core/photo/kerf';
import type { NozzleRefusal } from '$lib/core/photo/nozzle';
import type { PhotoStage } from '$lib/formats/photo';

export const STAGE_WORDS: Record<PhotoStage, string> = {
	opening: 'Opening the picture …',
	light: 'Weighing its light …',
	looking: 'Looking …'
};

/** Why it is not read, and what to do. */
export const NOZZLE_REFUSED: Record<NozzleRefusal, { why: string; what: string }> = {
	none: {
		why: 'No nozzle is found in this picture.',
		what: 'Take it straight down onto the face, on a plain ground, the whole face in it. If it is there, press the middle of the bore.'
	},
	'cut-off': {
		why: 'The face reaches out of the picture.',
		what: 'The whole face is the scale: leave a little room all around it.'
	},
	small: {
		why: 'The bore is too small in this picture: under 8 pixels.',
		what: 'Come closer, or use the close-up setting.'
	},
	blurred: {
		why: 'The picture is blurred.',
		what: 'Rest the phone on something, tap the bore to focus, and wait until it is sharp.'
	},
	oblique: {
		why: 'It was taken from aside, by more than 20°.',
		what: 'Hold the phone level over the face, so that it looks round.'
	},
	glare: {
		why: 'Light burns out the rim.',
		what: 'No flash: turn away from the lamp, or hold a sheet of paper between.'
	},
	unclear: {
		why: 'Face and bore cannot be told apart all around.',
		what: 'Wipe the soot off, and take it in even light. Or lay the rings on by hand.'
	}
};

export const EDGE_REFUSED: Record<EdgeRefusal, { why: string; what: string }> = {
	'no-edge': {
		why: 'No cut edge is found in this picture.',
		what: 'Lay the plate so that its edge runs across the picture, top edge up, on a plain ground. Or lay the two lines on by hand.'
	},
	'cut-off': {
		why: 'Top or bottom edge is out of the picture.',
		what: 'The thickness is the scale: both edges must be in it.'
	},
	blurred: {
		why: 'The picture is blurred.',
		what: 'Rest the phone on something, and tap the edge to focus.'
	},
	glare: { why: 'Light burns out the edge.', what: 'No flash; take it in the shade.' },
	small: { why: 'The edge is too small in this picture.', what: 'Come closer.' },
	'no-lines': {
		why: 'The lines of the cut cannot be told.',
		what: 'Brush the edge, and let light graze it from the side. A ground or a very clean edge has no lines to read: go by the sparks.'
	}
};

export const END_REFUSED: Record<BevelRefusal, { why: string; what: string }> = {
	'no-edge': {
		why: 'No plate with a cut side is found in this picture.',
		what: 'Look at the end of the plate: it lies level across the picture, the cut side stands up in it, plain ground behind.'
	},
	blurred: {
		why: 'The picture is blurred.',
		what: 'Rest the phone on something, and tap the corner to focus.'
	},
	small: { why: 'The cut side is too small in this picture.', what: 'Come closer.' }
};

export const KERF_REFUSED: Record<KerfRefusal, { why: string; what: string }> = {
	'no-rule': {
		why: 'No lines of a rule are found in this picture.',
		what: 'Lay a steel rule flat on the plate, square across the slot, its finest lines clear and across the whole picture.'
	},
	'no-kerf': {
		why: 'No slot is found beside the rule.',
		what: 'The slot stands up in the picture, square to the rule, with something dark below the plate. Brush it first.'
	},
	blurred: {
		why: 'The picture is blurred.',
		what: 'Rest the phone on something, and tap the slot to focus.'
	},
	small: {
		why: 'Rule and slot are too small in this picture.',
		what: 'Come closer: a hand’s breadth is enough.'
	},
	uneven: {
		why: 'The sides of the slot cannot be told.',
		what: 'Knock the dross off, brush the plate, and take it in even light. Or measure it with a caliper.'
	}
};

export const PHOTO_KINDS = ['nozzle', 'edge', 'end', 'kerf'] as const;
export type PhotoOf = (typeof PHOTO_KINDS)[number];
export const PHOTO_HEADS = {
	nozzle: 'The bore, from a photo',
	edge: 'The edge, from a photo',
	end: 'How square, from a photo',
	kerf: 'The kerf, from a photo'
} satisfies Record<PhotoOf, string>;
