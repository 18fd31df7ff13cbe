import { conductorLabel } from '../circuit/conductors';
import { cordsBehind, tradeCord } from '../circuit/protection';
import { tripBandMa } from '../circuit/earthFault';
import { tankDeliveryLpm } from '../session/tank';
import { runShare } from '../session/run';
import type { Finding } from './types';
import type { Workings } from './workings';
import { loadsOf } from '../circuit/workings';

/** Figures inside findings are few and plain; screens show the rest with their units. */
const whole = (value: number) => String(Math.round(value));

function safetyOfWiring(w: Workings): Finding[] {
	const { bench } = w.inputs;
	const { supply } = bench;
	const ratingA = supply.breaker.ratingA;
	const findings: Finding[] = [];
	const safety = (text: string) => findings.push({ kind: 'safety', station: 'supply', text });
	const wire = conductorLabel(supply.wire.size);
	const { wireGuard, cordGuard, nearestA } = w.wiring;
	if (wireGuard.verdict === 'not protected') {
		safety(
			`A ${ratingA} A breaker does not protect a ${wire} wire: ${whole(wireGuard.deviceMostA)} A is the most in front of it here (${wireGuard.rule}, from memory). Do not load it; have a licensed electrician look; local rules decide.`
		);
	} else if (wireGuard.verdict === 'thin') {
		safety(
			`A ${ratingA} A breaker is above the ordinary rating of ${wire} wire. ${wireGuard.rule} can allow it (from memory); a licensed electrician and the local code decide.`
		);
	}
	if (supply.system === 'north-america' && w.draw.neededA > w.wiring.wireCarriesA) {
		safety(
			`At the plate’s duty the wire should carry ${whole(w.draw.neededA)} A (NEC 630.11(A), from memory); ${wire} carries ${whole(w.wiring.wireCarriesA)} A.`
		);
	}
	if (supply.cord && cordGuard?.verdict === 'not protected') {
		const least = cordsBehind(supply.system, nearestA)[0];
		const device = nearestA < ratingA ? `${nearestA} A plug fuse` : `${ratingA} A breaker`;
		safety(
			`The ${device} does not protect a ${conductorLabel(supply.cord.size)} cord: ${whole(cordGuard.deviceMostA)} A is the most in front of it (${cordGuard.rule}, from memory). Short cuts do not make it safe. ${least ? `Use ${conductorLabel(least)} or thicker, or plug in without it.` : 'Plug in without it.'}`
		);
	}
	if (supply.phases === 3) {
		safety('Three-phase plugs and hard-wiring are work for a licensed electrician.');
	}
	if (bench.cutter.inputs.length > 1 && bench.cutter.voltageBy === 'selector') {
		safety(
			`Set the voltage selector to ${supply.nominalV} V with the plug out, before power comes on: the wrong setting can destroy the machine.`
		);
	}
	if (bench.air.source === 'bottle' && bench.air.bottle?.gas === 'nitrogen') {
		safety(
			'Nitrogen drives out the air one breathes: ventilate, never in a pit, tank or closed room.'
		);
	}
	return findings;
}

/** A cord no longer than this, by rule of thumb: 25 ft. */
const CORD_MOST_M = 7.6;

/** A breaker under the label's figures: what surely holds, and what may. */
function smallBreaker(w: Workings): string | undefined {
	const { breaker } = w.inputs.bench.supply;
	const { inputMaxA, inputEffA, plate } = w.wiring;
	if (breaker.ratingA >= inputMaxA - 0.5 && breaker.ratingA >= (plate.fuseA ?? 0)) return undefined;
	const label =
		plate.fuseA !== null && breaker.ratingA < plate.fuseA
			? `the label asks for a ${plate.fuseA} A fuse`
			: breaker.ratingA < inputEffA - 0.5
				? `the label’s effective current is ${whole(inputEffA)} A`
				: `the label’s largest current is ${whole(inputMaxA)} A`;
	const work = w.workIsCut ? 'this cut over and over' : 'this work';
	const sure = w.runsOnA === undefined ? 'nothing surely holds' : `${w.runsOnA} A surely holds`;
	const may =
		w.mayRunOnA === undefined || w.mayRunOnA === w.runsOnA ? '' : `, ${w.mayRunOnA} A may`;
	return `The breaker is ${breaker.ratingA} A; ${label}. For ${work}, ${sure}${may}.`;
}

