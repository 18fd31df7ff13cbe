/** Where the store stands, and whether a server is at work on it: for the commands. */
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './ensure.js';

export const folder = process.env.STEADY_ARC_DATA || join(ROOT, 'data');

/** How to ask the server that has this data folder open; undefined: none has. */
export function runningServer() {
	const sign = join(folder, 'server.json');
	if (!existsSync(sign)) return undefined;
	try {
		const { pid, host, port, key } = JSON.parse(readFileSync(sign, 'utf8'));
		process.kill(pid, 0);
		const name = host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host;
		return { url: `http://${name.includes(':') ? `[${name}]` : name}:${port}`, key };
	} catch {
		// It was killed and left its sign, or the sign is damaged.
		return undefined;
	}
}
