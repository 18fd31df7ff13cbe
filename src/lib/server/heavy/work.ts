/** Requests that may take long, answered in a thread of their own: from the bytes of the body to the answer. */
import * as v from 'valibot';
import { DomainError, type PlanInputs } from '$lib/core';
import type { DayList } from '$lib/core/list/inputs';
import { otherBenches, type OtherBench } from '$lib/core/studies/list/benches';
import { wholeStudy } from '$lib/core/studies/list/book';
import type { InDrawer } from '$lib/core/studies/list/eats';
import { learntFrom, timedPieces } from '$lib/core/studies/list/learnt';
import { plansOf } from '$lib/core/studies/list/itemPlans';
import { studyList } from '$lib/core/studies/list/run';
import { waysOf } from '$lib/core/studies/list/runTypes';
import type { Contour } from '$lib/core/shape/outline';
import { boundsOf } from '$lib/core/shape/outline';
import { faultsOf, isFaulty, remedyOf } from '$lib/core/shape/remedy';
import { templatesOf, type TemplateContour, type TemplateInput } from '$lib/core/shape/template';
import { FAULT_WORDS, faultOf, pointsOf, POINTS_MOST } from '$lib/core/shape/vet';
import { askedItems } from '$lib/formats/dayList';
import { faultWords, remedyWords } from '$lib/formats/templateWords';
import { NewOutlineSchema } from '$lib/formats/bodies/work';
import { TemplateRequestSchema } from '$lib/formats/bodies/planned';
import { toDxf, toSvg } from '$lib/formats/outline/out';
import {
	badInput,
	fieldProblems,
	isBody,
	noBody,
	problemFromDomainError,
	type Problem
} from '$lib/formats/problem';
import type { Tick } from '$lib/formats/ticked';
import { sheetsOf, SHEETS_MOST, templatePdf } from '../templatePdf';

export interface HeavyJob {
	kind: 'template' | 'outline' | 'run' | 'benches' | 'learnt';
	body: ArrayBuffer;
}
export type HeavyAnswer =
	| { outcome: 'file'; name: string; type: string; body: string | Uint8Array<ArrayBuffer> }
	| { outcome: 'json'; body: string }
	/** Checked, and written as it is to be kept. */
	| { outcome: 'outline'; opId: string; name: string; contours: string }
	| { outcome: 'refused'; status: number; problem: Problem };

const refused = (message: string, fields: Problem['fields'] = []): HeavyAnswer => ({
	outcome: 'refused',
	status: 400,
	problem: { code: 'bad-input', message, fields }
});

/** What is wrong with the first contour that cannot be cut. */
function faultIn(contours: readonly Contour[]): HeavyAnswer | undefined {
	let points = 0;
	for (const [i, contour] of contours.entries()) {
		const found = faultOf(contour);
		if (found) {
			const { x, y } = found.at;
			const at = `at ${x.toFixed(1)}, ${y.toFixed(1)} mm`;
			const message = `an outline that can be cut: ${FAULT_WORDS[found.fault]}, ${at}`;
			return {
				outcome: 'refused',
				status: 400,
				problem: badInput([{ field: `contours.${i}`, message, received: found.fault }])
			};
		}
		points += pointsOf(contour);
	}
	if (points <= POINTS_MOST) return undefined;
	return refused(`The outlines have more than ${POINTS_MOST} points with their arcs drawn.`);
}

/** What the sheets must not be glued together without knowing. */
function warningsOf(input: TemplateInput, templates: readonly TemplateContour[]): string[] {
	const faults = faultsOf(templates);
	if (!isFaulty(faults)) return [];
	const nameOf = (index: number) => {
		const { minX, maxX, minY, maxY } = boundsOf([input.contours[index]!]);
		const size = Math.round(10 * Math.max(maxX - minX, maxY - minY)) / 10;
		return `the ${templates[index]!.edge === 'hole' ? 'hole' : 'outline'} ${size} mm across`;
	};
	return [...faultWords(faults, nameOf), remedyWords(remedyOf(input), input, nameOf)];
}

