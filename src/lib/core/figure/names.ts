/**
 * What a figure is called and in what it is measured. Apart from how it is read: a page names and shows the
 * figures that the server sent before it can work any out itself.
 */
import type { Quantity } from '../quantity/units';

export interface FigureName {
	label: string;
	quantity: Quantity;
}

export const named = (label: string, quantity: Quantity): FigureName => ({ label, quantity });
