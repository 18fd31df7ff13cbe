/** Parts of the torch along one axis, drawn in half section: 1232 × 190. */
export const STACK = { width: 1232, height: 190, axisY: 96 };
const y = STACK.axisY;

interface StackPart {
	name: string;
	x: number;
	/** Upper half, mirrored at the axis; fill is a CSS variable or a pattern of the drawing. */
	half: string;
	fill: 'steel2' | 'steel' | 'copper' | 'brass';
}

export const STACK_PARTS: StackPart[] = [
	{
		name: 'Shield',
		x: 86,
		half: `M-46 ${y - 7}V${y - 22}L-10 ${y - 54}H34V${y - 70}H46V${y - 40}H-2L-34 ${y - 12}V${y - 7}Z`,
		fill: 'steel2'
	},
	{
		name: 'Retaining cap',
		x: 278,
		half: `M-50 ${y - 34}L-20 ${y - 76}H50V${y - 58}H-8L-32 ${y - 26}Z`,
		fill: 'steel'
	},
	{
		name: 'Nozzle',
		x: 470,
		half: `M-44 ${y - 4}V${y - 16}L-6 ${y - 44}H44V${y - 28}H2L-22 ${y - 12}L-28 ${y - 4}Z`,
		fill: 'copper'
	},
	{ name: 'Swirl ring', x: 650, half: `M-34 ${y - 30}V${y - 48}H34V${y - 30}Z`, fill: 'brass' }
];

export const ELECTRODE_X = 840;
export const ELECTRODE = `M-72 ${y - 14}Q-72 ${y - 24} -60 ${y - 24}H18V${y - 34}H34V${y - 20}H72V${y + 20}H34V${y + 34}H18V${y + 24}H-60Q-72 ${y + 24} -72 ${y + 14}V${y + 8}L-60 ${y + 6}V${y - 6}L-72 ${y - 8}Z`;
export const BODY_X = 1060;
export const BODY = `M-88 ${y - 44}H-40V${y - 64}H40C80 ${y - 64} 110 ${y - 46} 170 ${y - 30}V${y + 34}C110 ${y + 22} 84 ${y + 64} 40 ${y + 64}H-40V${y + 44}H-88Z`;

export interface PitShape {
	depthPx: number;
	limitY: number;
	pitY: number;
	path: string;
}

/** The pit in the electrode face, 58 px a millimetre. */
export function pitShape(pitMm: number, limitMm: number): PitShape {
	const scale = 58;
	const top = 40;
	const depthPx = Math.min(2, pitMm) * scale;
	const cx = 92;
	return {
		depthPx,
		pitY: top + depthPx,
		limitY: top + limitMm * scale,
		path: `M${cx - 30} ${top}C${cx - 22} ${top + depthPx * 1.33} ${cx + 22} ${top + depthPx * 1.33} ${cx + 30} ${top}`
	};
}

/** Life line: thick over the life that is left, thin over what is used. 150 × 10 at the origin. */
export function lifeLine(share: number): string {
	const x = 150 * Math.min(1, Math.max(0, share));
	if (x < 3) return 'M0 4H150V6H0Z';
	if (x > 147) return 'M0 0H150V10H0Z';
	return `M0 0H${x}C${x + 8} 0 ${x + 4} 4 ${x + 12} 4H150V6H${x + 12}C${x + 4} 6 ${x + 8} 10 ${x} 10H0Z`;
}