function cautionsOfCircuit(w: Workings): Finding[] {
	const { supply, cutter } = w.inputs.bench;
	const findings: Finding[] = [];
	const say = (kind: 'caution' | 'advice', text: string) =>
		findings.push({ kind, station: 'supply', text });
	const small = smallBreaker(w);
	if (small) say('caution', small);
	if (w.draw.delivered.ok && w.draw.delivered.voltageV < w.wiring.leastV) {
		say(
			'caution',
			`${whole(w.draw.delivered.voltageV)} V under load is below the ${whole(w.wiring.leastV)} V that this machine takes: thicker or shorter conductors, another circuit, or the machine’s tap or selector for ${supply.nominalV} V. A larger breaker does not raise volts.`
		);
	} else if (w.wiring.sharedV > w.wiring.mostV) {
		say(
			'caution',
			`${whole(w.wiring.sharedV)} V is above the ${whole(w.wiring.mostV)} V that this machine takes: use its tap or selector for ${supply.nominalV} V, or another circuit.`
		);
	}
	if (supply.cord) {
		const thin = w.wiring.cordGuard?.verdict === 'thin';
		const long = supply.cord.lengthM > CORD_MOST_M + 0.05;
		const trade = tradeCord(supply.system, w.wiring.nearestA);
		if (thin || long) {
			say(
				'caution',
				`A cord is second best: ${thin && trade ? `behind ${w.wiring.nearestA} A the trade takes ${conductorLabel(trade)}; ` : ''}not over 7.6 m (25 ft), uncoiled, and turn the amps down a little (common practice).`
			);
		}
	}
	if (w.wiring.compressorA > 0) {
		say(
			'caution',
			`The compressor is on the cutter’s breaker and adds ${whole(w.wiring.compressorA)} A whenever it runs. The cutter wants a circuit of its own (common practice).`
		);
	} else if (w.wiring.steadyA > 0) {
		say(
			'caution',
			`Other loads take ${whole(w.wiring.steadyA)} A of this circuit. The cutter wants a circuit of its own (common practice).`
		);
	}
	const band = tripBandMa(supply.earthFault);
	if (band) {
		say(
			'advice',
			`The earth-fault device trips on ${band[0]} to ${band[1]} mA gone astray, not on load: filters and the start of the arc leak a few. If it trips, ask first which device it was; dry plugs and leads; an electrician finds the fault. Never bridge it.`
		);
	}
	if (supply.generator) {
		const motors = loadsOf(w.inputs.bench).some((load) => load.startMultiple > 2);
		say(
			'advice',
			`Count on continuous kVA and kW, not the peak, and wait for the engine to settle before cutting.${motors ? ' A motor that restarts on the same set pulls the volts down: let it run first.' : ''} A poorly regulated set can harm an inverter (common practice).`
		);
	}
	if (cutter.inrushA === null && loadsOf(w.inputs.bench).every((load) => load.startMultiple < 2)) {
		return findings;
	}
	if (w.wiring.startA > w.wiring.magneticA[0]) {
		say(
			'caution',
			`${w.wiring.startOf[0]!.toUpperCase()}${w.wiring.startOf.slice(1)} takes up to ${whole(w.wiring.startA)} A for a moment; this breaker may trip at once from ${whole(w.wiring.magneticA[0])} A. Start it before the arc, or on another circuit.`
		);
	}
	return findings;
}

const RUNS_HOT = 0.6;
const CLOGGED = 0.5;

function cautionsOfAir(w: Workings): Finding[] {
	const { air: bench } = w.inputs.bench;
	const { air } = w;
	const findings: Finding[] = [];
	const say = (kind: 'caution' | 'advice', text: string) =>
		findings.push({ kind, station: 'supply', text });
	if (bench.stages.some((stage) => stage.loaded >= CLOGGED)) {
		const cartridge = bench.stages.some((s) => s.loaded >= CLOGGED && s.kind === 'cartridge');
		say(
			'caution',
			`A filter is half clogged or worse: change it. ${cartridge ? 'Cartridge filters choke as they clog and do not drain themselves (common practice).' : ''}`.trim()
		);
	}
	if (air.flowWay === 'bound') {
		say(
			'caution',
			`The label gives no flow. The bore alone takes ${whole(air.boreFlowLpm)} l/min, the whole is more (often three times, common practice), so the air is not judged: time the tank once while air flows (Measure it).`
		);
	}
	if (bench.source !== 'compressor') return findings;
	if (bench.compressor.rating === 'displaced' && !w.inputs.evidence.deliveryFactor) {
		say(
			'caution',
			'Displacement is not delivery: 65 % of it is assumed. Time a fill of the tank to know (Measure it).'
		);
	}
	if (tankDeliveryLpm(air.tank, air.tank.cutOutBar) <= air.leakLpm) {
		say(
			'caution',
			'This compressor never reaches its cut-out: it runs without end. Check the delivery points and the leaks.'
		);
	}
	const share = runShare(air.run);
	if (bench.compressor.oil === 'oil-free' && share > RUNS_HOT) {
		say(
			'caution',
			`The oil-free compressor runs ${whole(100 * share)} % of the time. One school likes it for clean air, the other says it wears out when it runs on and on (common practice, both).`
		);
	}
	if (bench.compressor.oil === 'oiled' && !bench.stages.some((s) => s.kind === 'coalescing')) {
		say(
			'advice',
			'Oiled compressor: one school forbids it, the other runs it behind a coalescing filter, which takes the oil mist (common practice, both). There is none in this line.'
		);
	}
	if (!bench.stages.some((s) => s.kind !== 'desiccant')) {
		say(
			'caution',
			'Nothing takes slugs of water out of this line: fit a trap after a cooling length of pipe, and drain it (common practice).'
		);
	}
	if (air.water && w.inputs.work.shopC <= 0) {
		say(
			'caution',
			'Below freezing the water in trap, hose and regulator turns to ice: drain everything warm, before it stands.'
		);
	}
	return findings;
}

/** What is to be said about circuit and air; what can hurt comes first. */
export function supplyFindings(w: Workings): Finding[] {
	return [...safetyOfWiring(w), ...cautionsOfCircuit(w), ...cautionsOfAir(w)];
}
