/** Makes what is kept beside the log anew and compares: `npm run ledger`, with `-- --mend` to keep it. */
import { createServer } from 'vite';
import { folder, runningServer } from './store.js';

const mend = process.argv.includes('--mend');
if (mend && runningServer()) {
	console.error('The server is running. Stop it first: it would go on with what it has in mind.');
	process.exit(1);
}
const vite = await createServer({
	server: { middlewareMode: true },
	appType: 'custom',
	logLevel: 'silent'
});
const { openStore } = (await vite.ssrLoadModule(
	'/src/lib/server/store.ts'
)) as typeof import('../src/lib/server/store');
const store = openStore(folder);
let wrong = 0;
for (const { id, name } of store.benches.names()) {
	const before = JSON.stringify(store.ledger.kept(id));
	store.db.exec('BEGIN IMMEDIATE');
	store.ledger.rebuild(id);
	const same = JSON.stringify(store.ledger.kept(id)) === before;
	store.db.exec(mend ? 'COMMIT' : 'ROLLBACK');
	if (!same) wrong++;
	console.log(
		`${name}: ${same ? 'agrees with its log' : mend ? 'was mended' : 'DIFFERS from its log'}`
	);
}
store.db.close();
await vite.close();
if (wrong > 0 && !mend) process.exitCode = 1;
