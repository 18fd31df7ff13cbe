import { amps, Findings, said, told, volts } from '../figure/finding';
import type { Finding } from '../figure/types';
import { conductorLabel } from './conductors';
import { tripBandMa } from './earthFault';
import { cordsBehind, tradeCord } from './protection';
import type { CircuitView } from './workings';
import { CORD_MOST_M, loadsOf } from './wiring';

function safetyOfWiring(w: CircuitView, findings: Findings): void {
	const { supply, cutter } = w.inputs.bench;
	const ratingA = supply.breaker.ratingA;
	const wire = conductorLabel(supply.wire.size);
	const { wireGuard, cordGuard, nearestA, wireCarriesA } = w.wiring;
	if (wireGuard.verdict === 'not protected') {
		findings.say(
			'safety',
			told`A ${amps(ratingA)} breaker does not protect a ${wire} wire: ${amps(wireGuard.deviceMostA)} is the most in front of it here (${wireGuard.rule}, from memory). Do not load it; have a licensed electrician look; local rules decide.`
		);
	} else if (wireGuard.verdict === 'thin') {
		findings.say(
			'safety',
			told`A ${amps(ratingA)} breaker is above the ordinary rating of ${wire} wire. ${wireGuard.rule} can allow it (from memory); a licensed electrician and the local code decide.`
		);
	}
	if (supply.system === 'north-america' && w.draw.neededA > wireCarriesA) {
		findings.say(
			'safety',
			told`At the plate’s duty the wire should carry ${amps(w.draw.neededA)} (NEC 630.11(A), from memory); ${wire} carries ${amps(wireCarriesA)}.`
		);
	}
	if (supply.cord && cordGuard?.verdict === 'not protected') {
		const least = cordsBehind(supply.system, nearestA)[0];
		const device = nearestA < ratingA ? 'plug fuse' : 'breaker';
		findings.say(
			'safety',
			told`The ${amps(nearestA)} ${device} does not protect a ${conductorLabel(supply.cord.size)} cord: ${amps(cordGuard.deviceMostA)} is the most in front of it (${cordGuard.rule}, from memory). Short cuts do not make it safe. ${least ? `Use ${conductorLabel(least)} or thicker, or plug in without it.` : 'Plug in without it.'}`
		);
	}
	if (supply.phases === 3) {
		findings.say(
			'safety',
			'Three-phase plugs and hard-wiring are work for a licensed electrician.'
		);
	}
	if (cutter.inputs.length > 1 && cutter.voltageBy === 'selector') {
		findings.say(
			'safety',
			told`Set the voltage selector to ${volts(supply.nominalV)} with the plug out, before power comes on: the wrong setting can destroy the machine.`
		);
	}
}

/** A breaker under the label's figures: what surely holds, and what may. */
function smallBreaker(w: CircuitView, findings: Findings): void {
	const { breaker } = w.inputs.bench.supply;
	const { inputMaxA, inputEffA, plate } = w.wiring;
	if (breaker.ratingA >= inputMaxA - 0.5 && breaker.ratingA >= (plate.fuseA ?? 0)) return;
	const [label, labelA] =
		plate.fuseA !== null && breaker.ratingA < plate.fuseA
			? (['the label asks for a fuse of', plate.fuseA] as const)
			: breaker.ratingA < inputEffA - 0.5
				? (['the label’s effective current is', inputEffA] as const)
				: (['the label’s largest current is', inputMaxA] as const);
	const work = w.workIsCut ? 'this cut over and over' : 'this work';
	const sure = w.runsOnA === undefined ? 'nothing surely holds' : `${w.runsOnA} A surely holds`;
	const may =
		w.mayRunOnA === undefined || w.mayRunOnA === w.runsOnA ? '' : `, ${w.mayRunOnA} A may`;
	findings.say(
		'caution',
		told`The breaker is ${amps(breaker.ratingA)}; ${label} ${amps(labelA)}. For ${work}, ${sure}${may}.`
	);
}

