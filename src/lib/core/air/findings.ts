import { Findings, said, told } from '../figure/finding';
import type { Finding } from '../figure/types';
import { runShare, shortAtS } from '../session/run';
import { tankDeliveryLpm } from '../session/tank';
import { GAUGE_BAR, type AirView } from './workings';

const RUNS_HOT = 0.6;
const CLOGGED = 0.5;

const bar = (value: number) => said(value, 'pressure');

function refusals({ air, inputs }: AirView, findings: Findings): void {
	if (air.line.store && shortAtS(air.run) === 0) {
		findings.say(
			'refusal',
			'The pressure window is never reached: even a full tank is below what the line needs.'
		);
	}
	const { airMinBar, airMaxBar } = inputs.bench.cutter;
	const { setPointBar, source } = inputs.bench.air;
	const outside = setPointBar < airMinBar - GAUGE_BAR || setPointBar > airMaxBar + GAUGE_BAR;
	if (source !== 'built-in' && outside) {
		findings.say(
			'refusal',
			told`The regulator stands at ${bar(setPointBar)}; the label wants ${bar(airMinBar)} to ${bar(airMaxBar)} at the inlet while air flows: turn it ${setPointBar < airMinBar ? 'up' : 'down'}.`
		);
	}
}

/** What the shop's own compressor brings with it. */
function cautionsOfCompressor({ air, inputs }: AirView, findings: Findings): void {
	const { compressor, stages } = inputs.bench.air;
	if (compressor.rating === 'displaced' && !inputs.evidence.deliveryFactor) {
		findings.say(
			'caution',
			'Displacement is not delivery: 65 % of it is assumed. Time a fill of the tank to know (Measure it).'
		);
	}
	if (tankDeliveryLpm(air.line.tank, air.line.tank.cutOutBar) <= air.line.leakLpm) {
		findings.say(
			'caution',
			'This compressor never reaches its cut-out: it runs without end. Check the delivery points and the leaks.'
		);
	}
	const share = runShare(air.run);
	if (compressor.oil === 'oil-free' && share > RUNS_HOT) {
		findings.say(
			'caution',
			told`The oil-free compressor runs ${said(share, 'share')} of the time. One school likes it for clean air, the other says it wears out when it runs on and on (common practice, both).`
		);
	}
	if (compressor.oil === 'oiled' && !stages.some((s) => s.kind === 'coalescing')) {
		findings.say(
			'advice',
			'Oiled compressor: one school forbids it, the other runs it behind a coalescing filter, which takes the oil mist (common practice, both). There is none in this line.'
		);
	}
	if (!stages.some((s) => s.kind !== 'desiccant')) {
		findings.say(
			'caution',
			'Nothing takes slugs of water out of this line: fit a trap after a cooling length of pipe, and drain it (common practice).'
		);
	}
	if (inputs.work.shopC <= 0) {
		findings.say(
			'caution',
			'Below freezing the water in trap, hose and regulator turns to ice: drain everything warm, before it stands.'
		);
	}
}

/** What is to be said about the air. */
export function airFindings(w: AirView): Finding[] {
	const findings = new Findings('supply');
	const { air: bench } = w.inputs.bench;
	refusals(w, findings);
	if (bench.source === 'bottle' && bench.bottle?.gas === 'nitrogen') {
		findings.say(
			'safety',
			'Nitrogen drives out the air one breathes: ventilate, never in a pit, tank or closed room.'
		);
	}
	const clogged = bench.stages.filter((stage) => stage.loaded >= CLOGGED);
	if (clogged.length > 0) {
		const cartridge = clogged.some((stage) => stage.kind === 'cartridge');
		findings.say(
			'caution',
			`A filter is half clogged or worse: change it.${cartridge ? ' Cartridge filters choke as they clog and do not drain themselves (common practice).' : ''}`
		);
	}
	if (w.air.line.flowWay === 'bound') {
		findings.say(
			'caution',
			told`The label gives no flow. The bore alone takes ${said(w.air.line.boreFlowLpm, 'flow')}, the whole is more (often three times, common practice), so the air is not judged: time the tank once while air flows (Measure it).`
		);
	}
	if (bench.source === 'compressor') cautionsOfCompressor(w, findings);
	return findings.all;
}
