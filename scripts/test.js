/**
 * Everything that must hold: format, lint, types, unit, server and browser tests.
 * Installs what it needs first and closes with one line: `N passed, N failed`.
 */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { ensureBrowser, fetchModules, ROOT } from './ensure.js';

fetchModules();
ensureBrowser();
// The compiler of the database keeps one processor busy, so the rest goes beside it. Types and lint read
// what the build writes, and wait for it.
const compiled = beside('node', 'scripts/ensure.js');
const built = beside('node', 'scripts/ensure.js', '--fetch', '--build');
const linted = built.then(() => beside('npm', 'run', '--silent', 'lint'));
await Promise.all([compiled, built]);
await Promise.all([linted, beside('npm', 'run', '--silent', 'check')]);

/** Runs a command; ends everything if it fails. */
async function beside(program, ...args) {
	const child = spawn(program, args, { cwd: ROOT, stdio: 'inherit' });
	const end = () => child.kill();
	process.on('exit', end);
	const code = await new Promise((resolve) => child.on('exit', resolve));
	process.off('exit', end);
	if (code === 0) return;
	console.error(`\n"${[program, ...args].join(' ')}" failed`);
	process.exit(1);
}

const reports = mkdtempSync(join(tmpdir(), 'steady-arc-'));
let passed = 0;
let failed = 0;
let broken = false;

/** What failed, told again at the very end: a long log is read from there. */
const names = [];

/** Runs a test command and adds up its JSON report; a run without a report counts as broken. */
function suite(args, env, count) {
	const { status } = spawnSync('npx', args, {
		cwd: ROOT,
		stdio: 'inherit',
		env: { ...process.env, ...env }
	});
	try {
		const [good, bad] = count();
		passed += good;
		failed += bad;
	} catch {
		broken = true;
	}
	if (status !== 0) broken = true;
}
const report = (name) => JSON.parse(readFileSync(join(reports, name), 'utf8'));

suite(
	[
		'vitest',
		'run',
		'--reporter=dot',
		'--reporter=json',
		`--outputFile.json=${join(reports, 'unit.json')}`
	],
	{},
	() => {
		const unit = report('unit.json');
		for (const file of unit.testResults) {
			if (file.status === 'failed' && file.assertionResults.length === 0) names.push(file.name);
			for (const test of file.assertionResults)
				if (test.status === 'failed')
					names.push(
						`${file.name}: ${test.fullName}\n  ${test.failureMessages.join('\n').slice(0, 800)}`
					);
		}
		return [unit.numPassedTests, unit.numFailedTests];
	}
);
const whyOf = (spec) =>
	spec.tests
		.flatMap(({ results }) => results.flatMap(({ errors }) => errors))
		.map(({ message }) => stripVTControlCharacters(message ?? ''))
		.join('\n')
		.slice(0, 2000);
suite(
	['playwright', 'test', '--reporter=line,json'],
	{ PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'e2e.json') },
	() => {
		const { stats, suites } = report('e2e.json');
		const walk = (suite) => {
			for (const spec of suite.specs ?? [])
				if (!spec.ok) names.push(`${spec.file}: ${spec.title}\n  ${whyOf(spec)}`);
			for (const inner of suite.suites ?? []) walk(inner);
		};
		suites.forEach(walk);
		return [stats.expected, stats.unexpected];
	}
);
rmSync(reports, { recursive: true, force: true });

for (const name of names) console.log(`\nfailed: ${name}`);
console.log(`\n${passed} passed, ${failed} failed`);
if (failed > 0 || broken || passed === 0) process.exit(1);
