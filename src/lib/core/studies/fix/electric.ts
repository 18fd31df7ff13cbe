import { IEC_STANDARD_A, NEC_STANDARD_A } from '../../circuit/breaker';
import { cordGuard, cordsBehind, tradeCord } from '../../circuit/protection';
import {
	ampacityA,
	areaMm2Of,
	conductorLabel,
	conductorsFor,
	type ConductorSize
} from '../../circuit/conductors';
import { plateInput } from '../../cutter/plate';
import { wholeAmps } from '../../cutter/power';
import { type Bench } from '../../inputs/bench';
import { type PlanInputs } from '../../inputs/planInputs';
import type { Asked, Candidate, Change } from './change';
import { changedBench } from './change';
import { firstThatHelps } from './judgeOf';

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

/** Fewer amps than are planned. */
function knobs({ bench }: PlanInputs, { verdict, before, outputA }: Asked): Candidate[] {
	const amps = wholeAmps(bench, plateInput(bench)!)
		.filter((a) => a < Math.floor(outputA))
		.reverse();
	const typed = (typedA: number): Change => ({ cut: { school: 'typed', typedA } });
	// Fewer amps travel slower and arc longer, so what helps need not lie in one piece.
	const best =
		amps.find((a) => verdict(typed(a)) === 'holds') ??
		(before === 'stops' ? amps.find((a) => verdict(typed(a)) !== 'stops') : undefined);
	const found: Candidate[] = [];
	if (best !== undefined) {
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
		const atA = Math.max(bench.cutter.outputMinA, nozzle.ratingA);
		if (atA >= outputA) continue;
		found.push({
			id: `nozzle-${nozzle.ratingA}`,
			effort: 'in the shop',
			text: 'Low-current parts: fit the {amps} nozzle and turn down to it',
			values: { amps: { value: nozzle.ratingA, quantity: 'current' } },
			change: {
				...typed(atA),
				bench: changedBench(bench, (b) => (b.torch.fittedA = nozzle.ratingA))
			}
		});
	}
	return found;
}

function cords({ bench }: PlanInputs, { verdict, before }: Asked): Candidate[] {
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
	// Only what the device in front of it protects, and the trade takes.
	const nearestA = Math.min(bench.supply.breaker.ratingA, bench.supply.plugFuseA ?? Infinity);
	const safe = cordsBehind(bench.supply.system, nearestA);
	const sizes = thickerThan(bench, cord.size).filter((s) => safe.includes(s));
	const made = (s: ConductorSize) => withCord({ size: s, kind: 'made-up', labelA: null });
	const size = firstThatHelps(sizes, (s) => verdict(made(s)), before) ?? sizes.at(-1);
	if (size) {
		found.push({
			id: 'thicker-cord',
			effort: 'a part',
			text: 'Cord of {size}, as long as it is',
			values: { size: conductorLabel(size) },
			change: made(size)
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

/** A cord that the new breaker does not protect stays behind: one that it does goes along instead. */
function cordToSuit(bench: Bench): { moved: Bench; size: ConductorSize | undefined } {
	const { cord, system, breaker } = bench.supply;
	const deviceA = Math.min(breaker.ratingA, bench.supply.plugFuseA ?? Infinity);
	if (!cord || cordGuard({ system, ...cord, deviceA }).verdict !== 'not protected') {
		return { moved: bench, size: undefined };
	}
	const size = cordsBehind(system, deviceA)[0];
	const moved = changedBench(bench, (b) => {
		b.supply.cord = size ? { ...cord, size, kind: 'made-up', labelA: null } : null;
	});
	return { moved, size };
}

function circuits({ bench }: PlanInputs): Candidate[] {
	const { supply } = bench;
	const found: Candidate[] = [];
	supply.elsewhere.forEach((circuit, i) => {
		const there = pluggedInto(bench, i);
		if (!plateInput(there)) return;
		const { moved, size } = cordToSuit(there);
		found.push({
			id: `circuit-${circuit.name}`,
			effort: size ? 'a part' : 'in the shop',
			text: 'Plug the cutter into “{name}”, {volts}{cord}',
			values: {
				name: circuit.name,
				volts: { value: circuit.nominalV, quantity: 'voltage' },
				cord: size ? `, with a cord of ${conductorLabel(size)}` : ''
			},
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
 * A new circuit, whole: breaker, wire that it protects by the ordinary rule, receptacle, plug and cord. The
 * breaker is what the label asks for, and what the work needs; never a larger one or another curve alone.
 */
function electrician({ bench }: PlanInputs, { verdict, before }: Asked): Candidate[] {
	const { supply } = bench;
	const plate = plateInput(bench)!;
	const leastA = Math.max(plate.inputMaxA ?? 0, plate.fuseA ?? 0, supply.breaker.ratingA);
	const jobs = standardRatings(bench).flatMap((ratingA) => {
		const size = conductorsFor(supply.system).find(
			(s) => ampacityA(s, 'wire', supply.wire.method) >= ratingA
		);
		const cord = supply.cord && tradeCord(supply.system, ratingA);
		if (ratingA < leastA || !size || (supply.cord && !cord)) return [];
		const least = thicker(supply.wire.size, size);
		return [{ ratingA, size: least, cord: cord && thicker(supply.cord!.size, cord) }];
	});
	const change = ({ size, ratingA, cord }: (typeof jobs)[number]): Change => ({
		bench: changedBench(bench, (b) => {
			b.supply.wire.size = size;
			b.supply.breaker.ratingA = ratingA;
			b.supply.receptacleA = Math.max(b.supply.receptacleA, ratingA);
			b.supply.plugFuseA = null;
			if (cord) Object.assign(b.supply.cord!, { size: cord, kind: 'made-up', labelA: null });
		})
	});
	const job =
		jobs.find((j) => verdict(change(j)) === 'holds') ??
		(before === 'stops' ? jobs.find((j) => verdict(change(j)) !== 'stops') : undefined);
	if (!job) return [];
	return [
		{
			id: 'new-circuit',
			effort: 'an electrician',
			text: 'A new circuit, whole: {amps} breaker, {size} wire, receptacle and plug to match{cord}. A licensed electrician’s job, by the local code',
			values: {
				size: conductorLabel(job.size),
				amps: { value: job.ratingA, quantity: 'current' },
				cord: job.cord ? `, and a cord of ${conductorLabel(job.cord)}` : ''
			},
			change: change(job)
		}
	];
}

const thicker = (x: ConductorSize, y: ConductorSize) => (areaMm2Of(x) > areaMm2Of(y) ? x : y);

/** Parts of Supply that current and volts mend. */
const ELECTRIC = [
	'Volts',
	'Breaker',
	'Switch-on',
	'Generator',
	'Plug fuse',
	'Wire',
	'Cord',
	'Receptacle'
];

export function electricCandidates(inputs: PlanInputs, asked: Asked): Candidate[] {
	const against = (parts: readonly string[], list: Candidate[]) =>
		list.map((candidate) => ({ against: parts, ...candidate }));
	return [
		...against([...ELECTRIC, 'Cutter'], knobs(inputs, asked)),
		...against(ELECTRIC, [
			...cords(inputs, asked),
			...circuits(inputs),
			...electrician(inputs, asked)
		])
	];
}
