import { necAmpacity75A, conductorLabel } from '../circuit/conductors';
import { necLargestBreakerA } from '../circuit/breaker';
import type { Finding } from './types';
import type { Workings } from './workings';

/** Figures inside findings are few and plain; screens show the rest with their units. */
const whole = (value: number) => String(Math.round(value));

function safetyOfWiring(w: Workings): Finding[] {
	const { supply } = w.inputs.bench;
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
	if (supply.cord && ratingA > w.wiring.cordCarriesA) {
		findings.push({
			kind: 'caution',
			station: 'supply',
			text: `The breaker does not protect the cord: uncoil it, keep it short, feel it for warmth. A cord is second best: not over 7.6 m (25 ft), and turn the amps down a little (common practice).`
		});
	}
	return findings;
}

function refusals(w: Workings): Finding[] {
	const findings: Finding[] = [];
	const refuse = (station: Finding['station'], text: string) =>
		findings.push({ kind: 'refusal', station, text });
	const { cut, bench } = w.inputs;
	const c = w.cutting;
	if (!w.draw.delivered.ok) {
		refuse(
			'supply',
			`This circuit cannot deliver ${whole(w.draw.apparentVA)} VA: its resistance lets at most ${whole(w.draw.delivered.mostVA)} VA through. Fewer amps, a shorter or thicker cord.`
		);
	}
	if (w.air.run.shortAtS === 0) {
		refuse(
			'supply',
			'The pressure window is never reached: even a full tank is below what the line needs.'
		);
	}
	if (!w.air.setPointInWindow) {
		refuse('supply', 'The set-point lies outside the pressure window on the data plate.');
	}
	if (cut.thicknessMm > c.severMm) {
		refuse(
			'setup',
			c.outputA < w.wiring.plate.outputMaxA
				? 'Too thick for these amps: turn up, or cut thinner.'
				: 'Too thick for this machine on this circuit: it will not go through.'
		);
	}
	if (c.nozzleFits === 'too small') {
		refuse(
			'setup',
			c.outputA > c.nozzle.ratingA
				? `No nozzle of this torch bears ${whole(c.outputA)} A: turn down to ${c.nozzle.ratingA} A.`
				: `The ${bench.torch.fittedA} A nozzle burns up at ${whole(c.outputA)} A. Power off, fit the ${c.nozzle.ratingA} A nozzle.`
		);
	}
	if (cut.start === 'pierce' && c.startMethod === 'none' && cut.thicknessMm <= c.severMm) {
		refuse('cut', 'Too thick to pierce: start on an edge, or drill a hole and start in it.');
	}
	return findings;
}

function cautions(w: Workings): Finding[] {
	const findings: Finding[] = [];
	const say = (kind: Finding['kind'], station: Finding['station'], text: string) =>
		findings.push({ kind, station, text });
	const { cut, bench } = w.inputs;
	const c = w.cutting;
	if (cut.school === 'typed' && cut.typedA !== c.outputA) {
		say(
			'caution',
			'setup',
			`${whole(cut.typedA)} A was asked for; this machine gives ${bench.cutter.outputMinA} to ${w.wiring.plate.outputMaxA} A here, so ${whole(c.outputA)} A is planned.`
		);
	}
	if (c.nozzleFits === 'far too big') {
		say(
			'caution',
			'setup',
			`A ${bench.torch.fittedA} A nozzle at ${whole(c.outputA)} A gives a weak, wandering arc: fit the ${c.nozzle.ratingA} A nozzle.`
		);
	}
	if (c.metal.caution) say('safety', 'setup', c.metal.caution);
	if (cut.thicknessMm > c.cleanMm && cut.thicknessMm <= c.severMm) {
		say('caution', 'setup', 'Past the clean rating: it parts, with dross, and needs cleaning up.');
	}
	if (cut.thicknessMm >= 18) {
		say(
			'advice',
			'cut',
			'Near the end lean so that the bottom exits first, and pause to let the piece part (common practice).'
		);
	}
	if (!w.gouging.hasNozzle) {
		say(
			'caution',
			'gouge',
			'No gouging nozzle on this bench: ordinary parts do only spot and tack welds (common practice).'
		);
	}
	if (w.wearing.lifeShare < 0.1) {
		say(
			'advice',
			'wear',
			'Change electrode and nozzle as a pair before a long job (common practice).'
		);
	}
	return findings;
}

/** Refusals first, then safety, then the rest. */
export function findingsOf(w: Workings): Finding[] {
	return [...refusals(w), ...safetyOfWiring(w), ...cautions(w)];
}
