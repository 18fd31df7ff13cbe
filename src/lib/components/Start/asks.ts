/** How the questions of the first hour are put, what may be pressed and typed, and how an answer reads. */
import { METALS, type Quantity } from '$lib/core';
import { conductorLabel, type ConductorSize } from '$lib/core/circuit/conductors';
import { answerOf, typicalAnswer } from '$lib/core/answers/answered';
import type { Answer, QuestionId } from '$lib/core/answers/shapes';
import { AIM_WORDS } from '$lib/components/Card/words';
import type { Region } from '$lib/core/answers/typical';
import type { StartPath, StepId } from '$lib/state/startPath.svelte';

type Draft = Record<string, unknown>;
export interface Option {
	value: Draft;
	label: string;
	note?: string;
	/** Shown as a bar of ten minutes. */
	share?: number;
}
export interface AskField {
	key: string;
	label: string;
	quantity: Quantity;
	/** May be left empty: it is not on every label. */
	optional?: boolean;
}
export interface AskChoice {
	key: string;
	label: string;
	options: readonly { value: string; label: string; help?: string }[];
}
export interface Ask {
	/** Of the road: one word. */
	word: string;
	group: 'label' | 'circuit' | 'air' | 'torch';
	title: string;
	help: string;
	options?: (path: StartPath) => Option[];
	/** Typed instead of an option. */
	fields?: readonly AskField[];
	choices?: (path: StartPath) => AskChoice[];
	/** Name of its cell on the label. */
	cell: string;
}

type Say = (value: number | null, quantity: Quantity) => string;
const per = (share: number) => `${Math.round(share * 100)} %`;
const phaseWord = (phases: 1 | 3) => (phases === 3 ? 'three phases' : 'one phase');

const volts = (voltageV: number, phases: 1 | 3): Option => ({
	value: { voltageV, phases },
	label: `${voltageV} V`,
	note: phaseWord(phases)
});
const amps = (
	key: string,
	list: readonly number[],
	note: (a: number) => string = () => ''
): Option[] => list.map((a) => ({ value: { [key]: a }, label: `${a} A`, note: note(a) }));

const minutes = (share: number): string => {
	const min = share * 10;
	const whole = Math.floor(min);
	return share === 1 ? 'no rest' : `${whole}${min > whole ? '½' : ''} min`;
};

/** Sizes that lie in walls behind such outlets. */
const WIRES: Record<Region, readonly ConductorSize[]> = {
	iec: ['mm2-1.5', 'mm2-2.5', 'mm2-4', 'mm2-6', 'mm2-10', 'mm2-16'],
	'north-america': ['awg-14', 'awg-12', 'awg-10', 'awg-8', 'awg-6', 'awg-4']
};

