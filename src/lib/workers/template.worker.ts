/** Reads drawings and makes templates off the screen's thread. Thin: it calls formats and core. */
import type { PlanInputs } from '$lib/core';
import { jobOf, type Job } from '$lib/core/studies/job';
import { cutOrder, type CutPath } from '$lib/core/shape/order';
import { boundsOf, type Bounds, type Contour } from '$lib/core/shape/outline';
import { pathOf } from '$lib/core/shape/offset';
import {
	faultsOf,
	isFaulty,
	remedyOf,
	type Remedy,
	type TemplateFaults
} from '$lib/core/shape/remedy';
import {
	asCut,
	isFollowed,
	templatesOf,
	type TemplateContour,
	type TemplateInput
} from '$lib/core/shape/template';
import { readDxf } from '$lib/formats/outline/dxfIn';
import { OutlineError, type OutlineReading } from '$lib/formats/outline/gather';
import { pathData, polygonPath } from '$lib/formats/outline/svgPath';
import { readSvg } from '$lib/formats/outline/svgIn';

export interface ReadQuestion {
	kind: 'read';
	name: string;
	text: string;
	/** What the person says a unit of the drawing is; left out: what the file says. */
	unitMm: number | undefined;
}
export interface MakeQuestion {
	id: number;
	kind: 'make';
	input: TemplateInput;
	plan: PlanInputs;
	parts: number;
}
export type TemplateQuestion = ReadQuestion | MakeQuestion;

export interface ReadAnswer {
	kind: 'read';
	reading?: OutlineReading;
	problem?: string;
}
/** Everything the screen draws, as SVG paths in mm with y down. */
export interface TemplateDrawing {
	bounds: Bounds;
	part: string;
	templates: string[];
	torch: string;
	corners: TemplateContour['corners'];
	order: Omit<CutPath, 'path'>[];
	faults: TemplateFaults;
}
/** What the cut makes of it, worked out after the drawing is on the screen. */
export interface CheckAnswer {
	id: number;
	kind: 'check';
	left: string;
	lost: string;
	/** Contours with a neck or a notch that is too narrow for the shield. */
	tooNarrow: number[];
	/** Contours of too many points, which were not checked. */
	unchecked: number;
	/** How what cannot be made as asked can be made; `undefined`: nothing is wrong, or no way was found. */
	remedy: Remedy | undefined;
}
export interface MakeAnswer {
	id: number;
	kind: 'make';
	drawing: TemplateDrawing;
	job: Job;
}

/** Beyond so many points the cut as it comes out takes too long to be worth the wait. */
const CHECKED_POINTS_MOST = 4000;

function drawingOf(input: TemplateInput, templates: TemplateContour[], paths: CutPath[]) {
	const all: Contour[] = [
		...input.contours,
		...templates.flatMap((one) => one.template),
		...templates.flatMap((one) => one.torch)
	];
	return {
		bounds: boundsOf(all),
		part: input.contours.map((contour) => pathData(contour)).join(''),
		templates: templates.map((one) => one.template.map((t) => pathData(t)).join('')),
		torch: paths.map(({ path }) => pathData(path)).join(''),
		corners: templates.flatMap(({ corners }) => corners),
		order: paths.map(({ index, edge, clockwise, start, meets, leadMm, headingDeg, tight }) => ({
			index,
			edge,
			clockwise,
			start,
			meets,
			leadMm,
			headingDeg,
			tight
		})),
		faults: faultsOf(templates)
	} satisfies TemplateDrawing;
}

function read({ name, text, unitMm }: ReadQuestion): ReadAnswer {
	try {
		const reading =
			/\.svg$/i.test(name) || /^\s*<(\?xml|!doctype svg|svg)/i.test(text)
				? readSvg(text, unitMm)
				: readDxf(text, unitMm);
		return { kind: 'read', reading };
	} catch (error) {
		if (error instanceof OutlineError) return { kind: 'read', problem: error.message };
		throw error;
	}
}

function make({ id, input, plan, parts }: MakeQuestion, templates: TemplateContour[]): MakeAnswer {
	const { squareSide } = plan.bench.torch;
	const paths = cutOrder(templates, { squareSide, kerfMm: input.kerfMm });
	return {
		id,
		kind: 'make',
		drawing: drawingOf(input, templates, paths),
		job: jobOf(plan, paths, parts)
	};
}

function check({ id, input }: MakeQuestion, templates: TemplateContour[]): CheckAnswer {
	const checked = templates
		.map((one, index) => ({ one, index }))
		.filter(({ one }) => pathOf(one.contour).length <= CHECKED_POINTS_MOST)
		.map(({ one, index }) => ({ one, index, result: asCut(one, input) }));
	return {
		id,
		kind: 'check',
		left: checked.flatMap(({ result }) => result.left.map(polygonPath)).join(''),
		lost: checked.flatMap(({ result }) => result.lost.map(polygonPath)).join(''),
		tooNarrow: checked
			.filter(({ one, result }) => one.template.length === 1 && !isFollowed(one, result, input))
			.map(({ index }) => index),
		unchecked: templates.length - checked.length,
		remedy: isFaulty(faultsOf(templates)) ? remedyOf(input) : undefined
	};
}

self.onmessage = ({ data }: MessageEvent<TemplateQuestion>) => {
	if (data.kind === 'read') {
		self.postMessage(read(data));
		return;
	}
	const templates = templatesOf(data.input);
	self.postMessage(make(data, templates));
	self.postMessage(check(data, templates));
};
