/** What the bench itself knows before anybody looks: for some causes it speaks, against others. */
import type { Entry } from '../evidence/entries';
import { said, told, type Told } from '../figure/finding';
import type { PlanInputs } from '../inputs/planInputs';
import type { FigureId } from '../plan/names';
import type { Plan } from '../plan/types';

export interface Known {
	/** Of the file's list "bench". */
	id: string;
	text: Told;
	/** Whose working shows where it comes from. */
	figure?: FigureId;
}

/** Fewer starts than this since they were put in: the parts were only just changed [own]. */
const JUST_CHANGED_STARTS = 10;
/** More than this share of its life gone: worn; less than that: hardly [own]. */
const WORN_LEFT = 0.1;
const FRESH_LEFT = 0.4;

/** Of a check: `weak` where it is tight or stops, `fine` where it holds with room; else nothing is known. */
function byCheck(
	plan: Plan,
	figure: FigureId,
	{ weak, fine }: { weak: [string, string]; fine: [string, string] }
): Known[] {
	const checks = plan.checks.filter(({ id }) => id === figure);
	if (checks.length === 0) return [];
	const holds = checks.every(({ verdict }) => verdict === 'holds');
	const short = checks.some(({ verdict }) => verdict === 'tight' || verdict === 'stops');
	if (!holds && !short) return [];
	const [id, text] = holds ? fine : weak;
	return [{ id, text: { text }, figure }];
}

function ofAir({ bench }: PlanInputs, plan: Plan): Known[] {
	const { source, compressor } = bench.air;
	if (source === 'built-in') return [];
	const inlet = plan.figures['air.inletLowBar'].value;
	const pressure = byCheck(plan, 'air.inletLowBar', {
		weak: ['pressure-short', 'Pressure at the inlet falls short, or nearly'],
		fine: ['pressure-fine', 'Pressure at the inlet stays in its window']
	}).map((k) =>
		inlet === null
			? k
			: {
					...k,
					text: told`At the inlet ${said(inlet, 'pressure')} flowing: ${k.id === 'pressure-fine' ? 'in its window' : 'short, or nearly'}`
				}
	);
	if (source === 'bottle')
		return [
			...pressure,
			{ id: 'air-lasts', text: { text: 'A bottle: no compressor that falls behind' } },
			{ id: 'dry', text: { text: 'Air from a bottle is dry' } },
			{ id: 'oil-free', text: { text: 'Air from a bottle has no oil' } }
		];
	const shortAt = plan.figures['air.shortAtS'];
	const lasts: Known =
		shortAt.value === null
			? {
					id: 'air-lasts',
					text: { text: 'The compressor keeps up with this work' },
					figure: 'air.shortAtS'
				}
			: {
					id: 'air-short',
					text: told`The tank is down after ${said(shortAt.value, 'time')} of this work`,
					figure: 'air.shortAtS'
				};
	return [
		...pressure,
		...(plan.figures['air.flowLpm'].value === null ? [] : [lasts]),
		...byCheck(plan, 'water.dewC', {
			weak: ['water', 'The air of this shop is wet where it arrives'],
			fine: ['dry', 'The air arrives dry']
		}),
		compressor.oil === 'oiled'
			? { id: 'oiled', text: { text: 'An oiled compressor' } }
			: { id: 'oil-free', text: { text: 'A compressor without oil' } }
	];
}

function ofParts({ bench, cut, evidence }: PlanInputs, plan: Plan): Known[] {
	const { electrode } = evidence.wear;
	const left = plan.figures['wear.electrodeShare'].value;
	const known: Known[] = [];
	if (left !== null && electrode.total.starts > 0) {
		if (left < WORN_LEFT)
			known.push({
				id: 'pair-worn',
				text: told`${said(left, 'share')} of the electrode’s life is left`,
				figure: 'wear.electrodeShare'
			});
		else if (left > FRESH_LEFT)
			known.push({
				id: 'pair-fresh',
				text: told`${said(left, 'share')} of the electrode’s life is left`,
				figure: 'wear.electrodeShare'
			});
	}
	if (electrode.total.starts > 0 && electrode.total.starts < JUST_CHANGED_STARTS)
		known.push({
			id: 'changed',
			text: told`Parts changed ${said(electrode.total.starts, 'count')} starts ago`
		});
	known.push(
		plan.choices.nozzleFits === 'too small'
			? {
					id: 'nozzle-under',
					text: { text: 'The nozzle in the torch is made for fewer amps' },
					figure: 'setup.nozzleA'
				}
			: {
					id: 'nozzle-fits',
					text: { text: 'The nozzle in the torch bears these amps' },
					figure: 'setup.nozzleA'
				}
	);
	if (plan.choices.standoff === 'drag')
		known.push({ id: 'rides', text: { text: 'The shield rides on the plate' } });
	if (plan.choices.standoff === 'gap' && bench.torch.shieldIn === 'none')
		known.push({
			id: 'bare',
			text: { text: 'A bare nozzle that must not touch' },
			figure: 'setup.standoffMm'
		});
	if (cut.coating !== 'none' || cut.backCoating !== 'none')
		known.push({ id: 'coated', text: { text: 'This plate is coated' } });
	const clean = plan.figures['setup.cleanMm'].value;
	if (clean !== null && plan.figures['setup.arcMm'].value! > clean)
		known.push({
			id: 'past-clean',
			text: told`Thicker than the ${said(clean, 'thickness')} that these amps cut clean`,
			figure: 'setup.cleanMm'
		});
	return known;
}

/** What was seen of the parts last, newest entry first. */
function ofLooks(recent: readonly Entry[]): Known[] {
	const look = recent.find((entry) => entry.kind === 'look');
	if (look?.kind !== 'look') return [];
	if (look.seen === 'smeared')
		return [{ id: 'seen-smeared', text: { text: 'Smeared swirl marks were seen last' } }];
	if (look.seen === 'clean')
		return [{ id: 'seen-clean', text: { text: 'A clean swirl was seen last' } }];
	return [];
}

export function knownOf(inputs: PlanInputs, plan: Plan, recent: readonly Entry[] = []): Known[] {
	const { supply } = inputs.bench;
	const shared = supply.loads.some((load) => load.on === supply.circuit);
	return [
		...byCheck(plan, 'supply.voltageV', {
			weak: ['sag', 'Volts at the cutter fall short under the arc, or nearly'],
			fine: ['volts-fine', 'Volts at the cutter stay in its range']
		}),
		...byCheck(plan, 'supply.breakerPeak', {
			weak: ['breaker-tight', 'The breaker is tight for this work, or trips'],
			fine: ['breaker-fine', 'The breaker holds this work']
		}),
		shared
			? { id: 'shared', text: { text: 'Something else is on this circuit' } }
			: { id: 'alone', text: { text: 'Nothing else is on this circuit' } },
		...ofAir(inputs, plan),
		...byCheck(plan, 'cutter.peakC', {
			weak: ['hot', 'This work takes the cutter to its duty limit'],
			fine: ['cool', 'This work keeps the cutter cool']
		}),
		...ofParts(inputs, plan),
		...ofLooks(recent)
	];
}
