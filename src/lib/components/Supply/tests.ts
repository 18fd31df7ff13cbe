/** The guided tests: what to read, when, and what it replaces. */
import type { Entry, Quantity } from '$lib/core';

export type TestKind = 'volts' | 'drain' | 'fill' | 'leak' | 'gauge' | 'lamp' | 'trip';

export interface TestField {
	name: string;
	label: string;
	quantity: Quantity;
	optional?: boolean;
}
export interface MeasureTest {
	kind: TestKind;
	label: string;
	steps: readonly string[];
	gives: string;
	fields: readonly TestField[];
}

const field = (name: string, label: string, quantity: Quantity, optional = false): TestField => ({
	name,
	label,
	quantity,
	optional
});
const tank = (to: string): TestField[] => [
	field('fromBar', 'From', 'pressure'),
	field('toBar', to, 'pressure'),
	field('seconds', 'In', 'time')
];

export const TESTS: readonly MeasureTest[] = [
	{
		kind: 'volts',
		label: 'Volts and amps',
		steps: [
			'Meter at the cutter’s plug, cutter on, no arc: read.',
			'Helper cuts scrap for ten seconds: read again.',
			'With a clamp meter round one conductor, read the amps then.'
		],
		gives: 'Replaces the volts, the resistance of service, wire and cord, and, by clamp, the draw.',
		fields: [
			field('idleV', 'Idle', 'voltage'),
			field('arcV', 'Under arc', 'voltage'),
			field('clampA', 'Clamp meter', 'current', true)
		]
	},
	{
		kind: 'fill',
		label: 'Timed fill',
		steps: [
			'Nothing draws air, valve to the shop shut.',
			'Time the gauge while the compressor runs.'
		],
		gives: 'Replaces the delivery on the plate.',
		fields: tank('Up to')
	},
	{
		kind: 'drain',
		label: 'Timed drain',
		steps: [
			'Tank full, compressor switched off.',
			'Air flowing without arc (test position or post-flow): time the gauge.'
		],
		gives: 'Replaces the cutter’s flow; cold air flows more, so it is an upper bound.',
		fields: tank('Down to')
	},
	{
		kind: 'leak',
		label: 'Leaks',
		steps: ['Tank full, compressor off, cutter off, line open.', 'Come back later and read again.'],
		gives: 'Air that leaves all the time; it is taken off the timed drain too.',
		fields: tank('Down to')
	},
	{
		kind: 'gauge',
		label: 'Gauge',
		steps: [
			'Gauge just before the regulator at the cutter.',
			'Air flowing: read tank and gauge at the same moment.'
		],
		gives: 'Replaces the loss of hose, couplings and filters.',
		fields: [
			field('tankBar', 'Tank', 'pressure'),
			field('inletBar', 'Before the regulator', 'pressure')
		]
	},
	{
		kind: 'lamp',
		label: 'Lamp',
		steps: [
			'Cutter cold. Cut without a pause until the temperature lamp lights; note the time.',
			'Leave the fan on; note how long until the lamp goes out.'
		],
		gives: 'Replaces the heat model of the cutter.',
		fields: [
			field('lampS', 'Lamp after', 'time'),
			field('recoveryS', 'Out again after', 'time', true)
		]
	},
	{
		kind: 'trip',
		label: 'It tripped',
		steps: [
			'Which device was it? By heat, in the middle of the work; at the moment of switching on; or an earth-fault device with a test button.',
			'How long after the first cut, at the arc and pause of “This work”?'
		],
		gives: 'A trip by heat, or a time it held, narrows the breaker between its two curves.',
		fields: [field('afterS', 'After', 'time')]
	}
];

/** What each answer to "which device?" means; none of them is ever bridged. */
export const DEVICES = [
	{
		value: 'breaker',
		label: 'breaker, by heat',
		help: 'After a while under load: it got too warm.',
		note: ''
	},
	{
		value: 'switch-on',
		label: 'at switch-on',
		help: 'The moment it was switched on.',
		note: 'Inrush against the magnetic band, not load: start other motors first, put them on another circuit. Fewer amps do not help.'
	},
	{
		value: 'earth-fault',
		label: 'earth-fault device',
		help: 'The one with a test button let go.',
		note: 'Current leaking to earth, not load: dry plugs, look for damaged leads, one machine per device; an electrician finds the fault. Never bridge it.'
	},
	{
		value: 'held',
		label: 'nothing, it held',
		help: 'It ran this long and nothing let go.',
		note: ''
	}
] as const;
export type Device = (typeof DEVICES)[number]['value'];

export interface Around {
	outputA: number;
	shopC: number;
	arcS: number;
	restS: number;
	device: Device;
}

/** The entry for the log from what was typed. */
export function entryOf(
	kind: TestKind,
	values: Record<string, number | null>,
	around: Around
): Entry {
	const v = (name: string) => values[name]!;
	const { outputA } = around;
	switch (kind) {
		case 'volts':
			return { kind, idleV: v('idleV'), arcV: v('arcV'), clampA: values.clampA ?? null, outputA };
		case 'gauge':
			return { kind, tankBar: v('tankBar'), inletBar: v('inletBar') };
		case 'lamp':
			return {
				kind,
				outputA,
				shopC: around.shopC,
				lampS: v('lampS'),
				recoveryS: values.recoveryS ?? null
			};
		case 'trip':
			return {
				kind,
				device: around.device,
				afterS: v('afterS'),
				outputA,
				arcS: around.arcS,
				restS: around.restS
			};
		default:
			return { kind, fromBar: v('fromBar'), toBar: v('toBar'), seconds: v('seconds') };
	}
}
