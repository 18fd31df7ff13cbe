import { COATING_CAUTIONS } from '../metal/coatings';
import { shortAtS } from '../session/run';
import { supplyFindings } from './supplyFindings';
import type { Finding } from './types';
import type { Workings } from './workings';

/** Figures inside findings are few and plain; screens show the rest with their units. */
const whole = (value: number) => String(Math.round(value));
const bar = (value: number) => `${Math.round(value * 10) / 10} bar`;
/** A regulator is not set finer than this, bar [own]. */
const SETPOINT_NEAR_BAR = 0.15;

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
	if (shortAtS(w.air.run) === 0) {
		refuse(
			'supply',
			'The pressure window is never reached: even a full tank is below what the line needs.'
		);
	}
	if (!w.air.setPointInWindow) {
		refuse('supply', 'The set-point lies outside the pressure window on the data plate.');
	}
	if (c.arcMm > c.severMm) {
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
	for (const { part, need, fit, reason } of c.changes) {
		if (part === 'nozzle' || need !== 'must') continue;
		refuse('setup', `Power off, fit ${fit}: ${reason}.`);
	}
	if (cut.start !== 'edge' && c.startMethod === 'none' && c.arcMm <= c.severMm) {
		const more = c.startNeedsA === undefined ? '' : `, or turn up to ${c.startNeedsA} A`;
		refuse(
			'cut',
			`Too thick to pierce at ${whole(c.outputA)} A: start on an edge, or drill a hole wider than the kerf and start in it${more}.`
		);
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
	if (c.warp !== 'none') {
		say(
			'caution',
			'setup',
			`Thin sheet: a hand does not keep up with ${whole(c.outputA)} A, so it ${c.warp === 'high' ? 'warps or melts' : 'may warp'}. Match the amps, or run along a guide.`
		);
	}
	if (c.metal.caution) say('safety', 'setup', c.metal.caution);
	for (const side of new Set([cut.coating, cut.backCoating])) {
		if (side === 'none') continue;
		const where =
			cut.backCoating === side ? (cut.coating === side ? 'Both faces: ' : 'On the back: ') : '';
		say('safety', 'setup', where + COATING_CAUTIONS[side]);
	}
	if (cut.layers > 1) {
		say(
			'advice',
			'setup',
			'A stack: clamp it tight, no gaps, or the lower sheets keep the dross; count its whole thickness (common practice).'
		);
	}
	if (cut.mesh) {
		say(
			'caution',
			'setup',
			'Mesh mode: the pilot arc lights again over every gap, which eats electrode and nozzle; use it for mesh only (common practice).'
		);
	}
	if (cut.bevelDeg > 0) {
		say(
			'caution',
			'cut',
			cut.guide === 'kept' || cut.guide === 'waste'
				? 'Bevel: amps and speed follow the slanted thickness. The distance holds for a guide whose face stands at the bevel (an angle iron at 45°), with the side of the shield along it; for an upright straight edge it is not computed. Try it on scrap.'
				: 'Bevel: amps and speed follow the slanted thickness; the kerf is wider in the surface and the arc lands beside the nozzle. Try it on scrap.'
		);
	}
	if (c.outsideChart) {
		say(
			'caution',
			'setup',
			c.near
				? 'Outside your cut chart: carried over from its nearest point by the plate model.'
				: 'Your cut chart has nothing for this nozzle: estimated by the plate model.'
		);
	}
	if (Math.abs(c.airBar - bench.air.setPointBar) > SETPOINT_NEAR_BAR) {
		say(
			'advice',
			'setup',
			`Your cut chart wants ${bar(c.airBar)} for this cut; the regulator of this bench stands at ${bar(bench.air.setPointBar)}: set it while air flows. Supply is planned with the bench’s own.`
		);
	}
	if (c.arcMm > c.cleanMm && c.arcMm <= c.severMm) {
		say('caution', 'setup', 'Past the clean rating: it parts, with dross, and needs cleaning up.');
	}
	if (c.arcMm >= 18) {
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
	return [...refusals(w), ...supplyFindings(w), ...cautions(w)];
}