export const ASKS: Record<QuestionId, Ask> = {
	amps: {
		word: 'amps',
		cell: 'Cuts with, at most',
		group: 'label',
		title: 'How many amps, at most?',
		help: 'The largest amps the cutter cuts with: the biggest number on its knob, or after I2 on the rating label.',
		options: () => amps('mostA', [25, 30, 40, 45, 60, 85]),
		fields: [
			{ key: 'mostA', label: 'Another', quantity: 'current' },
			{ key: 'leastA', label: 'Smallest on the knob', quantity: 'current', optional: true }
		]
	},
	volts: {
		word: 'volts',
		cell: 'Plugs into',
		group: 'label',
		title: 'Which outlet does it plug into?',
		help: 'The volts of the outlet you will use; the label lists them after U1.',
		options: ({ region }) =>
			region === 'iec'
				? [volts(230, 1), volts(400, 3), volts(110, 1), volts(240, 1)]
				: [volts(120, 1), volts(240, 1), volts(208, 3), volts(480, 3)],
		fields: [{ key: 'voltageV', label: 'Another', quantity: 'voltage' }],
		choices: () => [
			{
				key: 'phases',
				label: 'Its phases',
				options: [
					{ value: '1', label: 'one', help: 'One live wire with neutral, or two live ones.' },
					{ value: '3', label: 'three', help: 'Three live wires.' }
				]
			}
		]
	},
	draws: {
		word: 'draws',
		cell: 'Draws at most',
		group: 'label',
		title: 'How many amps does it draw?',
		help: 'From the outlet, not at the torch: after I1max on the label, for your volts.',
		fields: [{ key: 'inputMaxA', label: 'Draws', quantity: 'current' }]
	},
	clean: {
		word: 'clean',
		cell: 'Cuts clean to',
		group: 'label',
		title: 'How thick does it cut clean?',
		help: 'The rated or recommended thickness in mild steel, not the greatest one.',
		fields: [{ key: 'cleanMm', label: 'Clean to', quantity: 'thickness' }]
	},
	severs: {
		word: 'severs',
		cell: 'Severs to',
		group: 'label',
		title: 'How thick does it just part?',
		help: 'The greatest thickness it severs, with an edge that must be ground.',
		fields: [{ key: 'severMm', label: 'Severs to', quantity: 'thickness' }]
	},
	duty: {
		word: 'duty',
		cell: 'May cut, of ten minutes',
		group: 'label',
		title: 'How long in ten minutes?',
		help: 'How long it may cut at its largest amps before it must cool. The label says it in per cent, after X or duty.',
		options: () =>
			[0.2, 0.35, 0.4, 0.6, 1].map((dutyShare) => ({
				value: { dutyShare },
				label: per(dutyShare),
				note: minutes(dutyShare),
				share: dutyShare
			})),
		fields: [{ key: 'dutyShare', label: 'Another', quantity: 'share' }]
	},
	air: {
		word: 'air',
		cell: 'Air it wants',
		group: 'label',
		title: 'Which air does it want?',
		help: 'Pressure at its inlet while the air flows, and how much it uses. On the label or in its booklet.',
		fields: [
			{ key: 'fromBar', label: 'Pressure, from', quantity: 'pressure' },
			{ key: 'toBar', label: 'to', quantity: 'pressure', optional: true },
			{ key: 'flowLpm', label: 'Air it uses', quantity: 'flow', optional: true }
		]
	},
	breaker: {
		word: 'breaker',
		cell: 'Breaker',
		group: 'circuit',
		title: 'Which breaker is it on?',
		help: 'The number on the breaker that feeds the outlet. Read it on the panel; do not open anything.',
		options: ({ region }) =>
			amps('ratingA', region === 'iec' ? [10, 16, 20, 25, 32] : [15, 20, 30, 40, 50]),
		fields: [{ key: 'ratingA', label: 'Another', quantity: 'current' }],
		choices: ({ region }) =>
			region === 'iec'
				? [
						{
							key: 'curve',
							label: 'Letter before the number',
							options: [
								{
									value: '',
									label: 'not read',
									help: 'What was taken for it stays, not yet checked.'
								},
								{
									value: 'B',
									label: 'B',
									help: 'Lets go at 3 to 5 times its amps at once: sockets.'
								},
								{
									value: 'C',
									label: 'C',
									help: 'Lets go at 5 to 10 times its amps at once: motors, cutters.'
								},
								{
									value: 'D',
									label: 'D',
									help: 'Lets go at 10 to 20 times its amps at once: heavy inrush.'
								}
							]
						}
					]
				: []
	},
	wire: {
		word: 'wire',
		cell: 'Wire to the outlet',
		group: 'circuit',
		title: 'Which wire feeds the outlet?',
		help: 'Its size is printed on the cable; an electrician knows it. The length is the way from the panel.',
		options: ({ region }) =>
			WIRES[region].map((size) => ({ value: { size }, label: conductorLabel(size) })),
		fields: [{ key: 'lengthM', label: 'Panel to outlet', quantity: 'run', optional: true }]
	},
	compressor: {
		word: 'compressor',
		cell: 'Compressor',
		group: 'air',
		title: 'Where does the air come from?',
		help: 'What the compressor delivers (free air delivered, FAD) is less than what it displaces; many labels tell only the latter.',
		fields: [
			{ key: 'deliveryLpm', label: 'Its label says', quantity: 'flow' },
			{ key: 'tankL', label: 'Tank', quantity: 'volume', optional: true }
		],
		choices: () => [
			{
				key: 'rating',
				label: 'Which is what it',
				options: [
					{
						value: 'delivered',
						label: 'delivers',
						help: 'What really comes out: FAD, or CFM at a pressure.'
					},
					{
						value: 'displaced',
						label: 'displaces',
						help: 'What the pistons sweep: a good third never comes out.'
					}
				]
			},
			{
				key: 'source',
				label: 'It stands',
				options: [
					{
						value: 'compressor',
						label: 'in the shop',
						help: 'A compressor with a tank, and a hose from it.'
					},
					{
						value: 'built-in',
						label: 'in the cutter',
						help: 'Built in: nothing else is to be said.'
					}
				]
			}
		]
	},
	nozzle: {
		word: 'nozzle',
		cell: 'Nozzle in the torch',
		group: 'torch',
		title: 'Which nozzle is in the torch?',
		help: 'The amps stamped on the nozzle, also called tip. It fits the amps you cut with.',
		options: ({ bench }) =>
			amps(
				'ratingA',
				[...new Set([30, 40, 45, 60, bench.cutter.inputs[0]!.outputMaxA])].sort((x, y) => x - y)
			),
		fields: [{ key: 'ratingA', label: 'Another', quantity: 'current' }]
	}
};

