import type { Quantity } from '$lib/core';
import type { Shape, ShapeKind } from '$lib/core/shape/makers';

export const SHAPE_WORDS: Record<ShapeKind, { label: string; help: string }> = {
	rectangle: { label: 'Rectangle', help: 'Two sides, corners rounded if you like.' },
	disc: { label: 'Disc', help: 'A full circle.' },
	ring: { label: 'Ring', help: 'A circle with a round hole in its middle.' },
	slot: { label: 'Slot', help: 'A long hole with round ends.' },
	flange: { label: 'Flange', help: 'A ring with bolt holes on a circle.' },
	polygon: { label: 'Polygon', help: 'Equal sides, measured across its corners.' }
};

export interface ShapeField {
	key: string;
	label: string;
	quantity: Quantity;
}
const length = (key: string, label: string): ShapeField => ({ key, label, quantity: 'length' });
const count = (key: string, label: string): ShapeField => ({ key, label, quantity: 'count' });

/** What is asked for each kind of outline. */
export const SHAPE_FIELDS: Record<ShapeKind, readonly ShapeField[]> = {
	rectangle: [
		length('widthMm', 'Width'),
		length('heightMm', 'Height'),
		length('radiusMm', 'Corner radius')
	],
	disc: [length('diameterMm', 'Diameter')],
	ring: [length('outerMm', 'Outside'), length('innerMm', 'Inside')],
	slot: [length('lengthMm', 'Length'), length('widthMm', 'Width')],
	flange: [
		length('outerMm', 'Outside'),
		length('boreMm', 'Bore'),
		length('boltCircleMm', 'Bolt circle'),
		count('holes', 'Holes'),
		length('holeMm', 'Hole')
	],
	polygon: [count('sides', 'Sides'), length('acrossCornersMm', 'Across corners')]
};

export const fieldValue = (shape: Shape, key: string): number =>
	(shape as unknown as Record<string, number>)[key]!;

export const UNIT_CHOICES = [
	{ value: 1, label: 'mm', help: 'One unit of the drawing is a millimetre.' },
	{ value: 10, label: 'cm', help: 'One unit of the drawing is a centimetre.' },
	{ value: 25.4, label: 'inches', help: 'One unit of the drawing is an inch.' },
	{ value: 25.4 / 96, label: 'px', help: '96 units are an inch, as screens count.' }
];
