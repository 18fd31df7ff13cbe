import { METALS, type Entry } from '$lib/core';
import type { Workbench } from '$lib/state/workbench.svelte';

/** A log entry in one line. */
export function entryWords(entry: Entry, bench: Workbench): string {
	switch (entry.kind) {
		case 'cut': {
			const starts = entry.starts > 1 ? `, ${entry.starts} starts` : '';
			const metal = METALS[entry.metal].label.toLowerCase();
			return `${bench.say(entry.lengthMm, 'length')} of ${bench.say(entry.thicknessMm, 'thickness')} ${metal}${starts}`;
		}
		case 'start':
			return 'one start';
		case 'volts':
			return `${bench.say(entry.idleV, 'voltage')} idle, ${bench.say(entry.arcV, 'voltage')} under arc`;
		case 'drain':
			return `drain ${bench.say(entry.fromBar, 'pressure')} to ${bench.say(entry.toBar, 'pressure')} in ${bench.say(entry.seconds, 'time')}`;
		case 'fill':
			return `fill ${bench.say(entry.fromBar, 'pressure')} to ${bench.say(entry.toBar, 'pressure')} in ${bench.say(entry.seconds, 'time')}`;
		case 'test-cut': {
			const lag =
				entry.lagDeg === null ? 'cut well' : `sparks at ${bench.say(entry.lagDeg, 'angle')}`;
			return `test cut at ${bench.say(entry.speedMmS, 'speed')}, ${lag}`;
		}
		case 'pit':
			return `pit ${bench.say(entry.pitMm, 'small')}`;
	}
}

/** "24 Nov 11:20", the same on server and browser. */
export function dayAndTime(iso: string): string {
	const months = [
		'Jan',
		'Feb',
		'Mar',
		'Apr',
		'May',
		'Jun',
		'Jul',
		'Aug',
		'Sep',
		'Oct',
		'Nov',
		'Dec'
	];
	const [, month, day, time] = /^\d+-(\d+)-(\d+)T(\d+:\d+)/.exec(iso) ?? [];
	return month ? `${Number(day)} ${months[Number(month) - 1]} ${time}` : iso;
}
