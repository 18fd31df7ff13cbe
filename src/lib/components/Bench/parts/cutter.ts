import { FAMILY_WORDS, TORCH_FAMILIES, type Bench } from '$lib/core';
import type { Lamp } from '$lib/core/cutter/inputs';
import { choice, q, rare, text, type Field, type Part } from './fields';

const inputFields = (b: Bench): Field => ({
	kind: 'list',
	path: 'cutter.inputs',
	label: 'Inputs on the data plate',
	items: b.cutter.inputs.map((input, i) => ({
		index: i,
		name: `Input ${i + 1}`,
		fields: [
			q(`cutter.inputs.${i}.voltageV`, 'Voltage', 'voltage'),
			choice(`cutter.inputs.${i}.phases`, 'Phases', [
				[1, 'one', 'Two live pins, or one and neutral.'],
				[3, 'three', 'Three live pins.']
			]),
			q(`cutter.inputs.${i}.inputMaxA`, 'Draws at most', 'current', { optional: true }),
			q(`cutter.inputs.${i}.inputEffA`, 'Effective, I1eff', 'current', { optional: true }),
			q(`cutter.inputs.${i}.fuseA`, 'Fuse it asks for', 'current', { optional: true }),
			q(`cutter.inputs.${i}.outputMaxA`, 'Gives at most', 'current'),
			{
				kind: 'list',
				path: `cutter.inputs.${i}.duty`,
				label: 'Duty',
				items: input.duty.map((_, k) => ({
					index: k,
					name: `Duty ${k + 1}`,
					fields: [
						q(`cutter.inputs.${i}.duty.${k}.dutyShare`, 'Duty', 'share'),
						q(`cutter.inputs.${i}.duty.${k}.outputA`, 'at', 'current')
					]
				})),
				fresh: input.duty.at(-1),
				least: 1,
				most: 8,
				add: 'Add a duty'
			}
		]
	})),
	fresh: b.cutter.inputs.at(-1),
	least: 1,
	most: 8,
	add: 'Add an input'
});

