/**
 * Keeps rendered pages until something is written. A page is a pure function of its address, of theme,
 * units and last bench, and of what is stored, so a repeat may be sent as it is; every request that is not
 * a read empties the cache. Pages that tell the day are left out.
 */
import { gzipSync } from 'node:zlib';
import { LRUCache } from 'lru-cache';

/** All pages together, bytes. */
const BYTES_MOST = 16 * 1024 * 1024;
const KEPT = /^\/(supply|setup|cut|gouge|wear|bench)(\?|$)/;
/** Cookies that a page depends on. */
const SHOWN_BY = /(?:^|; )((?:theme|units|bench)=[^;]*)/g;

export class PageCache {
	#pages = new LRUCache({
		maxSize: BYTES_MOST,
		// As it is and packed, which is about a fifth.
		sizeCalculation: ({ body }) => Math.ceil(1.2 * body.length)
	});
	/** Counts the writes, so that a page rendered across one is not kept. */
	#generation = 0;

	/** Called for every request that may write; again when it is answered, for reads in between. */
	forget() {
		this.#generation++;
		this.#pages.clear();
	}

	/** Sends a kept page, or listens in on the answer to keep it. True: answered. */
	serve(request, response) {
		if (request.method !== 'GET' || !KEPT.test(request.url ?? '')) return false;
		const { headers } = request;
		const shown = [...(headers.cookie ?? '').matchAll(SHOWN_BY)].map(([, pair]) => pair).sort();
		const key = [request.url, headers.host, headers['x-steady-role'], ...shown].join('\n');
		const kept = this.#pages.get(key);
		if (!kept) {
			this.#listen(key, response);
			return false;
		}
		const tag = kept.headers.etag;
		if (tag && headers['if-none-match']?.includes(tag)) {
			response.writeHead(304, { etag: tag, vary: 'Accept-Encoding' });
			response.end();
			return true;
		}
		const gzip = /\bgzip\b/.test(headers['accept-encoding'] ?? '');
		// Packed when it is asked for again: most pages that are rendered anew never are.
		const body = gzip ? (kept.packed ??= gzipSync(kept.body)) : kept.body;
		response.writeHead(200, {
			...kept.headers,
			vary: 'Accept-Encoding',
			'content-length': body.length,
			...(gzip && { 'content-encoding': 'gzip' })
		});
		response.end(body);
		return true;
	}

	#listen(key, response) {
		const pages = this.#pages;
		const chunks = [];
		const { write, end } = response;
		const keep = (chunk) => {
			if (chunk && typeof chunk !== 'function') chunks.push(Buffer.from(chunk));
		};
		response.write = function (chunk, ...rest) {
			keep(chunk);
			return write.call(this, chunk, ...rest);
		};
		const before = this.#generation;
		const still = () => before === this.#generation;
		response.end = (chunk, ...rest) => {
			keep(chunk);
			const html = String(response.getHeader('content-type') ?? '').startsWith('text/html');
			// Before anything is sent: what compresses the answer changes its headers.
			const headers = plainHeaders(response.getHeaders());
			const kept = response.statusCode === 200 && html && still();
			const sent = end.call(response, chunk, ...rest);
			if (kept) {
				pages.set(key, { headers, body: Buffer.concat(chunks), packed: undefined });
			}
			return sent;
		};
	}
}

/** Headers of the page itself; a cookie belongs to the one who asked first. */
function plainHeaders(headers) {
	const own = { ...headers };
	for (const name of ['set-cookie', 'content-encoding', 'content-length', 'transfer-encoding']) {
		delete own[name];
	}
	return own;
}
