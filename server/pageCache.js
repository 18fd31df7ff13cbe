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
		sizeCalculation: ({ plain }) => Math.ceil(1.2 * plain.length)
	});
	/** Counts the writes, so that a page rendered across one is not kept. */
	#generation = 0;

	/** Called for every request that may write; again when it is answered, for reads in between. */
	forget() {
		this.#generation++;
		this.#pages.clear();
	}

	/** Sends a kept page, or holds the answer until it is whole, to keep it. True: answered. */
	serve(request, response) {
		if (request.method !== 'GET' || !KEPT.test(request.url ?? '')) return false;
		const { headers } = request;
		const shown = [...(headers.cookie ?? '').matchAll(SHOWN_BY)].map(([, pair]) => pair).sort();
		const key = [request.url, headers.host, headers['x-steady-role'], ...shown].join('\n');
		const packs = /\bgzip\b/.test(headers['accept-encoding'] ?? '');
		const kept = this.#pages.get(key);
		if (!kept) {
			this.#hold(key, response, packs);
			return false;
		}
		const tag = kept.headers.etag;
		if (tag && headers['if-none-match']?.includes(tag)) {
			response.writeHead(304, { etag: tag, vary: 'Accept-Encoding' });
			response.end();
			return true;
		}
		send(response, kept.headers, body(kept, packs));
		return true;
	}

	/** Whole pages are packed in one go, and kept packed. */
	#hold(key, response, packs) {
		const own = { writeHead: response.writeHead, write: response.write, end: response.end };
		const chunks = [];
		const keep = (chunk) => {
			if (chunk && typeof chunk !== 'function') chunks.push(Buffer.from(chunk));
		};
		response.writeHead = (status, headers = {}) => {
			response.statusCode = status;
			for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
			return response;
		};
		response.write = (chunk) => {
			keep(chunk);
			return true;
		};
		const before = this.#generation;
		response.end = (chunk) => {
			keep(chunk);
			Object.assign(response, own);
			const { statusCode } = response;
			const plain = Buffer.concat(chunks);
			const html = String(response.getHeader('content-type') ?? '').startsWith('text/html');
			if (statusCode !== 200 || !html) {
				response.writeHead(statusCode);
				return response.end(plain.length > 0 ? plain : undefined);
			}
			const page = { headers: plainHeaders(response.getHeaders()), plain, packed: undefined };
			if (before === this.#generation) this.#pages.set(key, page);
			return send(response, {}, body(page, packs));
		};
	}
}

/** What goes over the wire, and its own headers. */
function body(page, packs) {
	if (!packs) return { bytes: page.plain };
	return { bytes: (page.packed ??= gzipSync(page.plain)), encoding: 'gzip' };
}
function send(response, headers, { bytes, encoding }) {
	response.writeHead(200, {
		...headers,
		vary: 'Accept-Encoding',
		'content-length': bytes.length,
		...(encoding && { 'content-encoding': encoding })
	});
	return response.end(bytes);
}

/** Headers of the page itself; a cookie belongs to the one who asked first. */
function plainHeaders(headers) {
	const own = { ...headers };
	for (const name of ['set-cookie', 'content-encoding', 'content-length', 'transfer-encoding']) {
		delete own[name];
	}
	return own;
}
