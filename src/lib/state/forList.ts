/** From the template to the day's list: what is handed over on the way from one page to the other. */
import { goto } from '$app/navigation';
import { ListItemSchema } from '$lib/core/list/inputs';
import { areaMm2, boundsOf, type Contour } from '$lib/core/shape/outline';
import { depthsOf } from '$lib/core/shape/template';
import type { Job } from '$lib/core/studies/job';
import * as v from 'valibot';
import { newOpId } from './ids';
import type { Workbench } from './workbench.svelte';

/** The outline as an item: its contours, its box, its net plate; the page of the list takes it up. */
export function toList(
	bench: Workbench,
	job: Job,
	{ name, contours }: { name: string; contours: readonly Contour[] }
): void {
	const { minX, maxX, minY, maxY } = boundsOf(contours);
	// What is cut out of it is no plate of the piece's; an island in a hole is again.
	const depths = depthsOf([...contours]);
	const netMm2 = contours.reduce(
		(sum, contour, k) => sum + (depths[k]! % 2 ? -1 : 1) * Math.abs(areaMm2(contour)),
		0
	);
	const box = (mm: number) => (mm >= 5 && mm <= 20_000 ? mm : null);
	const tenth = (mm: number) => Math.round(mm * 10) / 10;
	const item = v.safeParse(ListItemSchema, {
		id: `i${newOpId().replaceAll('-', '').slice(0, 12)}`,
		name: name.slice(0, 60),
		what: 'cut',
		search: bench.search,
		pieces: job.parts,
		paths: job.cuts.map(({ edge, lengthMm }) => ({ edge, lengthMm: tenth(lengthMm) })),
		widthMm: box(tenth(maxX - minX)),
		heightMm: box(tenth(maxY - minY)),
		areaMm2: netMm2 >= 1 && netMm2 <= 2e7 ? Math.round(netMm2) : null
	});
	if (!item.success) {
		bench.notice = { kind: 'problem', text: `Not taken: ${item.issues[0].message}.` };
		return;
	}
	bench.forList = [...bench.forList, item.output];
	void goto(`/job?${bench.search}`);
}