export const CUTTER_PARTS: Part[] = [
	{
		id: 'cutter',
		rail: 'cutter',
		name: () => 'Cutter',
		about: 'from its data plate',
		entered: (b) => ({ value: b.cutter.cleanMm, quantity: 'thickness' }),
		figure: () => 'supply.voltageV',
		check: 'supply.voltageV',
		tells: [
			'supply.apparentVA',
			'cutter.dutyShare',
			'cutter.peakC',
			'cutter.lampContinuousS',
			'cutter.recoveryS'
		],
		fields: (b) => [
			text('cutter.name', 'Called'),
			inputFields(b),
			q('cutter.outputMinA', 'Smallest setting', 'current'),
			q('cutter.cleanMm', 'Clean to, mild steel', 'thickness'),
			q('cutter.severMm', 'Severs to', 'thickness'),
			q('cutter.airMinBar', 'Inlet from', 'pressure'),
			q('cutter.airMaxBar', 'to', 'pressure'),
			q('cutter.airFlowLpm', 'Air flow', 'flow', { optional: true }),
			choice('cutter.regulator', 'Working pressure', [
				['itself', 'sets itself', 'The cutter sets its own pressure by lead and mode.'],
				['set', 'set at it', 'A knob and a gauge on the cutter, set while air flows.'],
				['none', 'shop’s regulator', 'Set on the wall; the cutter takes what comes.']
			]),
			...(b.cutter.regulator === 'none'
				? []
				: [q('cutter.workingBar', 'Works at', 'pressure', { optional: true })]),
			choice('cutter.voltageBy', 'Takes its voltage', [
				['itself', 'by itself'],
				['selector', 'by a selector']
			]),
			...(
				[
					['pressure', 'Lamp for air pressure, as it looks'],
					['cap', 'Lamp for cap or cup'],
					['heat', 'Lamp for too hot'],
					['fault', 'Lamp or display for a fault']
				] as const satisfies readonly (readonly [Lamp, string])[]
			).map(([lamp, label]) => rare(text(`cutter.lamps.${lamp}`, label))),
			...[
				q('cutter.arcVoltageV', 'Arc voltage, U2', 'voltage', { optional: true }),
				q('cutter.inrushA', 'Peak at switch-on', 'current', { optional: true }),
				q('cutter.toleranceShare', 'Takes volts within ±', 'share'),
				q('cutter.powerFactor', 'Power factor', 'factor'),
				q('cutter.efficiency', 'Efficiency', 'factor')
			].map(rare)
		]
	},
	{
		id: 'torch',
		rail: 'cutter',
		name: () => 'Torch',
		about: 'and what is in it',
		entered: (b) => ({ value: b.torch.shieldRadiusMm, quantity: 'small' }),
		figure: () => 'setup.nozzleA',
		check: 'setup.nozzleA',
		tells: ['setup.nozzleA', 'setup.kerfMm', 'setup.standoffMm'],
		fields: (b) => [
			text('torch.name', 'Called'),
			choice(
				'torch.fittedA',
				'Cutting nozzle (tip) in it',
				b.torch.nozzles
					.filter((n) => n.kind === 'cut')
					.map((n) => [n.ratingA, `${n.ratingA} A`] as const)
			),
			{
				kind: 'list',
				path: 'torch.nozzles',
				label: 'Nozzles in the drawer',
				items: b.torch.nozzles.map((n, i) => ({
					index: i,
					name: n.kind === 'gouge' ? 'Gouging nozzle' : 'Cutting nozzle',
					fields: [
						choice(`torch.nozzles.${i}.kind`, 'For', [
							['cut', 'cutting'],
							['gouge', 'gouging']
						]),
						q(`torch.nozzles.${i}.ratingA`, 'Marked', 'current'),
						q(`torch.nozzles.${i}.boreMm`, 'Bore', 'small'),
						q(`torch.nozzles.${i}.faceMm`, 'Face, across', 'small', { optional: true }),
						...(n.kind === 'cut'
							? [
									q(`torch.nozzles.${i}.cleanMm`, 'Clean to, with it', 'thickness', {
										optional: true
									}),
									q(`torch.nozzles.${i}.severMm`, 'Severs to', 'thickness', { optional: true })
								]
							: [])
					]
				})),
				fresh: { ratingA: 30, boreMm: 0.8, kind: 'cut', cleanMm: null, severMm: null },
				least: 1,
				most: 20,
				add: 'Add a nozzle'
			},
			choice(
				'torch.family',
				'How it goes together',
				TORCH_FAMILIES.map((family) => [family, FAMILY_WORDS[family]] as const)
			),
			choice('torch.shieldIn', 'On its end now', [
				['cutting', 'cutting shield'],
				['gouging', 'gouging shield'],
				['none', 'no shield']
			]),
			q('torch.electrodeMaxA', 'Electrode bears at most', 'current', { optional: true }),
			q('torch.ringMinA', 'Swirl ring made from', 'current', { optional: true }),
			q('torch.ringMaxA', 'to', 'current', { optional: true }),
			q('torch.faceRadiusMm', 'Bearing face, radius', 'small', {
				hint: 'rim that rests on the plate'
			}),
			q('torch.shieldRadiusMm', 'Shield radius', 'small', {
				hint: 'half of what you measure across it'
			}),
			choice('torch.squareSide', 'Squarer edge on the', [
				['right', 'right'],
				['left', 'left']
			]),
			choice('torch.dragShield', 'Shield rests on the plate', [
				[true, 'yes'],
				[false, 'no']
			]),
			q('torch.bareTouchA', 'Bare nozzle may touch up to', 'current'),
			q('torch.standoffMm', 'Stand-off otherwise', 'small'),
			q('torch.leadM', 'Lead', 'run'),
			q('torch.leadBoreMm', 'Bore of its air hose', 'small'),
			q('torch.postFlowS', 'Post-flow', 'time')
		]
	}
];
