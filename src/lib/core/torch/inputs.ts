/** The torch and what is in it. */
import * as v from 'valibot';
import { nameOf, within } from '../quantity/within';
import { TORCH_FAMILIES, SHIELDS } from './assembly';

/** Radius of a shield, across its riding face, mm. */
export const SHIELD_RADIUS_MM = [3, 40] as const;

/** Flat face of a nozzle, across, mm. */
export const FACE_MM = [2, 40] as const;

export const TorchSchema = v.object({
	name: nameOf('torch name'),
	shieldRadiusMm: within(...SHIELD_RADIUS_MM, 'mm'),
	/** Rim of the face that bears on the plate, from the axis: what touches when the torch is tilted. */
	faceRadiusMm: v.optional(within(1, 30, 'mm'), 5),
	/** The side of the kerf that comes out square, in the direction of travel. */
	squareSide: v.picklist(['right', 'left'], 'right or left'),
	nozzles: v.pipe(
		v.array(
			v.object({
				ratingA: within(5, 500, 'A'),
				boreMm: within(0.3, 6, 'mm'),
				kind: v.picklist(['cut', 'gouge'], 'cut or gouge'),
				/** Mild steel ratings with this nozzle; null: only the machine's are known. */
				cleanMm: v.optional(v.nullable(within(0.5, 100, 'mm')), null),
				severMm: v.optional(v.nullable(within(0.5, 150, 'mm')), null),
				/** Across the flat face about the bore: the scale of a photo of it. Left out or null: not told. */
				faceMm: v.optional(v.nullable(within(...FACE_MM, 'mm')))
			})
		),
		v.minLength(1, 'at least one nozzle'),
		v.maxLength(20, 'at most 20 nozzles')
	),
	/** Rating of the cutting nozzle in the torch now. */
	fittedA: within(5, 500, 'A'),
	/** The shield may rest on the plate. */
	dragShield: v.boolean('true or false'),
	/** How its parts go together. */
	family: v.optional(
		v.picklist(TORCH_FAMILIES, `one of ${TORCH_FAMILIES.join(', ')}`),
		'into-torch'
	),
	/** Most amps the electrode bears; null: not told. */
	electrodeMaxA: v.optional(v.nullable(within(5, 500, 'A')), null),
	/** Amps the swirl ring in the torch is made for; null: for all. */
	ringMinA: v.optional(v.nullable(within(5, 500, 'A')), null),
	ringMaxA: v.optional(v.nullable(within(5, 500, 'A')), null),
	/** What is on the end of the torch. */
	shieldIn: v.optional(v.picklist(SHIELDS, `one of ${SHIELDS.join(', ')}`), 'cutting'),
	/** Up to this a bare nozzle may touch. */
	bareTouchA: within(0, 100, 'A'),
	standoffMm: within(0.5, 6, 'mm'),
	/** Lead from the cutter to the torch. */
	leadM: within(1, 30, 'm'),
	leadBoreMm: within(3, 15, 'mm'),
	postFlowS: within(0, 120, 's')
});

export type Torch = v.InferOutput<typeof TorchSchema>;
export type Nozzle = Torch['nozzles'][number];
