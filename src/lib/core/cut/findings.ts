import { amps, Findings, said, told, type Told } from '../figure/finding';
import type { Finding } from '../figure/types';
import { COATING_CAUTIONS, coatsTold } from '../metal/coatings';
import { OXY_FUEL } from '../metal/metals';
import { NOZZLE_LEAST_SHARE } from '../torch/assembly';
import { GAP_MOST_MM } from './guide';
import { matchedA, type CutView } from './workings';

/** A regulator is not set finer than this, bar [own]. */
const SETPOINT_NEAR_BAR = 0.15;
/** Steel from here up parts suddenly at the end of a line, mm [own]. */
const HEAVY_MM = 18;

/** Beyond the sever limit: what would work instead; no speed, no time, no cuts. */
function tooThick({ cutting: c, wiring }: CutView) {
	const [mm, at] = [said(c.severMm, 'thickness'), amps(c.outputA)];
	if (c.partsFromA !== undefined) {
		return told`Too thick: ${mm} is the most at ${at}. From ${amps(c.partsFromA)} it parts: turn up.`;
	}
	const other = OXY_FUEL.includes(c.metal.id) ? ', a saw, or oxy-fuel (steel)' : ' or a saw';
	const full = c.outputA < wiring.plate.outputMaxA ? ', nor at its full amps' : '';
	return told`Too thick: ${mm} is the most at ${at}${full}. It wants more amps on another bench${other}.`;
}

function refusals(w: CutView, findings: Findings): void {
	const { cut, bench } = w.inputs;
	const c = w.cutting;
	if (!c.parts) findings.say('refusal', tooThick(w));
	if (c.nozzleFits === 'too small') {
		findings.say(
			'refusal',
			c.outputA > c.nozzle.ratingA
				? told`No nozzle of this torch bears ${amps(c.outputA)}: turn down to ${amps(c.nozzle.ratingA)}.`
				: told`The ${amps(bench.torch.fittedA)} nozzle burns up at ${amps(c.outputA)}. Power off, fit the ${amps(c.nozzle.ratingA)} nozzle.`
		);
	}
	for (const { part, need, fit, reason } of c.changes) {
		if (part === 'nozzle' || need !== 'must') continue;
		findings.say('refusal', `Power off, fit ${fit}: ${reason}.`);
	}
	if (c.bevelGapMm > GAP_MOST_MM && cut.guide !== 'roller') {
		findings.say(
			'refusal',
			told`At ${said(cut.bevelDeg, 'angle')} the shield stands on its rim, ${said(c.bevelGapMm, 'small')} off along the axis; ${said(GAP_MOST_MM, 'small')} is the most (common practice). Do not drag it: a stand-off guide or a roller guide, or cut it square and grind the bevel.`,
			'cut'
		);
	}
	if (cut.start !== 'edge' && c.startMethod === 'none' && c.parts) {
		const more = c.startNeedsA === undefined ? '' : `, or turn up to ${c.startNeedsA} A`;
		findings.say(
			'refusal',
			told`Too thick to pierce at ${amps(c.outputA)}: start on an edge, or drill a hole wider than the kerf and start in it${more}.`,
			'cut'
		);
	}
}

/** Amps that are not what was asked, not what the nozzle is made for, or more than a hand follows. */
function cautionsOfAmps(w: CutView, findings: Findings): void {
	const { cut, bench } = w.inputs;
	const c = w.cutting;
	if (cut.school === 'typed' && cut.typedA !== c.outputA) {
		findings.say(
			'caution',
			told`${amps(cut.typedA)} was asked for; this machine gives ${bench.cutter.outputMinA} to ${amps(w.wiring.plate.outputMaxA)} here, so ${amps(c.outputA)} is planned.`
		);
	}
	if (c.nozzleFits === 'far too big') {
		const { fittedA } = bench.torch;
		findings.say(
			'caution',
			c.nozzle.ratingA < fittedA
				? told`The ${amps(fittedA)} nozzle gives a weak, wandering arc at ${amps(c.outputA)}: fit the ${amps(c.nozzle.ratingA)} nozzle.`
				: told`The ${amps(fittedA)} nozzle gives a weak, wandering arc at ${amps(c.outputA)}, and this torch has no smaller one: it is steady from ${amps(Math.ceil(NOZZLE_LEAST_SHARE * fittedA))} up.`
		);
	}
	if (c.speedMmS !== null && c.handMmS! < c.speedMmS) findings.say('caution', tooFast(w));
}

