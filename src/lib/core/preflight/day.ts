/** The day's start on one bench, in the order of hands. All of it common practice. */
import { said, told } from '../figure/finding';
import type { Bench } from '../inputs/bench';
import type { PlanInputs } from '../inputs/planInputs';
import type { Plan } from '../plan/types';
import { item, type Item } from './item';

function power({ bench }: PlanInputs): Item[] {
	const { supply, cutter } = bench;
	const list = [
		supply.generator
			? item('power', 'Generator out of doors and running, then the plug', {
					more: 'its frame earthed as its book says',
					why: 'Its fumes kill indoors; a plug pulled under load burns its pins.',
					remedy: 'Set it up outside, let it run warm, then plug in.',
					not: ['generator', 'supply', 'stops'],
					draw: 'breaker'
				})
			: item('power', 'Breaker off, plug in, breaker on', {
					why: 'A plug pulled or pushed under load burns its pins and fingers.',
					remedy:
						'Switch off at the breaker first. A burnt or loose plug or outlet is for a licensed electrician.',
					not: ['plug or outlet', 'supply', 'stops'],
					draw: 'breaker'
				})
	];
	if (cutter.voltageBy === 'selector' && cutter.inputs.length > 1)
		list.push(
			item('selector', told`Voltage selector at ${said(supply.nominalV, 'voltage')}`, {
				why: 'On the wrong voltage it does not start, or it is destroyed.',
				remedy: 'Cutter off, plug out, then move the selector.',
				not: ['voltage selector', 'supply', 'stops']
			})
		);
	if (supply.cord)
		list.push(
			item(
				'cord',
				told`Cord off the drum, all ${said(supply.cord.lengthM, 'run')}, dry and whole`,
				{
					why: 'A cord on its drum heats up and takes volts from the arc.',
					remedy: 'Run it out in wide loops. A damaged one is replaced, not taped.',
					page: '/supply',
					not: ['cord', 'supply', 'tight']
				}
			)
		);
	list.push(alone(supply));
	return list;
}

/** What else is on the circuit; a compressor there feeds the torch, so it is not put off. */
function alone({ circuit, loads }: Bench['supply']): Item {
	const here = loads.filter(({ on }) => on === circuit);
	const others = here.filter(({ when }) => when === 'always');
	const compressor = here.length > others.length;
	return item(
		'alone',
		`Nothing else on ${circuit}${compressor ? ' but the compressor' : ''}${others.length ? ' while you cut' : ''}`,
		{
			...(others.length && {
				more: others
					.slice(0, 3)
					.map(({ name }) => name)
					.join(', ')
			}),
			why: compressor
				? 'The compressor takes a part of the circuit already; what runs beside it trips the breaker early.'
				: others.length
					? 'What runs beside the cutter trips the breaker early and pulls the volts down.'
					: 'A heater or a grinder on the same circuit trips the breaker early.',
			remedy: 'Put it on another circuit, or off; Supply tells what it costs you.',
			page: '/supply',
			not: ['shared circuit', 'supply', 'tight']
		}
	);
}

function air({ bench }: PlanInputs, { figures }: Plan): Item[] {
	const { source, stages, setPointBar } = bench.air;
	const list: Item[] = [];
	if (source === 'built-in')
		return [
			item('intake', 'Air intake free, its filter clean', {
				why: 'The compressor in the machine breathes the shop: grinding dust wears it out.',
				remedy: 'Turn it away from the dust, clear the slots; filter as its book says.',
				not: ['air intake', 'supply', 'tight']
			})
		];
	if (source === 'compressor')
		list.push(
			item(
				'drain',
				stages.some(({ kind }) => kind === 'trap') ? 'Tank and water trap drained' : 'Tank drained',
				{
					why: 'Water goes to the torch and eats electrodes.',
					remedy: 'Open the drain until only air comes, pressure on, eyes away.',
					not: ['tank undrained', 'supply', 'tight']
				}
			)
		);
	else
		list.push(
			item('bottle', 'Bottle chained, valve open, enough in it', {
				why: 'A bottle that falls and loses its valve is a rocket.',
				remedy: 'Chain it upright; change it when it is down to its reserve.',
				page: '/supply',
				not: ['bottle', 'supply', 'stops']
			})
		);
	if (stages.some(({ kind }) => kind === 'desiccant'))
		list.push(
			item('gel', 'Gel in its dry colour', {
				why: 'Spent gel lets the damp through to the electrode: smeared swirl marks follow.',
				remedy: 'Bake it as its maker says, or swap it, before the damp eats a pair.',
				page: '/supply',
				not: ['gel spent', 'supply', 'tight']
			})
		);
	const works = figures['setup.workingBar'].value;
	list.push(
		item('pressure', told`Air flowing: ${said(setPointBar, 'pressure')} at the shop’s regulator`, {
			more:
				bench.cutter.regulator === 'itself' || works === null
					? told`at the inlet at least ${said(bench.cutter.airMinBar, 'pressure')}, at most ${said(bench.cutter.airMaxBar, 'pressure')}`
					: told`and ${said(works, 'pressure')} at the machine’s own regulator`,
			why: 'A gauge that stands still tells nothing: pressure is lost only where air flows.',
			remedy:
				'Set the regulator while the air blows. Where it does not reach, Supply tells where it is lost.',
			page: '/supply',
			not: ['air pressure', 'supply', 'stops'],
			draw: 'gauge'
		})
	);
	return list;
}

export function dayItems(inputs: PlanInputs, plan: Plan): Item[] {
	return [
		...power(inputs),
		...air(inputs, plan),
		item('fan', 'Fume extraction on, or doors open and your back to the wind', {
			why: 'The fume of any metal harms; that of coatings may poison within hours.',
			remedy: 'Extract at the cut; where that is not possible, outdoors and a respirator.',
			not: ['no extraction', 'checks', 'stops']
		}),
		item('fire', 'Extinguisher and water at hand, their way clear', {
			why: 'Most fires of a cutting shop begin small and after the work.',
			remedy: 'Fetch them now. Who watches afterwards, and how long, stands on the hot-work sheet.',
			not: ['no extinguisher', 'checks', 'stops'],
			draw: 'around'
		}),
		item('lead', 'Torch and leads whole, hung up, out of drips and wheels', {
			why: 'Cutting voltages are far above those of welding: a cut in the lead is live.',
			remedy: 'Cutter off. A damaged torch or lead is not used; a technician mends it.',
			not: ['torch or lead', 'checks', 'stops']
		})
	];
}
