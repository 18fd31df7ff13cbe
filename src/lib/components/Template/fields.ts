import type { Quantity } from '$lib/core';
import type { Shape, ShapeKind } from '$lib/core/shape/makers';

export const SHAPE_WORDS: Record<ShapeKind, string> = {
	rectangle: 'Rectangle',
	disc: 'Disc',
	ring: 'Ring',
	slot: 'Slot',
	flange: 'Flange',
	polygon: 'Polygon'
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
	{ value: 1, label: 'mm' },
	{ value: 10, label: 'cm' },
	{ value: 25.4, label: 'inches' },
	{ value: 25.4 / 96, label: 'px' }
];