/** More than a hand follows: what comes of it, and what is less of it and not done already. */
function tooFast({ inputs, cutting: c, wiring }: CutView): Told {
	const fewerA = matchedA(inputs, wiring.plate);
	const freehand = inputs.cut.guide === 'freehand';
	const values: Told['values'] = { at: amps(c.outputA) };
	const less: string[] = [];
	if (fewerA < c.outputA) {
		values.fewer = amps(fewerA);
		less.push('at {fewer}');
	}
	if (freehand) less.push('along a guide');
	const lessSo = less.length ? `; less so ${less.join(', or ')}` : '';
	if (c.warp === 'none') {
		const hand = `a hand follows${freehand ? ' freehand' : ', along a guide too'}`;
		return {
			text: `{at} asks for more than ${hand}, so it is cut slower and hotter than it needs${lessSo} (common practice).`,
			values
		};
	}
	const comes = c.warp === 'high' ? 'warps or melts' : 'may warp';
	const flat = lessSo
		? '.'
		: ', and it cannot be turned down further. Clamp it flat, cut in short stretches and let it cool, or shear it (common practice).';
	return {
		text: `Thin sheet: a hand does not keep up with {at}, so it ${comes}${lessSo}${flat}`,
		values
	};
}

/** What the metal, its coats, the stack, the mesh or the bevel bring with them. */
function cautionsOfPlate(w: CutView, findings: Findings): void {
	const { cut } = w.inputs;
	const { metal } = w.cutting;
	if (metal.caution) findings.say('safety', metal.caution);
	for (const side of coatsTold(cut)) {
		const where =
			cut.backCoating === side ? (cut.coating === side ? 'Both faces: ' : 'On the back: ') : '';
		findings.say('safety', where + COATING_CAUTIONS[side]);
	}
	if (cut.layers > 1) {
		findings.say(
			'advice',
			'A stack: clamp it tight, no gaps, or the lower sheets keep the dross; count its whole thickness (common practice).'
		);
	}
	if (cut.mesh) {
		findings.say(
			'caution',
			'Mesh mode: the pilot arc lights again over every gap, which eats electrode and nozzle; use it for mesh only (common practice).'
		);
	}
	if (cut.bevelDeg > 0 && w.cutting.parts) {
		findings.say(
			'caution',
			cut.guide === 'kept' || cut.guide === 'waste'
				? 'Bevel: amps and speed follow the slanted thickness. The distance holds for a guide whose face stands at the bevel (an angle iron at 45°), with the side of the shield along it; for an upright straight edge it is not computed. Try it on scrap.'
				: 'Bevel: amps and speed follow the slanted thickness; the kerf is wider in the surface and the arc lands beside the nozzle. Try it on scrap.',
			'cut'
		);
	}
}

function cautionsOfChart(w: CutView, findings: Findings): void {
	const c = w.cutting;
	if (c.parts && c.chartReach === 'outside') {
		findings.say(
			'caution',
			'Your cut chart does not reach this cut: it pulls the estimate, the less the further off.'
		);
	}
	const wanted = c.chartRow?.pressureBar;
	const { regulator } = w.inputs.bench.cutter;
	const works = w.air.line.workingBar;
	if (!wanted || regulator === 'itself') return;
	if (works !== null && Math.abs(wanted - works) <= SETPOINT_NEAR_BAR) return;
	const own = regulator === 'none' ? ' Supply is planned with the bench’s own.' : '';
	const whose = regulator === 'none' ? 'the shop’s regulator' : 'the machine’s own regulator';
	const bar = said(wanted, 'pressure');
	findings.say(
		'advice',
		works === null
			? told`Your cut chart wants ${bar} for this cut: set it while air flows.${own}`
			: told`Your cut chart wants ${bar} for this cut, ${whose} stands at ${said(works, 'pressure')}: set it while air flows.${own}`
	);
}

/** What is to be said about the cut. */
export function cutFindings(w: CutView): Finding[] {
	const findings = new Findings('setup');
	const c = w.cutting;
	refusals(w, findings);
	cautionsOfAmps(w, findings);
	cautionsOfPlate(w, findings);
	cautionsOfChart(w, findings);
	if (c.parts && c.arcMm > c.cleanMm) {
		findings.say('caution', 'Past the clean rating: it severs, with dross; grind the edge after.');
	}
	if (c.parts && c.arcMm >= HEAVY_MM) {
		findings.say(
			'advice',
			'Near the end lean so that the bottom exits first, and pause to let the piece part (common practice).',
			'cut'
		);
	}
	return findings.all;
}
