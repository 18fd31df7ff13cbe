/** Sets the passcode that phones on the shop's network are asked for: `npm run passcode -- WORDS`. */
import { createInterface } from 'node:readline/promises';
import { Access, PASSCODE } from '../server/access.js';
import { folder } from './store.js';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';

async function asked(): Promise<string> {
	const lines = createInterface({ input: process.stdin, output: process.stdout });
	const passcode = await lines.question('New passcode: ');
	lines.close();
	return passcode;
}
const passcode = process.argv.slice(2).join(' ') || (await asked());
const file = join(folder, 'access.json');
let access: Access;
try {
	access = new Access(folder);
} catch {
	// Damaged: it is made anew.
	if (existsSync(file)) rmSync(file);
	access = new Access(folder);
}
try {
	await access.set(passcode);
	console.log('The passcode is set. A running server takes it when it is started again.');
	console.log('Devices that came in by an earlier one are asked again.');
} catch {
	console.error(
		`A passcode has ${PASSCODE.least} to ${PASSCODE.most} characters; nothing was set.`
	);
	process.exit(1);
}
