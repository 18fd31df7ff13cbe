/**
 * Server entry: adapter-node's handler behind an allow-list of hosts, an origin check for writes on
 * plain http, and a body limit by route. STEADY_ARC_DATA names the data folder (default ./data),
 * HOST defaults to 127.0.0.1, PORT to 4173, ALLOW_HOSTS adds host names (comma-separated).
 */
import { createServer } from 'node:http';
import { existsSync } from 'node:fs';
import { setFlagsFromString } from 'node:v8';
import { PageCache } from './pageCache.js';

// A shop's server stands beside other things on a small machine: collect early rather than grow.
setFlagsFromString('--max-semi-space-size=4');
setFlagsFromString('--max-old-space-size=96');
setFlagsFromString('--optimize-for-size');

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4173);
// adapter-node assumes https behind a proxy unless it is told; the origin is checked right here.
process.env.PROTOCOL_HEADER ??= 'x-steady-protocol';
process.env.BODY_SIZE_LIMIT ??= '4M';

if (!existsSync(new URL('./build/handler.js', import.meta.url))) {
	console.error('There is no build yet: run `npm run build`, or `npm run demo`.');
	process.exit(1);
}
const { handler } = await import('./build/handler.js');

const hosts = new Set(
	['localhost', '127.0.0.1', '[::1]', host, ...(process.env.ALLOW_HOSTS ?? '').split(',')]
		.map((name) => name.trim())
		.filter(Boolean)
);
const KIB = 1024;
const BODY_LIMITS = [
	['/api/log', 16 * KIB],
	['/api/sets', 16 * KIB],
	// A chart of ten thousand rows.
	['/api/charts', 4096 * KIB],
	// Outlines of many thousand points.
	['/api/outlines', 8192 * KIB],
	['/api/template', 8192 * KIB],
	['/api/', 256 * KIB]
];

function refuse(response, status, code, message) {
	response.writeHead(status, { 'content-type': 'application/json', connection: 'close' });
	response.end(JSON.stringify({ code, message, fields: [] }));
}

const pages = new PageCache();

const server = createServer((request, response) => {
	const name = (request.headers.host ?? '').replace(/:\d+$/, '');
	if (!hosts.has(name)) {
		refuse(
			response,
			421,
			'refused',
			'This host name is not allowed; see ALLOW_HOSTS in the README.'
		);
		return;
	}
	const { origin } = request.headers;
	const reads = request.method === 'GET' || request.method === 'HEAD';
	if (!reads && origin !== undefined && origin !== `http://${request.headers.host}`) {
		refuse(response, 403, 'refused', 'Writes are only taken from this very site.');
		return;
	}
	const path = (request.url ?? '').split('?')[0];
	const limit = BODY_LIMITS.find(([prefix]) => path.startsWith(prefix))?.[1] ?? 64 * KIB;
	const length = Number(request.headers['content-length'] ?? 0);
	if (!reads && (length > limit || request.headers['transfer-encoding'] !== undefined)) {
		refuse(
			response,
			413,
			'too-large',
			`At most ${limit / KIB} KiB with a known length are taken here.`
		);
		return;
	}
	request.headers['x-steady-protocol'] = 'http';
	if (!reads) {
		pages.forget();
		response.on('finish', () => pages.forget());
	} else if (pages.serve(request, response)) {
		return;
	}
	handler(request, response);
});

server.listen(port, host, () => console.log(`Steady Arc answers on http://${host}:${port}`));

for (const signal of ['SIGINT', 'SIGTERM']) {
	process.on(signal, () => {
		server.close(() => process.exit(0));
		server.closeIdleConnections();
		setTimeout(() => process.exit(0), 2000).unref();
	});
}
