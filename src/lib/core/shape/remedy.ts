/** What keeps a template from being made, and a way out that was tried before it is said. */
import { boundsOf, type Contour } from './outline';
import {
	crossingTemplates,
	templatesOf,
	type Edge,
	type TemplateContour,
	type TemplateInput,
	type TemplateSide
} from './template';

/** A template smaller than this nobody can make or hold [own]. */
const TEMPLATE_LEAST_MM = 10;

/** The longer side of what it fills, mm. */
const sizeMm = (contour: Contour) => {
	const { minX, maxX, minY, maxY } = boundsOf([contour]);
	return Math.max(maxX - minX, maxY - minY);
};

export interface TemplateFaults {
	/** Contours whose template has no room, or comes apart at a neck. */
	missing: { index: number; edge: Edge; why: 'no room' | 'falls apart' }[];
	/** How many templates cross another one. */
	crossing: number;
	/** Contours that are smaller than the kerf. */
	tooSmall: number[];
}

export function faultsOf(templates: readonly TemplateContour[]): TemplateFaults {
	return {
		missing: templates.flatMap(({ template, edge }, index): TemplateFaults['missing'] => {
			const inHand = template.some((one) => sizeMm(one) >= TEMPLATE_LEAST_MM);
			if (!inHand) return [{ index, edge, why: 'no room' }];
			return template.length > 1 ? [{ index, edge, why: 'falls apart' }] : [];
		}),
		crossing: new Set(crossingTemplates(templates).flat()).size,
		tooSmall: templates.flatMap(({ torch }, index) => (torch.length === 0 ? [index] : []))
	};
}
export const isFaulty = ({ missing, crossing, tooSmall }: TemplateFaults): boolean =>
	missing.length + crossing + tooSmall.length > 0;

/** A way in which all that is left can be made. */
export interface Remedy {
	outside: TemplateSide;
	holes: TemplateSide;
	/** Two: one for the outside, one for the holes. */
	plates: 1 | 2;
	/** Contours that are drilled or sawn instead. */
	drill: number[];
}

/** More contours or points than this are not tried in all ways: it would take seconds. */
const CONTOURS_TRIED = 60;
const POINTS_TRIED = 3000;

const flipped = (side: TemplateSide): TemplateSide => (side === 'kept' ? 'waste' : 'kept');

/** Fewest plates that carry all templates; undefined: they cannot be made. */
function platesOf(templates: readonly TemplateContour[]): 1 | 2 | undefined {
	const { missing, crossing, tooSmall } = faultsOf(templates);
	if (missing.length + tooSmall.length > 0) return undefined;
	if (crossing === 0) return 1;
	const apart = (['outside', 'hole'] as const).every(
		(edge) => crossingTemplates(templates.filter((one) => one.edge === edge)).length === 0
	);
	return apart ? 2 : undefined;
}

/**
 * The least change by which everything can be made: a second plate, other sides, then holes drilled from
 * the smallest up. `undefined`: none was found, or the outline is too intricate to try them all.
 */
export function remedyOf(input: TemplateInput): Remedy | undefined {
	const { contours } = input;
	const points = contours.reduce((sum, contour) => sum + contour.length, 0);
	if (contours.length > CONTOURS_TRIED || points > POINTS_TRIED) return undefined;
	const { outside, holes } = input;
	const sides: [TemplateSide, TemplateSide][] = [
		[outside, holes],
		[outside, flipped(holes)],
		[flipped(outside), holes],
		[flipped(outside), flipped(holes)]
	];
	const edges = templatesOf(input).map(({ edge }) => edge);
	const smallestFirst = contours
		.map((contour, index) => ({ index, size: sizeMm(contour) }))
		.filter(({ index }) => edges[index] === 'hole')
		.sort((a, b) => a.size - b.size);
	const drill = new Set<number>();
	for (;;) {
		const left = contours.filter((_, index) => !drill.has(index));
		for (const [out, inHoles] of sides) {
			const way = { outside: out, holes: inHoles };
			const plates = platesOf(templatesOf({ ...input, contours: left, ...way }));
			if (plates) return { ...way, plates, drill: [...drill].sort((a, b) => a - b) };
		}
		const next = smallestFirst.find(({ index }) => !drill.has(index));
		if (!next) return undefined;
		// Holes of one size are drilled together.
		for (const { index, size } of smallestFirst)
			if (Math.abs(size - next.size) < 0.05) drill.add(index);
	}
}
