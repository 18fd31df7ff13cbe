import { IEC_STANDARD_A, NEC_STANDARD_A } from '../circuit/breaker';
import {
	ampacityA,
	conductorLabel,
	conductorsFor,
	type ConductorSize
} from '../circuit/conductors';
import { plateInput, type Bench, type PlanInputs } from '../plan/inputs';
import type { Candidate, Change } from './change';
import { changedBench } from './change';
import { firstThatHelps } from './judgeOf';
import type { Verdict } from '../plan/types';

/** What Supply says after a change. */
type Verdicts = (change: Change) => Verdict;

/** Standard ratings of the breaker's own standard. */
export const standardRatings = (bench: Bench): readonly number[] =>
	bench.supply.breaker.standard === 'ul489' ? NEC_STANDARD_A : IEC_STANDARD_A;

/** Sizes of the same system, thicker than this one, rising. */
function thickerThan(bench: Bench, size: ConductorSize): ConductorSize[] {
	const sizes = conductorsFor(bench.supply.system);
	return sizes.slice(sizes.indexOf(size) + 1);
}

/** Plugging the cutter into another circuit of the shop: the two change places. */
export function pluggedInto(bench: Bench, index: number): Bench {
	return changedBench(bench, (b) => {
		const { supply } = b;
		const other = supply.elsewhere[index]!;
		const { circuit: name, nominalV, phases, breaker, wire, receptacleA, earthFault } = supply;
		const { name: newName, ...there } = other;
		supply.elsewhere[index] = { name, nominalV, phases, breaker, wire, receptacleA, earthFault };
		Object.assign(supply, { circuit: newName, ...there });
	});
}

function knobs({ bench, cut }: PlanInputs, verdict: Verdicts): Candidate[] {
	const plate = plateInput(bench)!;
	const most = Math.floor(plate.outputMaxA);
	const least = Math.ceil(bench.cutter.outputMinA);
	const amps = Array.from({ length: Math.max(0, most - least) }, (_, i) => most - 1 - i);
	const typed = (typedA: number): Change => ({ cut: { school: 'typed', typedA } });
	const best = firstThatHelps(amps, (a) => verdict(typed(a)));
	const found: Candidate[] = [];
	const now = cut.school === 'typed' ? cut.typedA : most;
	if (best !== undefined && best < now) {
		found.push({
			id: 'amps',
			effort: 'a knob',
			text: 'Turn down to {amps}',
			values: { amps: { value: best, quantity: 'current' } },
			change: typed(best)
		});
	}
	for (const nozzle of bench.torch.nozzles) {
		if (nozzle.kind !== 'cut' || nozzle.ratingA >= bench.torch.fittedA) continue;
		found.push({
			id: `nozzle-${nozzle.ratingA}`,
			effort: 'in the shop',
			text: 'Low-current parts: fit the {amps} nozzle and turn down to it',
			values: { amps: { value: nozzle.ratingA, quantity: 'current' } },
			change: {
				...typed(Math.max(least, nozzle.ratingA)),
				bench: changedBench(bench, (b) => (b.torch.fittedA = nozzle.ratingA))
			}
		});
	}
	return found;
}

function cords({ bench }: PlanInputs, verdict: Verdicts): Candidate[] {
	const { cord } = bench.supply;
	if (!cord) return [];
	const withCord = (change: Partial<typeof cord>): Change => ({
		bench: changedBench(bench, (b) => Object.assign(b.supply.cord!, change))
	});
	const found: Candidate[] = [
		{
			id: 'no-cord',
			effort: 'in the shop',
			text: 'Plug in without the extension cord',
			values: {},
			change: { bench: changedBench(bench, (b) => (b.supply.cord = null)) }
		}
	];
	const sizes = thickerThan(bench, cord.size);
	const size = firstThatHelps(sizes, (s) => verdict(withCord({ size: s }))) ?? sizes.at(-1);
	if (size) {
		found.push({
			id: 'thicker-cord',
			effort: 'a part',
			text: 'Cord of {size}, as long as it is',
			values: { size: conductorLabel(size) },
			change: withCord({ size })
		});
	}
	if (cord.lengthM > 5) {
		found.push({
			id: 'shorter-cord',
			effort: 'in the shop',
			text: 'A cord of {length}, and no longer',
			values: { length: { value: cord.lengthM / 2, quantity: 'run' } },
			change: withCord({ lengthM: cord.lengthM / 2 })
		});
	}
	return found;
}

function circuits({ bench }: PlanInputs): Candidate[] {
	const { supply } = bench;
	const found: Candidate[] = [];
	supply.elsewhere.forEach((circuit, i) => {
		const moved = pluggedInto(bench, i);
		if (!plateInput(moved)) return;
		found.push({
			id: `circuit-${circuit.name}`,
			effort: 'in the shop',
			text: 'Plug the cutter into “{name}”, {volts}',
			values: { name: circuit.name, volts: { value: circuit.nominalV, quantity: 'voltage' } },
			change: { bench: moved }
		});
	});
	supply.loads.forEach((load, i) => {
		if (load.on !== supply.circuit || load.currentA === 0) return;
		const other = supply.elsewhere.find((c) => c.nominalV === supply.nominalV);
		found.push({
			id: `load-${i}`,
			effort: 'in the shop',
			text: other ? 'Move the {load} to “{name}”' : 'Keep the {load} off while cutting',
			values: { load: load.name, name: other?.name ?? '' },
			change: {
				bench: changedBench(bench, (b) => {
					if (other) b.supply.loads[i]!.on = other.name;
					else b.supply.loads.splice(i, 1);
				})
			}
		});
	});
	return found;
}

/**
 * Conductors with the breaker that suits them, as one job. Never a larger breaker or another curve on
 * its own: the breaker goes up only to what the new wire carries.
 */
function electrician({ bench }: PlanInputs, verdict: Verdicts): Candidate[] {
	const { supply } = bench;
	const jobs = thickerThan(bench, supply.wire.size).map((size) => {
		const carriesA = ampacityA(size, 'wire', supply.wire.method);
		const ratingA =
			standardRatings(bench)
				.filter((rating) => rating <= carriesA)
				.at(-1) ?? supply.breaker.ratingA;
		return { size, ratingA: Math.max(supply.breaker.ratingA, Math.min(ratingA, 63)), carriesA };
	});
	const change = ({ size, ratingA }: (typeof jobs)[number]): Change => ({
		bench: changedBench(bench, (b) => {
			b.supply.wire.size = size;
			b.supply.breaker.ratingA = ratingA;
			b.supply.receptacleA = Math.max(b.supply.receptacleA, ratingA);
		})
	});
	const safe = jobs.filter((job) => job.ratingA <= job.carriesA);
	const job = firstThatHelps(safe, (j) => verdict(change(j)));
	if (!job) return [];
	return [
		{
			id: 'conductors',
			effort: 'an electrician',
			text: 'New wire of {size} with the breaker it carries, {amps}, and a receptacle to match: a licensed electrician’s job, by the local code',
			values: {
				size: conductorLabel(job.size),
				amps: { value: job.ratingA, quantity: 'current' }
			},
			change: change(job)
		}
	];
}

export function electricCandidates(inputs: PlanInputs, verdict: Verdicts): Candidate[] {
	return [
		...knobs(inputs, verdict),
		...cords(inputs, verdict),
		...circuits(inputs),
		...electrician(inputs, verdict)
	];
}