async function template(data: unknown): Promise<HeavyAnswer> {
	const { as, name, paper, ...input } = v.parse(TemplateRequestSchema, data);
	const fault = faultIn(input.contours);
	if (fault) return fault;
	const templates = templatesOf(input);
	if (as === 'json')
		return {
			outcome: 'json',
			body: JSON.stringify({ templates, warnings: warningsOf(input, templates) })
		};
	const layers = {
		template: templates.flatMap((one) => one.template),
		part: input.contours,
		torch: templates.flatMap((one) => one.torch)
	};
	const file = (type: string, body: string | Uint8Array<ArrayBuffer>): HeavyAnswer => ({
		outcome: 'file',
		name: `${name}.${as}`,
		type,
		body
	});
	if (as === 'svg') return file('image/svg+xml', toSvg(layers));
	if (as === 'dxf') return file('image/vnd.dxf', toDxf(layers));
	const sheets = sheetsOf(layers, paper);
	if (sheets > SHEETS_MOST) {
		return refused(
			`This template takes ${sheets} sheets of ${paper}; ${SHEETS_MOST} is the most. Take the DXF or SVG to a plotter.`
		);
	}
	return file(
		'application/pdf',
		await templatePdf({ name, paper, layers, torch: input, warnings: warningsOf(input, templates) })
	);
}

function outline(data: unknown): HeavyAnswer {
	const { opId, name, contours } = v.parse(NewOutlineSchema, data);
	return (
		faultIn(contours) ?? { outcome: 'outline', opId, name, contours: JSON.stringify(contours) }
	);
}

/** What was read and checked on the server's own thread. */
export interface RunJob {
	base: PlanInputs;
	list: DayList;
	drawer: InDrawer;
}
const run = ({ base, list, drawer }: RunJob): HeavyAnswer => ({
	outcome: 'json',
	body: JSON.stringify(
		wholeStudy({ base, list, drawer, asked: askedItems(list, base.work), laysPlates: true })
	)
});

/** Checked likewise. */
export interface BenchesJob {
	base: PlanInputs;
	list: DayList;
	others: Omit<OtherBench, 'asked'>[];
}
function benches({ base, list, others }: BenchesJob): HeavyAnswer {
	const asked = askedItems(list, base.work);
	const known = plansOf(base, asked);
	const ways = waysOf(list);
	const { run: now } = studyList(base, list, asked, ways, undefined, known);
	const all = others.map((one) => ({ ...one, asked: askedItems(list, one.base.work) }));
	const here = { base, list, asked, known };
	const made = now && !('trouble' in now) ? now : null;
	return { outcome: 'json', body: JSON.stringify(otherBenches(here, ways, made, all)) };
}

/** Newest first, each with its ticks. */
export interface LearntJob {
	base: PlanInputs;
	lists: { list: DayList; ticks: Tick[] }[];
}
function learnt({ base, lists }: LearntJob): HeavyAnswer {
	const timed = lists.map(({ list, ticks }) => ({
		plans: plansOf(base, askedItems(list, base.work)).plans,
		pieces: timedPieces(ticks.map(({ item, kind, at }) => ({ item, kind, atMs: Date.parse(at) })))
	}));
	return { outcome: 'json', body: JSON.stringify(learntFrom(timed)) };
}

export default async function work({ kind, body }: HeavyJob): Promise<HeavyAnswer> {
	let data: unknown;
	try {
		data = JSON.parse(new TextDecoder().decode(body));
	} catch {
		const problem: Problem = { code: 'bad-json', message: 'The body is not JSON.', fields: [] };
		return { outcome: 'refused', status: 400, problem };
	}
	if (!isBody(data)) return { outcome: 'refused', status: 400, problem: noBody(data) };
	try {
		if (kind === 'run') return run(data as unknown as RunJob);
		if (kind === 'learnt') return learnt(data as unknown as LearntJob);
		if (kind === 'benches') return benches(data as unknown as BenchesJob);
		return kind === 'template' ? await template(data) : outline(data);
	} catch (error) {
		if (error instanceof v.ValiError) {
			const problem = badInput(fieldProblems(error.issues as v.BaseIssue<unknown>[]));
			return { outcome: 'refused', status: 400, problem };
		}
		if (error instanceof DomainError) {
			return { outcome: 'refused', status: 400, problem: problemFromDomainError(error) };
		}
		throw error;
	}
}
