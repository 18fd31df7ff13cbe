/**
 * Makes sure that what the other commands need is there, says what it does, and takes no time when
 * nothing changed: node_modules by the lockfile, the build by the sources, Chromium from the system's
 * packages. Flags: --fetch (packages as they come, nothing compiled), --browser, --build, --quiet.
 */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
/** Debian's Chromium without a window, whose tests take a quarter less time; where it cannot be had, the one with a window. */
const SHELL = '/usr/bin/chromium-headless-shell';
const WINDOWED = '/usr/bin/chromium';
/** The browser of tests, pictures and benchmarks; CHROMIUM tells of another. */
export const chromiumHere = () =>
	process.env.CHROMIUM ?? [SHELL, WINDOWED].find((path) => existsSync(path)) ?? SHELL;
const STAMPS = join(ROOT, 'node_modules', '.steady-arc');

const say = (text) => console.log(`· ${text}`);

/** Runs a command with its output shown; ends this process when it fails. */
export function run(command, args, options = {}) {
	const result = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
	if (result.status !== 0) {
		console.error(`\n${[command, ...args].join(' ')} failed.`);
		process.exit(result.status ?? 1);
	}
}

function filesBelow(path) {
	if (!existsSync(path)) return [];
	if (!statSync(path).isDirectory()) return [path];
	return readdirSync(path)
		.sort()
		.flatMap((name) => filesBelow(join(path, name)));
}

function fingerprint(paths) {
	const hash = createHash('sha256').update(process.version);
	for (const file of paths.flatMap((path) => filesBelow(join(ROOT, path)))) {
		hash.update(file.slice(ROOT.length)).update(readFileSync(file));
	}
	return hash.digest('hex');
}

/** Runs `make` unless the stamp already tells this fingerprint. */
function upToDate(name, mark, made, make) {
	const stamp = join(STAMPS, name);
	if (made && existsSync(stamp) && readFileSync(stamp, 'utf8') === mark) return;
	make();
	mkdirSync(STAMPS, { recursive: true });
	writeFileSync(stamp, mark);
}

/** The packages as they come: enough for what only reads sources. */
export function fetchModules() {
	const database = join(ROOT, 'node_modules', 'better-sqlite3');
	upToDate('fetched', fingerprint(['package-lock.json']), existsSync(database), () => {
		say('Fetching packages.');
		run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error']);
	});
}

export function ensureModules() {
	fetchModules();
	const compiled = join(ROOT, 'node_modules', 'better-sqlite3', 'build', 'Release');
	upToDate('modules', fingerprint(['package-lock.json']), existsSync(compiled), () => {
		say('Compiling the database for this machine, which takes two to five minutes once.');
		run('npm', ['rebuild', '--loglevel=error'], { env: { ...process.env, JOBS: 'max' } });
	});
}

export function ensureBuild() {
	const sources = [
		'package-lock.json',
		'vite.config.ts',
		'vite.heavy.config.ts',
		'tsconfig.json',
		'src',
		'static'
	];
	const mark = fingerprint(sources);
	upToDate('build', mark, existsSync(join(ROOT, 'build', 'handler.js')), () => {
		say('Building the application.');
		run('npx', ['vite', 'build', '--logLevel', 'error']);
		run('npx', ['vite', 'build', '--config', 'vite.heavy.config.ts', '--logLevel', 'error']);
	});
}

export function ensureBrowser() {
	const root = process.getuid?.() === 0;
	if (process.env.CHROMIUM || existsSync(SHELL)) return;
	// Nobody is asked for root rights to save a minute or two.
	if (!root && existsSync(WINDOWED)) return;
	say('Installing Chromium from the system’s packages (asks for root rights).');
	const apt = (...args) =>
		spawnSync(root ? 'apt-get' : 'sudo', root ? args : ['apt-get', ...args], {
			env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
			stdio: ['ignore', 'ignore', 'inherit']
		}).status === 0;
	const install = (name) => apt('install', '-y', '-q', '--no-install-recommends', name);
	apt('update', '-q');
	if (install('chromium-headless-shell')) return;
	if (existsSync(WINDOWED)) return say('It cannot be had; the Chromium that is here will do.');
	// Releases before the shell had a package of its own.
	if (install('chromium')) return;
	console.error('\nChromium could not be installed: install it, or tell its path by CHROMIUM.');
	process.exit(1);
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
	if (process.argv.includes('--fetch')) fetchModules();
	else ensureModules();
	if (process.argv.includes('--browser')) ensureBrowser();
	if (process.argv.includes('--build')) ensureBuild();
}
