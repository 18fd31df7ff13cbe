/** What has to be so before this cut or this groove, from its own Plan, in the order of hands. Common practice. */
import { amps, said, told, type Told } from '../figure/finding';
import { isLight, isSpot } from '../gouge/targets';
import type { PlanInputs } from '../inputs/planInputs';
import { COATING_CAUTIONS, type Coating } from '../metal/coatings';
import type { Plan } from '../plan/types';
import { CLEAR_WORDS, SPARKS_WORDS } from '../safety/shade';
import { fumeItem } from './fume';
import { item, type Item } from './item';

type Wanted = { inputs: PlanInputs; plan: Plan };
const OFF = 'Cutter off. ';

const clamp = (layers = 1): Item =>
	item('clamp', 'Clamp on bright metal', {
		more:
			layers > 1
				? 'of every sheet that stays; the stack pressed together, no gaps'
				: 'of the plate that stays, near the cut',
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

type Page = '/setup' | '/gouge';

function people(shade: number | null, page: Page): Item[] {
	return [
		item(
			'wear',
			shade === null ? 'Shade, gloves, sleeves, ears' : `Shade ${shade}, gloves, sleeves, ears`,
			{
				more: 'glasses under it, boots closed, pockets shut',
				why: 'The arc burns eyes in a blink and skin in minutes; loud from the first cut on.',
				remedy: 'Put it on. The shade’s working tells both tables; the darker one counts here.',
				page,
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
const knob = (outputA: number | null, page: Page): Item[] =>
	outputA === null
		? []
		: [
				item('knob', told`Amps at ${amps(outputA)}`, {
					why: 'Seconds, nozzle, shade and breaker are worked out for these amps.',
					remedy: `Turn the knob, or plan the ${page === '/gouge' ? 'groove' : 'cut'} for the amps that stand on it.`,
					page,
					not: ['amps', page === '/gouge' ? 'gouge' : 'setup', 'tight']
				})
			];

function guide({ inputs, plan }: Wanted): Item[] {
	const { value } = plan.figures['cut.offsetMm'];
	const kind = inputs.cut.guide;
	if (value === null || kind === 'freehand' || kind === 'roller') return [];
	const onCircle = kind === 'circle';
	const ask: Told = onCircle
		? told`Pivot ${said(value, 'small')} from the torch’s centre`
		: told`Guide ${said(value, 'small')} off the finished edge`;
	return [
		item('guide', ask, {
			more: kind === 'kept' ? 'on the part' : kind === 'waste' ? 'on the waste' : 'pin firm',
			why: onCircle
				? 'It goes to the middle of the kerf: by the radius itself, a disc comes out small and a hole large.'
				: 'To forget the shield’s radius is the classic mistake.',
			remedy: onCircle
				? 'Measure it again from the pin to the middle of the nozzle, and tighten it.'
				: 'Measure it again from the finished edge, and clamp it.',
			page: '/cut',
			not: ['guide', 'cut', 'tight'],
			draw: 'height'
		})
	];
}

export function cutItems(wanted: Wanted): Item[] {
	const { inputs, plan } = wanted;
	const { metal, coating, backCoating, layers, lengthMm } = inputs.cut;
	const fume = fumeItem(metal, coating);
	return [
		parts(wanted),
		...knob(plan.figures['setup.currentA'].value, '/setup'),
		clamp(layers),
		behind(backCoating),
		...(fume ? [fume] : []),
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
		...people(plan.figures['setup.shade'].value, '/setup')
	];
}

/** What is in the torch for it: gouging parts, for light work the cutting parts, or what is missing. */
function gougeParts({ inputs, plan }: Wanted): Item {
	const fitted = plan.choices.gougeNozzle;
	const light = !fitted && isLight(inputs.cut.gouge.target);
	return item(
		'gouge-parts',
		light
			? 'Cutter off. Cutting parts in, nozzle round'
			: 'Cutter off. Gouging nozzle and shield in',
		{
			more: light
				? 'ring in, cap finger-tight'
				: fitted
					? 'ring in, cap finger-tight; cutting pair laid aside'
					: 'this bench has none',
			why: light
				? 'Light touches only: a worn nozzle digs beside the spot.'
				: 'A cutting nozzle makes a deep narrow arc that goes through.',
			remedy: light
				? `${OFF}Change a nozzle that is not round; look at it often.`
				: fitted
					? `${OFF}Change nozzle and shield; nothing else of the stack.`
					: 'Get them for this torch and add the nozzle on Bench, or grind it out.',
			page: '/gouge',
			not: ['gouging parts', 'gouge', 'stops'],
			draw: 'stack'
		}
	);
}

function gougeAhead(upright: boolean): Item {
	return item('ahead', 'Nobody and nothing where the metal flies', {
		more: upright ? 'all round the spot' : 'ahead of the torch, low and far',
		why: upright
			? 'A spot throws its metal to all sides: slag burns through boots and hoses.'
			: 'A groove throws all its metal forward: slag burns through boots and hoses.',
		remedy: upright
			? 'Screens of steel or clay round it; nobody beside it.'
			: 'Screen of steel or clay; turn the work so that it flies to a wall.',
		not: ['people ahead', 'gouge', 'stops'],
		draw: 'around'
	});
}

function gougeAngle(upright: boolean, angleFromPlateDeg: number): Item {
	return item(
		'gouge-angle',
		upright
			? 'Torch upright, small gap'
			: told`Torch ${said(angleFromPlateDeg, 'angle')} from the plate, and push`,
		{
			why: upright
				? 'Leaning, it throws the bath to one side and digs beside the spot.'
				: 'Pulling folds slag into the groove; steeper than 50° it blows back.',
			remedy: upright
				? 'Set it up with the torch off until the hand holds it.'
				: 'Go along it with the torch off until the hand holds it.',
			page: '/gouge',
			not: ['torch angle', 'gouge', 'tight'],
			draw: 'height'
		}
	);
}

export function grooveItems(wanted: Wanted): Item[] {
	const { inputs, plan } = wanted;
	const { gouge, metal, coating } = inputs.cut;
	const bar = plan.figures['gouge.airBar'].value;
	const fume = fumeItem(gouge.metal ?? metal, coating);
	const upright = isSpot(gouge.target);
	return [
		gougeParts(wanted),
		...knob(plan.figures['gouge.currentA'].value, '/gouge'),
		...(bar === null
			? []
			: [
					item('gouge-air', told`Air down to ${said(bar, 'pressure')} while it flows`, {
						why: 'Cutting pressure blows the bath apart and spits it over the plate.',
						remedy: 'Set it with the air flowing; up again before you cut.',
						page: '/gouge',
						not: ['gouging air', 'gouge', 'tight'],
						draw: 'gauge'
					})
				]),
		clamp(),
		gougeAhead(upright),
		...(fume ? [fume] : []),
		around(),
		vessel(),
		gougeAngle(upright, gouge.angleFromPlateDeg),
		...people(plan.figures['gouge.shade'].value, '/gouge')
	];
}
