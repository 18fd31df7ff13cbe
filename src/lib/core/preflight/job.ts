/** What has to be so before this cut or this groove, from its own Plan, in the order of hands. Common practice. */
import { amps, said, told, type Told } from '../figure/finding';
import { isSpot } from '../gouge/targets';
import type { PlanInputs } from '../inputs/planInputs';
import { COATING_CAUTIONS, type Coating } from '../metal/coatings';
import { METALS, type MetalId } from '../metal/metals';
import type { Plan } from '../plan/types';
import { CLEAR_WORDS, SPARKS_WORDS } from '../safety/shade';
import { FUME } from '../safety/cautions';
import { item, type Item } from './item';

type Wanted = { inputs: PlanInputs; plan: Plan };
const OFF = 'Cutter off. ';

const clamp = (): Item =>
	item('clamp', 'Clamp on bright metal', {
		more: 'of the plate that stays, near the cut',
		why: 'Through paint or rust the pilot lights and no cut starts. On the piece that falls, the arc dies with it.',
		remedy: `${OFF}Grind a patch the size of the jaw, both faces, and clamp the plate that stays.`,
		not: ['clamp', 'cut', 'stops'],
		draw: 'clamp'
	});

function behind(backCoating: Coating): Item {
	const coated = backCoating !== 'none';
	return item(
		'behind',
		coated
			? 'Back of the plate cleaned along the line, nothing behind it'
			: 'Nothing behind and under the plate',
		{
			more: 'no hose, cable, tyre, fuel line; no person',
			why: coated
				? COATING_CAUTIONS[backCoating]
				: 'The jet goes on behind the plate; a coating on the back burns where nobody looks.',
			remedy: 'Move it or shield it with steel. What cannot be moved is cut in another way.',
			not: ['behind the plate', 'cut', 'stops'],
			draw: 'around'
		}
	);
}

/** Metal and coating: what is in the fume, and what must not be near. */
function fume(metal: MetalId, coating: Coating): Item | null {
	const why = [FUME[metal], coating === 'none' ? undefined : COATING_CAUTIONS[coating]]
		.filter(Boolean)
		.join(' ');
	if (!why) return null;
	const name = METALS[metal].label.toLowerCase();
	return item(
		'fume',
		metal === 'aluminium'
			? 'No water table under it, extraction on'
			: coating === 'none'
				? `Extraction and respirator for ${name}`
				: 'Coating off along the line, respirator on',
		{
			why,
			remedy:
				'Strip it back a hand’s breadth on both sides; extract; respirator for this fume. A medical question is a doctor’s.',
			not: ['fume', 'cut', 'stops']
		}
	);
}

const around = (): Item =>
	item('around', `Nothing that burns within ${CLEAR_WORDS}`, {
		more: 'nor under cracks, floors and walls',
		why: `Sparks carry ${SPARKS_WORDS} and fall through cracks (common practice; clear radius of NFPA 51B).`,
		remedy:
			'Move it, or cover it with sheets made for it; wet the floor. Where neither can be done: no hot work.',
		not: ['fire near', 'cut', 'stops'],
		draw: 'around'
	});
const vessel = (): Item =>
	item('vessel', 'No drum, tank or pipe that held anything', {
		why: 'Vapour of fuel or solvent explodes; cleaned ones too.',
		remedy: 'Do not cut it. That is work for people who purge and measure.',
		not: ['closed vessel', 'cut', 'stops'],
		draw: 'around'
	});

function people(shade: number | null): Item[] {
	return [
		item(
			'wear',
			shade === null ? 'Shade, gloves, sleeves, ears' : `Shade ${shade}, gloves, sleeves, ears`,
			{
				more: 'glasses under it, boots closed, pockets shut',
				why: 'The arc burns eyes in a blink and skin in minutes; loud from the first cut on.',
				remedy: 'Put it on. Setup tells both tables; the darker one counts here.',
				page: '/setup',
				not: ['eyes and skin', 'cut', 'stops']
			}
		),
		item('call', 'Call out, wait 3 s', {
			more: 'a beginner only with somebody beside, on scrap first',
			why: 'Bystanders have no shade. Pacemakers keep away from cutter, leads and clamp.',
			remedy: 'Screen or curtain; nobody goes on until everybody has turned away.',
			not: ['people near', 'cut', 'stops']
		})
	];
}

function parts({ inputs, plan }: Wanted): Item {
	const musts = plan.choices.changes.filter(({ need }) => need === 'must');
	const nozzleA = plan.figures['setup.nozzleA'].value ?? inputs.bench.torch.fittedA;
	return item(
		'parts',
		musts.length
			? `Cutter off. Put in ${musts[0]!.fit}`
			: `Cutter off. ${nozzleA} A nozzle and ring in`,
		{
			more: 'in the order of this torch, cap finger-tight',
			why:
				musts[0]?.reason ?? 'A nozzle under its amps burns up; without its ring there is no arc.',
			remedy: `${OFF}Setup draws the parts of this torch in their order.`,
			page: '/setup',
			not: ['torch parts', 'setup', 'stops'],
			draw: 'stack'
		}
	);
}
const knob = (outputA: number | null): Item[] =>
	outputA === null
		? []
		: [
				item('knob', told`Amps at ${amps(outputA)}`, {
					why: 'Seconds, nozzle, shade and breaker are worked out for these amps.',
					remedy: 'Turn the knob, or plan the cut for the amps that stand on it.',
					page: '/setup',
					not: ['amps', 'setup', 'tight']
				})
			];