export const GROUPS: readonly { words: string; steps: readonly StepId[] }[] = [
	{
		words: 'from the label on the cutter',
		steps: ['amps', 'volts', 'draws', 'clean', 'severs', 'duty', 'air']
	},
	{ words: 'your circuit', steps: ['breaker', 'wire'] },
	{ words: 'your air', steps: ['compressor'] },
	{ words: 'your torch', steps: ['nozzle'] },
	{ words: 'the card', steps: ['cut'] }
];
export const wordOf = (id: StepId): string => (id === 'cut' ? 'first cut' : ASKS[id].word);

/** An answer as it stands on the label: "230 V, one phase". */
const READ: { [Id in QuestionId]: (answer: Answer<Id>, say: Say) => string } = {
	amps: (a, say) => say(a.mostA, 'current'),
	volts: (a, say) => `${say(a.voltageV, 'voltage')}, ${phaseWord(a.phases)}`,
	draws: (a, say) => say(a.inputMaxA, 'current'),
	clean: (a, say) => say(a.cleanMm, 'thickness'),
	severs: (a, say) => say(a.severMm, 'thickness'),
	duty: (a) => per(a.dutyShare),
	air: (a, say) =>
		`${say(a.fromBar, 'pressure')}${a.toBar === null ? '' : ` to ${say(a.toBar, 'pressure')}`}${a.flowLpm === null ? '' : `, ${say(a.flowLpm, 'flow')}`}`,
	breaker: (a, say) => `${a.curve ? `${a.curve} ` : ''}${say(a.ratingA, 'current')}`,
	wire: (a, say) =>
		`${conductorLabel(a.size)}${a.lengthM === null ? '' : `, ${say(a.lengthM, 'run')}`}`,
	compressor: (a, say) =>
		a.source === 'built-in'
			? 'in the cutter'
			: `${say(a.deliveryLpm, 'flow')}${a.tankL === null ? '' : `, ${say(a.tankL, 'volume')} tank`}`,
	nozzle: (a, say) => say(a.ratingA, 'current')
};
export const readAnswer = (id: QuestionId, answer: unknown, say: Say): string =>
	(READ[id] as (answer: unknown, say: Say) => string)(answer, say);

export function readStep(path: StartPath, id: StepId, say: Say): string {
	if (id !== 'cut') return readAnswer(id, answerOf(path.bench, id), say);
	const { thicknessMm, metal, aim } = path.cut;
	return `${say(thicknessMm, 'thickness')} ${METALS[metal].label.toLowerCase()}, ${AIM_WORDS[aim]}`;
}
/** What is taken when nobody knows: "35 %". */
export const readTypical = (path: StartPath, id: QuestionId, say: Say): string =>
	readAnswer(id, typicalAnswer(path.bench, id), say);
