/**
 * Keeps rendered pages until something is written. A page is a pure function of its address, its
 * cookies and what is stored, so a repeat may be sent as it is; every request that is not a read
 * empties the cache. Pages that tell the day are left out.
 */
const PAGES_KEPT = 200;
const KEPT = /^\/(supply|setup|cut|gouge|wear|bench)(\?|$)/;

export class PageCache {
	#pages = new Map();
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
		const key = `${request.url}\n${request.headers.cookie ?? ''}\n${request.headers.host ?? ''}`;
		const kept = this.#pages.get(key);
		if (kept) {
			response.writeHead(200, kept.headers);
			response.end(kept.body);
			return true;
		}
		this.#listen(key, response);
		return false;
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
		response.end = (chunk, ...rest) => {
			keep(chunk);
			const html = String(response.getHeader('content-type') ?? '').startsWith('text/html');
			if (response.statusCode === 200 && html && before === this.#generation) {
				if (pages.size >= PAGES_KEPT) pages.delete(pages.keys().next().value);
				pages.set(key, { headers: response.getHeaders(), body: Buffer.concat(chunks) });
			}
			return end.call(response, chunk, ...rest);
		};
	}
}
