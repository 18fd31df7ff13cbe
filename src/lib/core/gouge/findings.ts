import { amps, Findings, said, told } from '../figure/finding';
import type { Finding } from '../figure/types';
import { CLEAR_WORDS } from '../safety/shade';
import { naturalWidthMm, widestWovenMm } from './bore';
import type { Gouge } from './inputs';
import { STRINGS_MOST } from './strings';
import { isSpot } from './targets';
import { gougeWorkings, type GougeView } from './workings';

/** The amps that are taken where nobody asks for any, the groove so changed; undefined: none make it. */
function ampsThatDo(
	{ inputs, wiring }: GougeView,
	change: Partial<Gouge> = {}
): number | undefined {
	const { bench, cut, evidence } = inputs;
	const free = { ...cut, gouge: { ...cut.gouge, ...change, outputA: null } };
	const { layout, outputA } = gougeWorkings(bench, wiring.plate, free, evidence);
	return layout && outputA;
}

function refusal(w: GougeView, findings: Findings): void {
	const { gouging: g, inputs } = w;
	const { gouge } = inputs.cut;
	switch (g.refused) {
		case 'nozzle':
			return findings.say(
				'caution',
				'No gouging nozzle on this bench: ordinary parts do only spot and tack welds, marks and dimples (common practice).'
			);
		case 'amps':
			return findings.say(
				'refusal',
				g.outputA > g.mostA
					? told`${amps(g.outputA)} are more than nozzle and cutter bear: at most ${amps(g.mostA)}.`
					: told`The cutter does not go below ${said(inputs.bench.cutter.outputMinA, 'current')}.`
			);
		case 'angle':
			return findings.say(
				'refusal',
				gouge.angleFromPlateDeg < 30
					? 'Flatter than 30° from the plate the arc skids: 40 or 45° are the two schools.'
					: 'Steeper than 50° from the plate it digs in and blows back: 40 or 45° are the two schools.'
			);
		case 'plate': {
			const [plate, keep] = [said(g.plateMm, 'thickness'), said(g.keepMm, 'small')];
			const mostMm = g.plateMm - g.keepMm;
			if (mostMm <= 0)
				return findings.say(
					'refusal',
					told`Of ${plate} plate ${keep} must stay: nothing of it can be gouged out. Let less stay.`
				);
			return findings.say(
				'refusal',
				told`${said(gouge.depthMm, 'small')} go into what must stay: of ${plate} plate at most ${said(mostMm, 'small')} deep. Gouge from the other side, or let less stay.`
			);
		}
		case 'deep':
			return findings.say(
				'refusal',
				told`Deeper than wide: the torch does not see the bottom. Make it at least ${said(g.section.depthMm, 'small')} wide.`
			);
		case 'small':
			return findings.say(
				'refusal',
				'Nothing of it is left to gouge once the grinder’s share is off: grind it, or leave less proud.'
			);
		case 'much':
			return findings.say(
				'refusal',
				told`More than ${String(STRINGS_MOST)} strings at ${amps(g.outputA)}: cut it out, or grind it.`
			);
		case 'hand': {
			const doA = ampsThatDo(w);
			return findings.say(
				'refusal',
				doA !== undefined && doA < g.outputA
					? told`So much arc for so little metal goes faster than a hand: ${amps(doA)} do it.`
					: gouge.way === 'light' && ampsThatDo(w, { way: 'deep' }) !== undefined
						? 'No light strings make it: take deep ones.'
						: 'No strings of a hand’s pace make it so: try another angle or a wider groove, or grind it.'
			);
		}
	}
}

/** What is to be said about a groove that somebody wants. */
export function gougeFindings(w: GougeView): Finding[] {
	const findings = new Findings('gouge');
	const { gouging: g, inputs } = w;
	if (!g.asked) return findings.all;
	refusal(w, findings);
	if (g.refused) return findings.all;
	const { target, angleFromPlateDeg } = inputs.cut.gouge;
	if (!g.hasNozzle)
		findings.say('advice', 'With the ordinary parts: light touches, and look at the nozzle often.');
	if (g.layout && inputs.cut.gouge.outputA === null && g.outputA < g.usualA)
		findings.say(
			'advice',
			told`${amps(g.usualA)} would go faster than a hand here: turned down to ${amps(g.outputA)}.`
		);
	if (g.widestMm !== null && g.nozzle) {
		if (g.widestMm > widestWovenMm(g.nozzle.boreMm))
			findings.say(
				'advice',
				told`A bore of ${said(g.nozzle.boreMm, 'small')} makes strings of about ${said(naturalWidthMm(g.nozzle.boreMm)[0], 'small')} to ${said(naturalWidthMm(g.nozzle.boreMm)[1], 'small')}; here up to ${said(g.widestMm, 'small')}: weave, or more strings.`
			);
	}
	const { carries } = g;
	if (carries?.verdict === 'stops')
		findings.say(
			'refusal',
			carries.stopsAtS
				? told`${carries.part} stops it after ${said(carries.stopsAtS, 'time')} at ${amps(g.outputA)}: longer pauses, or fewer amps in more strings (“Deep or light”).`
				: told`${carries.part}: at ${amps(g.outputA)} it does not start. Fewer amps in more strings may (“Deep or light”).`
		);
	if (carries?.verdict === 'tight')
		findings.say(
			'caution',
			told`${carries.part} is tight at ${amps(g.outputA)}: fewer amps in more strings hold more surely (“Deep or light”).`
		);
	if (g.layout && angleFromPlateDeg > 45)
		findings.say('advice', 'Steeper than 45° it digs: watch for metal that comes back.');
	if (target === 'crack')
		findings.say(
			'advice',
			'Drill its ends first, gouge a little past them, and dye-check before welding (common practice).'
		);
	const flies = isSpot(target) ? 'to all sides: nobody near' : 'ahead of the torch: nobody there';
	findings.say(
		'safety',
		`Metal flies ${flies}, and what burns at least ${CLEAR_WORDS} away (NFPA 51B).`
	);
	return findings.all;
}
