/**
 * Server entry: adapter-node's handler behind an allow-list of hosts, an origin check for writes on
 * plain http, a passcode for the shop's network, and a body limit by route. STEADY_ARC_DATA names the data
 * folder (default ./data), HOST defaults to 127.0.0.1, PORT to 4173, ALLOW_HOSTS adds host names
 * (comma-separated).
 */
import compression from 'compression';
import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { randomBytes } from 'node:crypto';
import { setFlagsFromString } from 'node:v8';
import { Access, isSensor } from './access.js';
import { tooLarge } from './limits.js';
import { PageCache } from './pageCache.js';
import { allowedHosts, isOpen, originsFor } from './reach.js';

// A shop's server stands beside other things on a small machine: old memory is cleaned when it has grown by a
// fifth, not when it has doubled and more (decision 0032).
setFlagsFromString('--heap-growing-percent=20');

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4173);
const folder = process.env.STEADY_ARC_DATA || './data';
const build = fileURLToPath(new URL('../build', import.meta.url));
// adapter-node assumes https behind a proxy unless it is told; the origin is checked right here.
process.env.PROTOCOL_HEADER ??= 'x-steady-protocol';
// Bodies are limited by route, below.
process.env.BODY_SIZE_LIMIT = 'Infinity';
process.env.STEADY_ARC_BUILD = build;
process.env.STEADY_ARC_ORIGINS = originsFor(host, port, process.env.ALLOW_HOSTS).join(',');
/** A restore by command asks this very server by it. */
const key = randomBytes(16).toString('hex');

if (!existsSync(join(build, 'handler.js'))) {
	console.error('There is no build yet: run `npm run build`, or `npm run demo`.');
	process.exit(1);
}
const { handler } = await import('../build/handler.js');

const hosts = allowedHosts(host, process.env.ALLOW_HOSTS);
const access = new Access(folder);
const pages = new PageCache();
const compress = compression();

function refuse(response, status, code, message) {
	response.writeHead(status, { 'content-type': 'application/json', connection: 'close' });
	response.end(JSON.stringify({ code, message, fields: [] }));
}

async function respond(request, response) {
	const name = (request.headers.host ?? '').replace(/:\d+$/, '');
	if (!hosts.has(name)) {
		const message = 'This host name is not allowed; see ALLOW_HOSTS in the README.';
		return refuse(response, 421, 'refused', message);
	}
	const { origin } = request.headers;
	const reads = request.method === 'GET' || request.method === 'HEAD';
	if (!reads && origin !== undefined && origin !== `http://${request.headers.host}`) {
		return refuse(response, 403, 'refused', 'Writes are only taken from this very site.');
	}
	const path = (request.url ?? '').split('?')[0];
	const large = reads ? undefined : tooLarge(path, request.headers);
	if (large) return refuse(response, large.status, 'too-large', large.message);

	const own = request.headers['x-steady-key'] === key;
	const role = own ? 'full' : await access.admit(request, response, path);
	if (role === undefined) return undefined;
	process.env.STEADY_ARC_WALL = access.wallPath ?? '';
	request.headers['x-steady-protocol'] = 'http';
	request.headers['x-steady-role'] = role;
	// The cache packs whole pages itself; whatever else the handler writes is compressed as it comes.
	return compress(request, response, () => {
		if (isSensor(request, path)) {
			// No page shows a reading before it is looked at.
			handler(request, response);
			return;
		}
		if (!reads) {
			pages.forget();
			response.on('finish', () => pages.forget());
		} else if (pages.serve(request, response)) {
			return;
		}
		handler(request, response);
	});
}

const server = createServer((request, response) => {
	respond(request, response).catch((error) => {
		console.error(error);
		if (response.headersSent) response.destroy();
		else refuse(response, 500, 'fault', 'Something went wrong here; your entries are safe.');
	});
});

// Pages ask every 4 s: five seconds, the default, closes a line under the hand of a client that is a little late.
server.keepAliveTimeout = 55_000;

/** Tells other commands on this machine that the data folder is in use, and how to ask. */
const sign = join(folder, 'server.json');
server.listen(port, host, () => {
	writeFileSync(sign, JSON.stringify({ pid: process.pid, port, host, key }), { mode: 0o600 });
	console.log(`Steady Arc answers on http://${host}:${port}`);
	if (isOpen(host)) {
		const others = originsFor(host, port, process.env.ALLOW_HOSTS).join('  ');
		console.log(`On the shop's network: ${others || 'no network was found'}`);
		if (!access.isSet) {
			console.log(
				'No passcode is set: the first who opens it there chooses one, or you do now with `npm run passcode`.'
			);
		}
	}
});
server.on('error', (error) => {
	console.error(
		error.code === 'EADDRINUSE'
			? `Port ${port} is taken: another Steady Arc may be running. PORT chooses another one.`
			: error.message
	);
	process.exit(1);
});

/** Closes the store, so that everything stands in one file, and goes. */
function leave() {
	process.emit('steady-arc:leave');
	rmSync(sign, { force: true });
	process.exit(0);
}
for (const signal of ['SIGINT', 'SIGTERM']) {
	process.on(signal, () => {
		server.close(leave);
		server.closeIdleConnections();
		setTimeout(leave, 2000).unref();
	});
}
