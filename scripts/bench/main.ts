/** Benchmarks, as ratios measured in one run: `npm run bench`, `npm run bench -- --json`. */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { benchFirstLoad, benchHand, drag, step, type Hand } from './browser';
import { benchMinute, benchReadings } from './arcLine';
import { benchChart } from './chart';
import { benchCrowd, type Crowd } from './crowd';
import { benchLayout, benchList, benchTick } from './list';
import { benchLog } from './log';
import { benchLong } from './long';
import { benchPhoto } from './photo';
import { benchHtml, benchPages, benchRender, withHugeChart } from './pages';
import { benchPlan } from './plan';
import type { Paced } from './pace';
import { median } from './rounds';
import { benchSession } from './session';
import { loadDemo, serve } from '../serve';
import { benchPractice, benchTemplate } from './template';

export interface Result {
	name: string;
	/** Median of its rounds. */
	value: number;
	/** Lowest and highest of them. */
	spread: [number, number];
	unit: string;
	/** ">= 20" or "<= 8". */
	goal: string;
	holds: boolean;
}

const results: Result[] = [];
const quiet = process.argv.includes('--json');

/** Fails on the median alone. */
function note(name: string, rounds: (number | Paced)[], unit: string, goal: string): void {
	const [sign, bound] = goal.split(' ') as [string, string];
	const values = rounds.map((round) => (typeof round === 'number' ? round : round.value));
	const paced = rounds.filter((round) => typeof round !== 'number');
	const short = (value: number) => Number(value.toPrecision(4));
	const value = median(values);
	const spread = [Math.min(...values), Math.max(...values)].map(short) as [number, number];
	const holds = sign === '>=' ? value >= Number(bound) : value <= Number(bound);
	results.push({ name, value: short(value), spread, unit, goal, holds });
	if (quiet) return;
	const range = `${spread[0]} to ${spread[1]} in ${values.length} rounds`;
	const of = (key: 'counted' | 'taken') => paced.reduce((sum, round) => sum + round[key], 0);
	const alone = paced.length
		? `; the core to itself in ${of('counted')} of ${of('taken')}, ${short(median(paced.map(({ ofAll }) => ofAll)))} by all`
		: '';
	console.log(
		`${holds ? 'holds' : 'FAILS'}  ${name}: ${short(value)} ${unit} (${range}; goal ${goal}${alone})`
	);
}