function voltsAsked(w: CircuitView, findings: Findings): void {
	const { supply, cutter } = w.inputs.bench;
	const { leastV, mostV, sharedV } = w.wiring;
	const { delivered } = w.draw;
	// A machine of one voltage has nothing to set.
	const tap = cutter.inputs.length > 1 ? ', or its tap or selector' : '';
	const plugged = volts(supply.nominalV);
	if (delivered.ok && delivered.voltageV < leastV) {
		findings.say(
			'caution',
			told`${volts(delivered.voltageV)} under load, of ${plugged}, is below the ${volts(leastV)} that this machine takes: thicker or shorter conductors, another circuit${tap}. A larger breaker does not raise volts.`
		);
	} else if (sharedV > mostV) {
		findings.say(
			'caution',
			told`${volts(sharedV)}, of ${plugged}, is above the ${volts(mostV)} that this machine takes: another circuit${tap}.`
		);
	}
}

function cautionsOfCord(w: CircuitView, findings: Findings): void {
	const { supply } = w.inputs.bench;
	if (!supply.cord) return;
	const thin = w.wiring.cordGuard?.verdict === 'thin';
	const long = supply.cord.lengthM > CORD_MOST_M + 0.05;
	if (!thin && !long) return;
	const trade = thin && tradeCord(supply.system, w.wiring.nearestA);
	const takes = trade
		? `behind ${w.wiring.nearestA} A the trade takes ${conductorLabel(trade)}; `
		: '';
	findings.say(
		'caution',
		told`A cord is second best: ${takes}not over ${said(CORD_MOST_M, 'run')}, uncoiled, and turn the amps down a little (common practice).`
	);
}

function cautionsOfLoads(w: CircuitView, findings: Findings): void {
	const { supply, cutter } = w.inputs.bench;
	const { compressorA, steadyA, startA, startOf, magneticA } = w.wiring;
	if (compressorA > 0) {
		findings.say(
			'caution',
			told`The compressor is on the cutter’s breaker and adds ${amps(compressorA)} whenever it runs. The cutter wants a circuit of its own (common practice).`
		);
	} else if (steadyA > 0) {
		findings.say(
			'caution',
			told`Other loads take ${amps(steadyA)} of this circuit. The cutter wants a circuit of its own (common practice).`
		);
	}
	const band = tripBandMa(supply.earthFault);
	if (band) {
		findings.say(
			'advice',
			`The earth-fault device trips on ${band[0]} to ${band[1]} mA leaking to earth, not on load: filters and the start of the arc leak a few. If it trips, ask first which device it was; dry plugs and leads; an electrician finds the fault. Never bridge it.`
		);
	}
	const loads = loadsOf(w.inputs.bench);
	if (supply.generator) {
		const motors = loads.some((load) => load.startMultiple > 2);
		findings.say(
			'advice',
			`Count on continuous kVA and kW, not the peak, and wait for the engine to settle before cutting.${motors ? ' A motor that restarts on the same set pulls the volts down: let it run first.' : ''} A poorly regulated set can harm an inverter (common practice).`
		);
	}
	const nothingStarts = cutter.inrushA === null && loads.every((load) => load.startMultiple < 2);
	if (!nothingStarts && startA > magneticA[0]) {
		findings.say(
			'caution',
			told`${startOf[0]!.toUpperCase()}${startOf.slice(1)} takes up to ${amps(startA)} for a moment; this breaker may trip at once from ${amps(magneticA[0])}. Start it before the arc, or on another circuit.`
		);
	}
}

/** What is to be said about the circuit. */
export function circuitFindings(w: CircuitView): Finding[] {
	const findings = new Findings('supply');
	const { delivered, apparentVA } = w.draw;
	const { supply } = w.inputs.bench;
	if (!delivered.ok) {
		findings.say(
			'refusal',
			told`This circuit cannot deliver ${said(apparentVA, 'apparentPower')}: its resistance lets at most ${said(delivered.mostVA, 'apparentPower')} through. ${supply.cord ? 'Fewer amps, or a shorter or thicker cord' : 'Fewer amps, or another circuit'}.`
		);
	}
	safetyOfWiring(w, findings);
	smallBreaker(w, findings);
	voltsAsked(w, findings);
	cautionsOfCord(w, findings);
	cautionsOfLoads(w, findings);
	return findings.all;
}
