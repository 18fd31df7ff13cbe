import { GAP_MOST_MM } from '../cut/guide';
import { COATING_CAUTIONS } from '../metal/coatings';
import type { MetalId } from '../metal/metals';
import { shortAtS } from '../session/run';
import { supplyFindings } from './supplyFindings';
import type { Finding } from './types';
import type { Workings } from './workings';
import { GAUGE_BAR } from '../air/workings';

/** Figures inside findings are few and plain; screens show the rest with their units. */
const whole = (value: number) => String(Math.round(value));
const bar = (value: number) => `${Math.round(value * 10) / 10} bar`;
/** A regulator is not set finer than this, bar [own]. */
const SETPOINT_NEAR_BAR = 0.15;

const oneDecimal = (value: number) => String(Math.round(value * 10) / 10);

const outside = (value: number, least: number, most: number) =>
	value < least - GAUGE_BAR || value > most + GAUGE_BAR;

/** What burns in a stream of oxygen. */
const OXY_FUEL: readonly MetalId[] = ['mild-steel', 'galvanized'];

/** Beyond the sever limit: what would work instead; no speed, no time, no cuts. */
function tooThick({ cutting: c, wiring }: Workings): string {
	const limit = `${oneDecimal(c.severMm)} mm is the most at ${whole(c.outputA)} A`;
	if (c.partsFromA !== undefined)
		return `Too thick: ${limit}. From ${c.partsFromA} A it parts: turn up.`;
	const other = OXY_FUEL.includes(c.metal.id) ? 'a saw, or oxy-fuel (steel)' : 'a saw';
	const amps = c.outputA < wiring.plate.outputMaxA ? ', nor at its full amps' : '';
	return `Too thick: ${limit}${amps}. It wants more amps on another bench, ${other}.`;
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
	if (w.air.store && shortAtS(w.air.run) === 0) {
		refuse(
			'supply',
			'The pressure window is never reached: even a full tank is below what the line needs.'
		);
	}
	const { airMinBar, airMaxBar } = bench.cutter;
	const { setPointBar, source } = bench.air;
	if (source !== 'built-in' && outside(setPointBar, airMinBar, airMaxBar)) {
		refuse(
			'supply',
			`The regulator stands at ${bar(setPointBar)}; the label wants ${bar(airMinBar)} to ${bar(airMaxBar)} at the inlet while air flows: turn it ${setPointBar < airMinBar ? 'up' : 'down'}.`
		);
	}
	if (!c.parts) refuse('setup', tooThick(w));
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
	const { bevelGapMm } = c;
	if (bevelGapMm > GAP_MOST_MM && cut.guide !== 'roller') {
		refuse(
			'cut',
			`At ${whole(cut.bevelDeg)}° the shield stands on its rim, ${oneDecimal(bevelGapMm)} mm off along the axis; ${GAP_MOST_MM} mm is the most (common practice). Do not drag it: a stand-off guide or a roller guide, or cut it square and grind the bevel.`
		);
	}
	if (cut.start !== 'edge' && c.startMethod === 'none' && c.parts) {
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
	if (c.warp === 'none' && c.handMmS !== null && c.speedMmS! > c.handMmS) {
		say(
			'caution',
			'setup',
			`${whole(c.outputA)} A asks for more than a hand follows${cut.guide === 'freehand' ? ' freehand' : ', along a guide too'}: turn down, or it is cut slower and hotter than it needs (common practice).`
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
	if (c.parts && c.chartReach === 'outside') {
		say(
			'caution',
			'setup',
			'Your cut chart does not reach this cut: it pulls the estimate, the less the further off.'
		);
	}
	const wanted = c.chartRow?.pressureBar;
	const { regulator } = bench.cutter;
	const works = w.air.workingBar;
	if (
		wanted &&
		regulator !== 'itself' &&
		(works === null || Math.abs(wanted - works) > SETPOINT_NEAR_BAR)
	) {
		const whose = regulator === 'none' ? 'the shop’s regulator' : 'the machine’s own regulator';
		say(
			'advice',
			'setup',
			`Your cut chart wants ${bar(wanted)} for this cut${works === null ? '' : `, ${whose} stands at ${bar(works)}`}: set it while air flows.${regulator === 'none' ? ' Supply is planned with the bench’s own.' : ''}`
		);
	}
	if (c.parts && c.arcMm > c.cleanMm) {
		say('caution', 'setup', 'Past the clean rating: it severs, with dross; grind the edge after.');
	}
	if (c.parts && c.arcMm >= 18) {
		say(
			'advice',
			'cut',
			'Near the end lean so that the bottom exits first, and pause to let the piece part (common practice).'
		);
	}
	if (w.gouging.asked && !w.gouging.hasNozzle) {
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