const PORT = 4188;
const url = `http://127.0.0.1:${PORT}`;
const folder = mkdtempSync(join(tmpdir(), 'steady-arc-bench-'));
const server = await serve(folder, PORT);
try {
	await loadDemo(url);

	note('whole plan against a spreadsheet-formula engine', await benchPlan(), '× as fast', '>= 300');
	const session = await benchSession();
	note(
		'session solver against a general ODE library with events',
		session.times,
		'× as fast',
		'>= 80'
	);
	note('a shift of eight hours, compressor on the same breaker', session.shiftMs, 'ms', '<= 1');
	note('search for what would fix the tight bench', session.fixMs, 'ms', '<= 100');
	note('log inserts against a bare prepared statement', await benchLog(), 'of its rate', '>= 0.8');
	note(
		'readings of a sensor against bare inserts in transactions',
		await benchReadings(),
		'of their rate',
		'>= 0.5'
	);
	const minute = await benchMinute(url);
	note('a minute of 1000 readings a second, through the server', minute.tookS, 's', '<= 60');
	note('readings lost of it', minute.lost, 'readings', '<= 0');
	note('a photo of 12 megapixels, chosen to read', await benchPhoto(url), 's', '<= 1.5');
	const long = await benchLong();
	const at100 = 'at 100 000 entries, one pair or three hundred, of that at 100';
	note(`an entry logged ${at100}`, long.log, 'of its time', '<= 1.5');
	note(`a page rendered ${at100}`, long.page, 'of its time', '<= 1.5');
	note(`a plan asked for ${at100}`, long.plan, 'of its time', '<= 1.5');
	note('finding in a log of 100 000 entries', long.findMs, 'ms', '<= 50');
	note('the page of that log', long.logPageMs, 'ms', '<= 100');
	note('memory over that of the short log', long.memoryMib, 'MiB', '<= 30');
	const crowds = await benchCrowd();
	const ofCrowd = (name: string, key: keyof Crowd, unit: string, goal: string) =>
		note(
			name,
			crowds.map((crowd) => crowd[key]),
			unit,
			goal
		);
	ofCrowd('20 clients with pauses of 2 s, answers that were none', 'calmErrors', 'answers', '<= 0');
	ofCrowd('health meanwhile, 99th percentile', 'calmHealthMs', 'ms', '<= 100');
	ofCrowd('200 clients at once, acknowledged and lost', 'lost', 'entries', '<= 0');
	ofCrowd('neither taken nor told to come again', 'rushErrors', 'answers', '<= 0');
	ofCrowd('health while heavy templates are made, longest', 'heavyHealthMs', 'ms', '<= 100');
	const pages = await benchPages(url);
	const against = 'against a bare handler of the same bytes';
	note(`server-rendered Setup ${against}`, pages.repeated, 'of its requests a second', '>= 0.2');
	// Another address each time, so that nothing kept can serve; no goal, told for honesty.
	note(`the same, rendered anew each time`, pages.rendered, 'of its requests a second', '>= 0');
	note('Setup rendered anew', await benchRender(server), 'ms of processor time', '<= 5');
	const charted = await withHugeChart(url);
	note(
		'the same with a chart of ten thousand rows',
		await benchRender(server, charted),
		'ms of processor time',
		'<= 5'
	);
	note('HTML of Setup on the wire', await benchHtml(url), 'kB', '<= 14');
	const memory = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.child.pid}/status`, 'utf8'))!;
	note('server resident after that load', [Number(memory[1]) / 1024], 'MiB', '<= 150');
	note(
		'first-load JavaScript of Setup, gzipped',
		await benchFirstLoad(url, '/setup'),
		'kB',
		'<= 100'
	);
	note(
		'first-load JavaScript of Supply, gzipped',
		await benchFirstLoad(url, '/supply'),
		'kB',
		'<= 130'
	);
	note('list of 40 items planned and ordered', await benchList(40), 'ms', '<= 200');
	note('list of 500 items planned and ordered', await benchList(500), 'ms', '<= 2000');
	note('what is left of 40 items, after a tick', await benchTick(), 'ms', '<= 50');
	note('200 rectangles on plates', await benchLayout(), 'ms', '<= 2000');
	note('preview of a chart of ten thousand rows', await benchChart(url), 'ms', '<= 1000');
	note(
		'offset, order and drawing of an outline of 20 000 points',
		await benchTemplate(url),
		'ms',
		'<= 300'
	);
	note(
		'practice, script and layout per frame, 95th percentile',
		await benchPractice(url),
		'ms',
		'<= 8'
	);
	const hands: [string, Hand][] = [
		['dragging thickness', { path: '/setup', grip: drag('Thickness', 'y', 110) }],
		['thickness by keys', { path: '/setup', grip: step(']', '[', 8) }],
		['amps by keys', { path: '/setup', grip: step('=', '-', 4) }],
		['dragging the depth of a groove', { path: '/gouge?groove=1', grip: drag('Depth', 'y', 60) }],
		['dragging its length', { path: '/gouge?groove=1', grip: drag('Length', 'x', -300) }]
	];
	for (const [name, hand] of hands) {
		const { p95Ms, longTasks } = await benchHand(url, hand);
		note(`${name}, script and layout per frame, 95th percentile`, p95Ms, 'ms', '<= 8');
		note(`${name}, long tasks`, longTasks, 'tasks', '<= 0');
	}
} finally {
	await server.stop();
	rmSync(folder, { recursive: true, force: true });
}
if (quiet) console.log(JSON.stringify(results, null, 1));
if (results.some((result) => !result.holds)) process.exitCode = 1;
