import { METALS, scrapMm, type Entry } from '$lib/core';
import { CARE_WORDS } from '$lib/formats/careWords';
import type { Workbench } from '$lib/state/workbench.svelte';

export const CURRENCY = { EUR: '€', USD: '$', GBP: '£' } as const;

const TRIPPED = {
	breaker: 'breaker tripped',
	'switch-on': 'tripped at switch-on',
	'earth-fault': 'earth-fault device tripped'
} as const;

const DROSS_WORDS = { none: 'cut well', soft: 'thick dross', hard: 'fine hard dross' } as const;

function testWords(entry: Extract<Entry, { kind: 'test-cut' }>, bench: Workbench): string {
	if (!entry.through) return 'not through';
	if (entry.lagDeg !== null) return `sparks at ${bench.say(entry.lagDeg, 'angle')}`;
	return DROSS_WORDS[entry.dross ?? 'none'];
}

export const LOOK_WORDS = {
	clean: 'clean swirl marks',
	smeared: 'smeared marks',
	cracked: 'a cracked cup',
	blue: 'blued by heat',
	nicked: 'a nicked bore'
} as const;

/** What was cut, without how much of it. */
export function cutWords(entry: Extract<Entry, { kind: 'cut' }>, bench: Workbench): string {
	const starts = entry.starts > 1 ? `, ${entry.starts} starts` : '';
	const metal = METALS[entry.metal].label.toLowerCase();
	return `${bench.say(entry.thicknessMm, 'thickness')} ${metal}${starts}`;
}

/** For a narrow column: no unit on a line of its own, without its number. */
export const together = (words: string): string => words.replace(/(?<=\d) (?=\S)/g, '\u00a0');

/** A log entry in one line. */
export function entryWords(entry: Entry, bench: Workbench): string {
	switch (entry.kind) {
		case 'cut':
			return `${bench.say(entry.lengthMm, 'length')} of ${cutWords(entry, bench)}`;
		case 'start':
			return entry.times === undefined || entry.times === 1
				? 'one failed start'
				: `${entry.times} failed starts`;
		case 'volts':
			return `${bench.say(entry.idleV, 'voltage')} idle, ${bench.say(entry.arcV, 'voltage')} under arc`;
		case 'drain':
			return `drain ${bench.say(entry.fromBar, 'pressure')} to ${bench.say(entry.toBar, 'pressure')} in ${bench.say(entry.seconds, 'time')}`;
		case 'fill':
			return `fill ${bench.say(entry.fromBar, 'pressure')} to ${bench.say(entry.toBar, 'pressure')} in ${bench.say(entry.seconds, 'time')}`;
		case 'leak':
			return `leaks ${bench.say(entry.fromBar, 'pressure')} to ${bench.say(entry.toBar, 'pressure')} in ${bench.say(entry.seconds, 'time')}`;
		case 'gauge':
			return `gauge ${bench.say(entry.inletBar, 'pressure')} with the tank at ${bench.say(entry.tankBar, 'pressure')}`;
		case 'lamp': {
			const back =
				entry.recoveryS === null ? '' : `, out after ${bench.say(entry.recoveryS, 'time')}`;
			return `lamp after ${bench.say(entry.lampS, 'time')} at ${bench.say(entry.outputA, 'current')}${back}`;
		}
		case 'trip':
			return entry.device === 'held'
				? `held ${bench.say(entry.afterS, 'time')} at ${bench.say(entry.outputA, 'current')}`
				: `${TRIPPED[entry.device]} after ${bench.say(entry.afterS, 'time')} at ${bench.say(entry.outputA, 'current')}`;
		case 'test-cut': {
			const where = `${bench.say(entry.thicknessMm, 'thickness')} ${METALS[entry.metal].label.toLowerCase()} at ${bench.say(entry.outputA, 'current')}`;
			return `test cut, ${where}: ${bench.say(entry.speedMmS, 'speed')}, ${testWords(entry, bench)}`;
		}
		case 'scrap': {
			const { kerfMm, shieldRadiusMm } = scrapMm(entry);
			return `scrap: kerf ${bench.say(kerfMm, 'small')}, shield radius ${bench.say(shieldRadiusMm, 'small')}`;
		}
		case 'kerf':
			return `kerf ${bench.say(entry.kerfMm, 'small')}, ${METALS[entry.metal].label.toLowerCase()}`;
		case 'pit':
			return `pit ${bench.say(entry.pitMm, 'small')}`;
		case 'bore': {
			const across =
				entry.acrossMm === undefined ? '' : ` by ${bench.say(entry.acrossMm, 'small')}`;
			return `bore ${bench.say(entry.boreMm, 'small')}${across}`;
		}
		case 'look':
			return `looked: ${LOOK_WORDS[entry.seen]}`;
		case 'care': {
			const again = entry.againDays === undefined ? '' : `, again in ${entry.againDays} days`;
			return `${CARE_WORDS[entry.did].done}${again}`;
		}
		case 'check':
			return entry.so ? `mended: ${entry.word}` : `not so: ${entry.word}`;
		case 'signed':
			return `checks signed off, ${entry.ticked.length} ticked${entry.despite.length ? `, ${entry.despite.length} gone on with` : ''}`;
		case 'groove': {
			const strings = entry.starts === 1 ? 'one string' : `${entry.starts} strings`;
			return `grooved ${bench.say(entry.lengthMm, 'length')}, ${strings}, ${METALS[entry.metal].label.toLowerCase()}`;
		}
		case 'test-groove':
			return `test groove at ${bench.say(entry.outputA, 'current')}: ${bench.say(entry.widthMm, 'small')} wide, ${bench.say(entry.depthMm, 'small')} deep, ${bench.say(entry.lengthMm, 'length')} long, ${bench.say(entry.seconds, 'time')}`;
	}
}

export const STOCK_NAMES = {
	electrode: 'Electrode',
	nozzle: 'Nozzle',
	ring: 'Swirl ring',
	cap: 'Retaining cap',
	shield: 'Shield',
	'o-ring': 'O-ring',
	'gouge-nozzle': 'Gouging nozzle'
} as const;
