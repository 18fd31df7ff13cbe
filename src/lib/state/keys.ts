import { goto } from '$app/navigation';
import { tinykeys } from 'tinykeys';
import { AIMS, METAL_IDS, STATIONS, thicknessStepMm, UNIT_SYSTEMS } from '$lib/core';
import { GOUGE_RANGES } from '$lib/core/gouge/inputs';
import { rememberUnits } from './device';
import type { Workbench } from './workbench.svelte';

export const KEY_HELP: readonly [string, string][] = [
	['1 – 6', 'station'],
	['Space', 'yes, on Checks; start and stop the pacer on Setup'],
	['N', 'not so, on Checks; no, in the fault finder'],
	['Y C', 'yes, could not tell, in the fault finder; Y takes what the sensor offers'],
	['[ ]', 'thickness, or depth and leg on Gouge'],
	['M', 'next metal'],
	['A', 'next aim'],
	['- =', 'amps'],
	['J', 'the day’s list'],
	['S', 'the sensor at the cutter'],
	['L', 'log a cut; done, on the run sheet'],
	['F H', 'failed, pause, on the run sheet'],
	['Q R', 'quote, run it, on the day’s list'],
	['Alt ↑ ↓', 'an item of the day’s list earlier, later'],
	['K', 'log one failed start'],
	['Z', 'undo'],
	['W', 'where from, then Tab through the balloons'],
	['B', 'pick a bench'],
	['U', 'units'],
	['T', 'theme'],
	['P', 'print the card'],
	['Esc', 'close'],
	['?', 'words and keys']
];

const typing = (target: EventTarget | null) =>
	target instanceof HTMLElement &&
	(target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)) &&
	(target as HTMLInputElement).type !== 'radio';

interface Screen {
	bench: Workbench;
	pathname: () => string;
	enabled: () => boolean;
	toggleTheme: () => void;
	showKeys: () => void;
}

const next = <T>(list: readonly T[], value: T): T => list[(list.indexOf(value) + 1) % list.length]!;

/** One step in the unit that is shown. */
function nudge({ bench, pathname }: Screen, direction: 1 | -1): void {
	const stepMm = thicknessStepMm(bench.units);
	const step = (value: number, min: number, max: number) =>
		Math.min(max, Math.max(min, Math.round(value / stepMm + direction) * stepMm));
	const { gouge } = bench.cut;
	if (pathname() === '/gouge' && gouge.target === 'fillet')
		bench.stepGouge({ legMm: step(gouge.legMm, ...GOUGE_RANGES.legMm) });
	else if (pathname() === '/gouge') bench.stepGouge({ depthMm: step(gouge.depthMm, 0.5, 40) });
	else bench.stepCut({ thicknessMm: step(bench.cut.thicknessMm, 0.5, 100) });
}

function nudgeAmps({ bench }: Screen, direction: 1 | -1): void {
	const amps = bench.plan.figures['setup.currentA'].value! + direction;
	if (amps < bench.bench.cutter.outputMinA) return;
	bench.stepCut({ school: 'typed', typedA: amps });
}

/** Focuses the first balloon; Tab then goes from balloon to balloon until Esc. */
function startWhereFrom(): void {
	document.querySelector<HTMLElement>('main button.wf')?.focus();
}
function tabThroughBalloons(event: KeyboardEvent): void {
	const balloons = [...document.querySelectorAll<HTMLElement>('main button.wf')];
	const here = balloons.indexOf(document.activeElement as HTMLElement);
	if (here < 0) return;
	const to = balloons[here + (event.shiftKey ? -1 : 1)];
	if (!to) return;
	event.preventDefault();
	to.focus();
}

/** The logbook loads with the first entry; ahead of it where the page has come to rest. */
function log(
	bench: Workbench,
	act: (logbook: typeof import('./logbook')) => Promise<unknown>
): void {
	import('./logbook').then(act, () => {
		bench.notice = {
			kind: 'problem',
			text: 'Nothing was logged: this page has not come whole yet, and the server does not answer.'
		};
	});
}

/** Listens for single keys; off while typing, and when the person turned them off. */
export function listenForKeys(screen: Screen): () => void {
	const { bench } = screen;
	let whereFrom = false;
	const single = (action: () => void) => (event: KeyboardEvent) => {
		if (!screen.enabled() || typing(event.target) || event.ctrlKey || event.metaKey || event.altKey)
			return;
		event.preventDefault();
		action();
	};
	const undo = () => {
		const own = bench.steps.find(({ benchId }) => benchId === bench.benchId);
		const line = own ?? bench.lastEntry;
		if (bench.draft.edited) bench.draft.undo();
		else if (bench.notice?.undo) bench.notice.undo();
		else if (line) log(bench, (book) => book.undoEntry(bench, line.id));
	};
	const stations = Object.fromEntries(
		STATIONS.map((station, index) => [
			String(index + 1),
			single(() => void goto(`/${station}?${bench.search}`))
		])
	);
	return tinykeys(window, {
		...stations,
		'[': single(() => nudge(screen, -1)),
		']': single(() => nudge(screen, 1)),
		m: single(() => bench.setCut({ metal: next(METAL_IDS, bench.cut.metal) })),
		a: single(() => bench.setCut({ aim: next(AIMS, bench.cut.aim) })),
		'-': single(() => nudgeAmps(screen, -1)),
		'=': single(() => nudgeAmps(screen, 1)),
		j: single(() => void goto(`/job?${bench.search}`)),
		s: single(() => void goto(`/sensor?${bench.search}`)),
		l: single(() => log(bench, (book) => book.logCut(bench))),
		k: single(() => log(bench, (book) => book.logStart(bench))),
		z: single(undo),
		w: single(() => {
			whereFrom = true;
			startWhereFrom();
		}),
		b: single(() => document.getElementById('bench-picker')?.focus()),
		u: single(() => {
			bench.units = next(UNIT_SYSTEMS, bench.units);
			rememberUnits(bench.units);
		}),
		t: single(screen.toggleTheme),
		p: single(() => void goto(`/card?${bench.search}`)),
		'Shift+?': single(screen.showKeys),
		'?': single(screen.showKeys),
		Tab: (event) => whereFrom && tabThroughBalloons(event),
		'Shift+Tab': (event) => whereFrom && tabThroughBalloons(event),
		Escape: () => {
			whereFrom = false;
			bench.opened = undefined;
		}
	});
}
