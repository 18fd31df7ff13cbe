/** Copies the store while it is in use: `npm run backup -- [target file]`. */
import { existsSync, mkdirSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { copyOf, DATABASE_FILE, lookInto, stampOf } from '../src/lib/server/restore';
import { folder } from './store.js';

const source = join(folder, DATABASE_FILE);
if (!existsSync(source)) {
	console.error(`There is no store in ${folder}. STEADY_ARC_DATA names the data folder.`);
	process.exit(1);
}
const name = `steady-arc-${stampOf(new Date())}.db`;
const target = resolve(process.argv[2] ?? join(folder, 'backups', name));
mkdirSync(dirname(target), { recursive: true });
await copyOf(source, target);
const looked = lookInto(target, Infinity);
if (!looked.ok) {
	console.error(looked.why);
	process.exit(1);
}
const { benches, entries } = looked.counts;
console.log(`Backed up ${benches} benches and ${entries} log entries to ${target}, checked whole.`);
console.log(`To restore: npm run restore -- ${target}`);
