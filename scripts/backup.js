/** Copies the store while it is in use: `npm run backup -- [target file]`. */
import { existsSync, mkdirSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { ensureModules, ROOT } from './ensure.js';

ensureModules();
const { default: Database } = await import('better-sqlite3');

const folder = process.env.STEADY_ARC_DATA ?? join(ROOT, 'data');
const source = join(folder, 'steady-arc.db');
if (!existsSync(source)) {
	console.error(`There is no store in ${folder}. STEADY_ARC_DATA names the data folder.`);
	process.exit(1);
}
const stamp = new Date().toISOString().replace(/[:.]/g, '-');
const target = resolve(process.argv[2] ?? join(folder, 'backups', `steady-arc-${stamp}.db`));
mkdirSync(dirname(target), { recursive: true });

const db = new Database(source, { readonly: true });
await db.backup(target);
db.close();

const copy = new Database(target, { readonly: true });
const state = copy.pragma('integrity_check', { simple: true });
copy.close();
if (state !== 'ok') {
	console.error(`The copy is damaged: ${String(state)}`);
	process.exit(1);
}
console.log(
	`Backed up to ${target}, checked whole. To restore: stop the server, copy it to ${source}.`
);
