import { nozzleFor } from '../torch/nozzle';

import { nearRows } from './chart';
import { type Chart, type ChartRow } from './chartSchema';
import type { Rating } from './limits';
import { speedLaw, type SpeedLaw } from './speedLaw';
import type { SpeedReading } from './reading';
import { METALS, type MetalId } from '../metal/metals';
import type { Cutter } from '../cutter/inputs';
import type { Torch } from '../torch/inputs';

/** The shop as far as the law asks. */
interface RatedBench {
	cutter: Cutter;
	torch: Torch;
}

/** Most amps of the machine on any of its inputs: what its ratings were found at. */
export const ratedA = (bench: RatedBench): number =>
	Math.max(...bench.cutter.inputs.map((input) => input.outputMaxA));

/** The machine's label first, then what is told of single nozzles. */
export function ratingsOf(bench: RatedBench): Rating[] {
	const { cutter, torch } = bench;
	const mostA = ratedA(bench);
	const own = torch.nozzles
		.filter((n) => n.kind === 'cut' && (n.cleanMm !== null || n.severMm !== null))
		.map((n) => ({
			nozzleA: n.ratingA,
			outputA: Math.min(n.ratingA, mostA),
			cleanMm: n.cleanMm,
			severMm: n.severMm
		}));
	const machine = {
		nozzleA: nozzleFor(torch.nozzles, mostA).ratingA,
		outputA: mostA,
		cleanMm: cutter.cleanMm,
		severMm: cutter.severMm
	};
	return [machine, ...own];
}

/** Laws once made, for as long as their readings live: a handle asks the same law at every frame. */
const known = new WeakMap<readonly SpeedReading[], Map<string, SpeedLaw>>();
const KNOWN_MOST = 64;

/** Everything on the bench that a law rests on. */
function keyOf({ cutter, torch }: RatedBench, at: { metal: MetalId; nozzleA: number }): string {
	let key = `${at.metal}/${at.nozzleA}/${cutter.cleanMm}/${cutter.severMm}/`;
	for (const input of cutter.inputs) key += `${input.outputMaxA},`;
	for (const n of torch.nozzles) {
		if (n.kind === 'cut') key += `${n.ratingA}:${n.cleanMm}:${n.severMm},`;
	}
	return key;
}

/** Tells the rows that speak apart, inside one chart. */
function rowsKey(rows: readonly ChartRow[]): string {
	let key = `${rows.length}`;
	for (const row of rows) key += `,${row.outputA}:${row.thicknessMm}`;
	return key;
}

/** The law of one nozzle in one metal on this bench. */
export function lawFor(
	bench: RatedBench,
	chart: Chart | null,
	readings: readonly SpeedReading[],
	at: { metal: MetalId; nozzleA: number; outputA: number; thicknessMm: number }
): SpeedLaw {
	const rows = chart ? nearRows(chart, at) : [];
	const key = keyOf(bench, at) + (chart ? `${chart.hash}/${rowsKey(rows)}` : '');
	let laws = known.get(readings);
	if (!laws) known.set(readings, (laws = new Map<string, SpeedLaw>()));
	let law = laws.get(key);
	if (!law) {
		if (laws.size >= KNOWN_MOST) laws.clear();
		law = speedLaw({
			metal: METALS[at.metal],
			nozzleA: at.nozzleA,
			ratings: ratingsOf(bench),
			chart: rows,
			readings: readings.filter((r) => r.metal === at.metal)
		});
		laws.set(key, law);
	}
	return law;
}
