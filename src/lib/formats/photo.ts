/** What passes between a screen and the worker that reads photos. */
import type { BevelAnswer } from '$lib/core/photo/bevel';
import type { EdgeAnswer } from '$lib/core/photo/edge';
import type { Lines } from '$lib/core/photo/strip';
import type { KerfAnswer, Side } from '$lib/core/photo/kerf';
import type { NozzleAnswer } from '$lib/core/photo/nozzle';
import type { Point } from '$lib/core/photo/ellipse';

export type PhotoQuestion =
	| { of: 'nozzle'; faceMm: number; hint?: Point }
	| { of: 'edge'; thicknessMm: number; lines?: Lines }
	| { of: 'end' }
	| { of: 'kerf'; tickMm: number; sides?: { left: Side; right: Side } };
/** Without a file it is about the picture before: a middle was pointed at, or a line moved. */
export type PhotoAsk = PhotoQuestion & { file?: Blob };

export type PhotoStage = 'opening' | 'light' | 'looking';
/** Pixels of the picture as it is shown, upright. */
export interface PhotoSize {
	width: number;
	height: number;
}
export type PhotoTold =
	| { stage: PhotoStage }
	| { problem: string }
	| { of: 'nozzle'; nozzle: NozzleAnswer; size: PhotoSize }
	| { of: 'edge'; edge: EdgeAnswer; size: PhotoSize }
	| { of: 'end'; end: BevelAnswer; size: PhotoSize }
	| { of: 'kerf'; kerf: KerfAnswer; size: PhotoSize };