function guide({ inputs, plan }: Wanted): Item[] {
	const { value } = plan.figures['cut.offsetMm'];
	const kind = inputs.cut.guide;
	if (value === null || kind === 'freehand' || kind === 'roller') return [];
	const ask: Told =
		kind === 'circle'
			? told`Pivot ${said(value, 'small')} from the torch’s centre`
			: told`Guide ${said(value, 'small')} off the finished edge`;
	return [
		item('guide', ask, {
			more: kind === 'kept' ? 'on the part' : kind === 'waste' ? 'on the waste' : 'pin firm',
			why: 'To forget the shield’s radius is the classic mistake.',
			remedy: 'Measure it again from the finished edge, and clamp it.',
			page: '/cut',
			not: ['guide', 'cut', 'tight'],
			draw: 'height'
		})
	];
}

export function cutItems(wanted: Wanted): Item[] {
	const { inputs, plan } = wanted;
	const { metal, coating, backCoating, lengthMm } = inputs.cut;
	const metalFume = fume(metal, coating);
	return [
		parts(wanted),
		...knob(plan.figures['setup.currentA'].value),
		clamp(),
		behind(backCoating),
		...(metalFume ? [metalFume] : []),
		item('under', told`Bench clear under ${said(lengthMm, 'length')} of line, and where it falls`, {
			why: 'The jet cuts the bench too; a piece that falls cuts feet and pulls the torch along.',
			remedy:
				'Move the plate, or support both sides so that the kerf opens and nothing drops on you.',
			not: ['bench below', 'cut', 'stops'],
			draw: 'around'
		}),
		around(),
		vessel(),
		...guide(wanted),
		item('dry', 'Dry run, the whole line, the lead follows', {
			why: 'Where the hand stops half-way, the cut shows it for ever.',
			remedy: 'Move elbow, lead or feet, and go along it again with the torch off.',
			page: '/setup',
			not: ['dry run', 'cut', 'tight'],
			draw: 'height'
		}),
		...people(plan.figures['setup.shade'].value)
	];
}

export function grooveItems({ inputs, plan }: Wanted): Item[] {
	const { gouge, metal, coating } = inputs.cut;
	const bar = plan.figures['gouge.airBar'].value;
	const metalFume = fume(gouge.metal ?? metal, coating);
	const upright = isSpot(gouge.target);
	return [
		item(
			'gouge-parts',
			plan.choices.gougeNozzle
				? 'Cutter off. Gouging nozzle and shield in'
				: 'Cutter off. Ordinary parts, light work only',
			{
				more: 'ring in, cap finger-tight; cutting pair laid aside',
				why: 'A cutting nozzle makes a deep narrow arc that goes through.',
				remedy: `${OFF}Change nozzle and shield; nothing else of the stack.`,
				page: '/gouge',
				not: ['gouging parts', 'gouge', 'stops'],
				draw: 'stack'
			}
		),
		...knob(plan.figures['gouge.currentA'].value),
		...(bar === null
			? []
			: [
					item('gouge-air', told`Air down to ${said(bar, 'pressure')} while it flows`, {
						why: 'Cutting pressure blows the bath apart instead of pushing it along.',
						remedy: 'Set it with the air flowing; up again before you cut.',
						page: '/gouge',
						not: ['gouging air', 'gouge', 'tight'],
						draw: 'gauge'
					})
				]),
		clamp(),
		item('ahead', 'Nobody and nothing where the metal flies', {
			more: upright ? 'all round the spot' : 'ahead of the torch, low and far',
			why: 'A groove throws all its metal forward: slag burns through boots and hoses.',
			remedy: 'Screen of steel or clay; turn the work so that it flies to a wall.',
			not: ['people ahead', 'gouge', 'stops'],
			draw: 'around'
		}),
		...(metalFume ? [metalFume] : []),
		around(),
		vessel(),
		item(
			'gouge-angle',
			upright
				? 'Torch upright, small gap'
				: told`Torch ${said(gouge.angleFromPlateDeg, 'angle')} from the plate, and push`,
			{
				why: 'Pulling folds slag into the groove; steeper than 50° it blows back.',
				remedy: 'Go along it with the torch off until the hand holds it.',
				page: '/gouge',
				not: ['torch angle', 'gouge', 'tight'],
				draw: 'height'
			}
		),
		...people(plan.figures['gouge.shade'].value)
	];
}
