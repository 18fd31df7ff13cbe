/**
 * Everything that must hold: format, lint, types, unit, server and browser tests.
 * Installs what it needs first and closes with one line: `N passed, N failed`.
 */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBrowser, ensureBuild, ensureModules, ROOT, run } from './ensure.js';

ensureModules();
ensureBrowser();
run('npm', ['run', '--silent', 'check']);
run('npm', ['run', '--silent', 'lint']);
ensureBuild();

const reports = mkdtempSync(join(tmpdir(), 'steady-arc-'));
let passed = 0;
let failed = 0;
let broken = false;

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
	() => [report('unit.json').numPassedTests, report('unit.json').numFailedTests]
);
suite(
	['playwright', 'test', '--reporter=line,json'],
	{ PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'e2e.json') },
	() => [report('e2e.json').stats.expected, report('e2e.json').stats.unexpected]
);
rmSync(reports, { recursive: true, force: true });

console.log(`\n${passed} passed, ${failed} failed`);
if (failed > 0 || broken || passed === 0) process.exit(1);
