import type { Stage } from '../../air/stages';
import type { Bench } from '../../inputs/bench';
import type { PlanInputs } from '../../inputs/planInputs';
import type { Asked, Candidate, Change } from './change';
import { changedBench } from './change';
import { firstThatHelps } from './judgeOf';
import { GAUGE_BAR, plentyBar } from '../../air/workings';

/** Usual sizes to buy: tanks, l; hose bores, mm. */
export const TANKS_L = [24, 50, 90, 100, 150, 200, 270, 300, 500, 1000];
export const HOSE_BORES_MM = [6, 8, 10, 13, 16, 19, 25];
/** More starts an hour than this wear out a motor (common practice: some ten to fifteen). */
const STARTS_PER_H_MOST = 15;
const COMPRESSOR_TIMES = [1.25, 1.5, 1.75, 2, 2.5, 3, 4];

/** A longer pause than this is another day's work, s. */
export const REST_MOST_S = 900;

const onBench = (bench: Bench, change: (b: Bench) => void): Change => ({
	bench: changedBench(bench, change)
});

function pauses({ work }: PlanInputs, { verdict, before }: Asked): Candidate[] {
	const rests: number[] = [];
	for (let s = Math.floor(work.restS) + 1; s <= REST_MOST_S; s += s < 120 ? 1 : 10) rests.push(s);
	const restS = firstThatHelps(rests, (s) => verdict({ work: { restS: s } }), before);
	if (restS === undefined) return [];
	return [
		{
			id: 'pause',
			effort: 'a habit',
			text: 'Rest {rest} between cuts, not {before}',
			values: {
				rest: { value: restS, quantity: 'time' },
				before: { value: work.restS, quantity: 'time' }
			},
			change: { work: { restS } }
		}
	];
}

function compressorAndTank(
	{ bench }: PlanInputs,
	{ verdict, before, startsPerH }: Asked
): Candidate[] {
	const { air } = bench;
	if (air.source !== 'compressor') return [];
	const found: Candidate[] = [];
	const { cutInBar, cutOutBar, points } = air.compressor;
	const cutIn = Math.round(100 * (cutOutBar - 1)) / 100;
	const raised = onBench(bench, (b) => (b.air.compressor.cutInBar = cutIn));
	// A motor that starts every few minutes burns: no fix.
	if (cutIn > cutInBar + 0.05 && startsPerH(raised) <= STARTS_PER_H_MOST) {
		found.push({
			id: 'cut-in',
			effort: 'in the shop',
			text: 'Set the cut-in up to {bar}, if the pressure switch allows; never past the plate',
			values: { bar: { value: cutIn, quantity: 'pressure' } },
			change: raised
		});
	}
	const tanks = TANKS_L.filter((l) => l > air.tankL);
	const withTank = (l: number) => onBench(bench, (b) => (b.air.tankL = l));
	const tankL = firstThatHelps(tanks, (l) => verdict(withTank(l)), before) ?? tanks[0];
	if (tankL !== undefined) {
		found.push({
			id: 'tank',
			effort: 'a machine',
			text: 'A tank of {volume} in all (a second one beside it counts)',
			values: { volume: { value: tankL, quantity: 'volume' } },
			change: withTank(tankL)
		});
	}
	const withDelivery = (times: number) =>
		onBench(bench, (b) => {
			b.air.compressor.points = points.map((p) => ({ ...p, flowLpm: p.flowLpm * times }));
		});
	const times = firstThatHelps(COMPRESSOR_TIMES, (t) => verdict(withDelivery(t)), before);
	if (times !== undefined) {
		const last = points.at(-1)!;
		found.push({
			id: 'compressor',
			effort: 'a machine',
			text: 'A compressor that delivers {flow} at {bar}',
			values: {
				flow: { value: last.flowLpm * times, quantity: 'flow' },
				bar: { value: last.atBar, quantity: 'pressure' }
			},
			change: withDelivery(times)
		});
	}
	return found;
}

function line({ bench }: PlanInputs): Candidate[] {
	const { air, cutter } = bench;
	const found: Candidate[] = [];
	const { hose, stages } = air;
	if (hose.couplings > 0) {
		found.push({
			id: 'couplings',
			effort: 'a part',
			text: 'Full-bore fittings in place of the quick couplings',
			values: {},
			change: onBench(bench, (b) => (b.air.hose.couplings = 0))
		});
	}
	const boreMm = HOSE_BORES_MM.find((bore) => bore > hose.boreMm);
	if (boreMm) {
		found.push({
			id: 'hose',
			effort: 'a part',
			text: 'A hose of {bore} bore',
			values: { bore: { value: boreMm, quantity: 'small' } },
			change: onBench(bench, (b) => (b.air.hose.boreMm = boreMm))
		});
	}
	if (stages.some((stage) => stage.loaded > 0)) {
		found.push({
			id: 'filters',
			effort: 'a part',
			text: 'New filter elements, and the trap cleaned',
			values: {},
			change: onBench(bench, (b) => b.air.stages.forEach((stage) => (stage.loaded = 0)))
		});
	}
	const bar = Math.round(10 * plentyBar(cutter)) / 10;
	if (Math.abs(air.setPointBar - bar) > GAUGE_BAR) {
		found.push({
			id: 'set-point',
			effort: 'a knob',
			text: 'Set the regulator to {bar}, air flowing',
			values: { bar: { value: bar, quantity: 'pressure' } },
			change: onBench(bench, (b) => (b.air.setPointBar = bar))
		});
	}
	return found;
}

const fresh = (kind: Stage['kind'], gelG: number | null): Bench['air']['stages'][number] => ({
	kind,
	where: 'cutter',
	lossBar: 0.1,
	atLpm: 200,
	loaded: 0,
	gelG
});

function water({ bench }: PlanInputs): Candidate[] {
	const { air } = bench;
	if (air.source !== 'compressor') return [];
	const found: Candidate[] = [];
	if (!air.stages.some((stage) => stage.kind !== 'desiccant')) {
		found.push({
			id: 'trap',
			effort: 'a part',
			text: 'A water trap in the line, drained every day',
			values: {},
			change: onBench(bench, (b) => b.air.stages.push(fresh('trap', null)))
		});
	}
	if (!air.stages.some((stage) => stage.kind === 'desiccant')) {
		found.push({
			id: 'dryer',
			effort: 'a part',
			text: 'A desiccant dryer at the cutter, with {gel} of gel',
			values: { gel: { value: 900, quantity: 'mass' } },
			change: onBench(bench, (b) => b.air.stages.push(fresh('desiccant', 900)))
		});
	}
	if (air.coolingM < 10) {
		found.push({
			id: 'cooling',
			effort: 'a part',
			text: '{pipe} of pipe between tank and trap, to cool the air before it',
			values: { pipe: { value: 10, quantity: 'run' } },
			change: onBench(bench, (b) => (b.air.coolingM = 10))
		});
	}
	return found;
}

export function airCandidates(inputs: PlanInputs, asked: Asked): Candidate[] {
	const against = (parts: readonly string[], list: Candidate[]) =>
		list.map((candidate) => ({ against: parts, ...candidate }));
	// A pause mends what warms up and what runs empty; water is mended by what takes water.
	return [
		...against(['Air', 'Cutter', 'Breaker', 'Plug fuse'], pauses(inputs, asked)),
		...against(['Air'], [...compressorAndTank(inputs, asked), ...line(inputs)]),
		...against(['Water'], water(inputs))
	];
}
