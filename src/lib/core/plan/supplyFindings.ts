import { necLargestBreakerA } from '../circuit/breaker';
import { areaMm2Of, conductorLabel, necAmpacity75A } from '../circuit/conductors';
import { tripBandMa } from '../circuit/earthFault';
import { tankDeliveryLpm } from '../air/tank';
import { runShare } from '../session/run';
import type { Finding } from './types';
import type { Workings } from './workings';
import { loadsOf } from './workings/electric';

/** Figures inside findings are few and plain; screens show the rest with their units. */
const whole = (value: number) => String(Math.round(value));

function safetyOfWiring(w: Workings): Finding[] {
	const { bench } = w.inputs;
	const { supply } = bench;
	const ratingA = supply.breaker.ratingA;
	const findings: Finding[] = [];
	const safety = (text: string) => findings.push({ kind: 'safety', station: 'supply', text });
	const wire = conductorLabel(supply.wire.size);
	if (supply.system === 'iec' && ratingA > w.wiring.wireCarriesA) {
		safety(
			`A ${ratingA} A breaker does not protect a ${wire} wire that carries ${whole(w.wiring.wireCarriesA)} A (IEC 60364-4-43 asks for In ≤ Iz). Have a licensed electrician look; local rules decide.`
		);
	}
	if (supply.system === 'north-america') {
		const most = 2 * (necAmpacity75A(supply.wire.size) ?? w.wiring.wireCarriesA);
		const machine = necLargestBreakerA(w.wiring.inputMaxA);
		if (ratingA > most || (machine !== undefined && ratingA > machine)) {
			safety(
				`A ${ratingA} A breaker is larger than NEC 630.12 allows for this machine on ${wire} wire (from memory). Have a licensed electrician look; local rules decide.`
			);
		} else if (ratingA > w.wiring.wireCarriesA) {
			safety(
				`A ${ratingA} A breaker is above the ordinary rating of ${wire} wire. NEC 630.12 can allow it on a circuit for this machine alone; a licensed electrician and the local code decide.`
			);
		}
		if (w.draw.neededA > w.wiring.wireCarriesA) {
			safety(
				`At the plate’s duty the wire should carry ${whole(w.draw.neededA)} A (NEC 630.11(A), from memory); ${wire} carries ${whole(w.wiring.wireCarriesA)} A.`
			);
		}
	}
	if (supply.phases === 3) {
		safety(
			'Three-phase plugs and hard-wiring are work for a licensed electrician. Breaker off before a plug goes in or out.'
		);
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

/** A cord as the rule of thumb allows it: 25 ft, and 12 AWG or about 4 mm² for a 20 A machine. */
const CORD_MOST_M = 7.6;
const CORD_LEAST_MM2 = 3.3;

function cautionsOfCircuit(w: Workings): Finding[] {
	const { supply, cutter, torch } = w.inputs.bench;
	const findings: Finding[] = [];
	const say = (kind: 'caution' | 'advice', text: string) =>
		findings.push({ kind, station: 'supply', text });
	if (supply.cord) {
		const poor =
			supply.cord.lengthM > CORD_MOST_M + 0.05 || areaMm2Of(supply.cord.size) < CORD_LEAST_MM2;
		const unprotected = supply.breaker.ratingA > w.wiring.cordCarriesA;
		if (poor || unprotected) {
			say(
				'caution',
				`${unprotected ? 'The breaker does not protect the cord: uncoil it, feel it for warmth. ' : ''}A cord is second best: not over 7.6 m (25 ft), not thinner than 12 AWG (4 mm²), and turn the amps down a little (common practice).`
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
	if (supply.nominalV < 190 && w.wiring.plate.outputMaxA >= 25 && torch.fittedA >= 30) {
		const low = torch.nozzles.find((n) => n.kind === 'cut' && n.ratingA < 30);
		say(
			'advice',
			`Under 190 V full-size parts are likely to trip the breaker: ${low ? `fit the ${low.ratingA} A nozzle` : 'use the low-current nozzle'} and turn down (common practice).`
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
