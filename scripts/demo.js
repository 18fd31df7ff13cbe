/** Installs, builds, loads the demo data into its own folder and serves it. */
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild, ensureModules, ROOT, run } from './ensure.js';

ensureModules();
ensureBuild();

const folder = process.env.STEADY_ARC_DATA ?? join(ROOT, 'demo-data');
const port = process.env.PORT ?? '4173';
const fresh = !existsSync(join(folder, 'steady-arc.db'));
const server = spawn('node', ['--max-semi-space-size=2', 'server/main.js'], {
	cwd: ROOT,
	stdio: 'inherit',
	env: { ...process.env, STEADY_ARC_DATA: folder, PORT: port }
});
server.on('exit', (code) => process.exit(code ?? 0));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));

if (fresh) {
	console.log('· Loading the demo data: two benches of a canal-side workshop, all of it invented.');
	run('npx', ['tsx', 'scripts/demo/load.ts', `http://127.0.0.1:${port}`]);
}
console.log(`· Open http://127.0.0.1:${port} in a browser. Ctrl+C ends it.`);
