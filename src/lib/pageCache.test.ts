import { describe, expect, it } from 'vitest';
import { PageCache } from '../../pageCache.js';

/** A response as the node server gives it, as far as the cache looks at it. */
function response(type = 'text/html') {
	const out: { head?: unknown; body: string } = { body: '' };
	const self = {
		out,
		statusCode: 200,
		getHeader: () => type,
		getHeaders: () => ({ 'content-type': type }),
		writeHead: (_: number, headers: unknown) => void (out.head = headers),
		write: (chunk: string) => void (out.body += chunk),
		end: (chunk?: string | Buffer) => void (out.body += chunk ? String(chunk) : '')
	};
	return self;
}
const request = (url: string, more: object = {}) => ({
	method: 'GET',
	url,
	headers: { cookie: '', host: 'h', ...more }
});

function render(cache: PageCache, url: string, body: string, more: object = {}) {
	const r = response();
	const served = cache.serve(request(url, more), r);
	if (!served) {
		r.write(body.slice(0, 2));
		r.end(body.slice(2));
	}
	return { served, body: r.out.body };
}

describe('kept pages', () => {
	it('are sent again as they were, by address and cookies', () => {
		const cache = new PageCache();
		expect(render(cache, '/setup?t=6', 'first').served).toBe(false);
		expect(render(cache, '/setup?t=6', 'second')).toEqual({ served: true, body: 'first' });
		expect(render(cache, '/setup?t=7', 'other').served).toBe(false);
		expect(render(cache, '/setup?t=6', 'dark', { cookie: 'theme=hood-down' }).served).toBe(false);
	});

	it('are forgotten at a write, and a page rendered across one is not kept', () => {
		const cache = new PageCache();
		render(cache, '/wear', 'before');
		cache.forget();
		expect(render(cache, '/wear', 'after').served).toBe(false);

		const slow = response();
		cache.serve(request('/supply'), slow);
		cache.forget();
		slow.end('rendered before the write');
		expect(render(cache, '/supply', 'fresh').served).toBe(false);
	});

	it('are never the card, the API, nor anything but a page', () => {
		const cache = new PageCache();
		for (const url of ['/card', '/api/log', '/']) {
			render(cache, url, 'x');
			expect(render(cache, url, 'y').served, url).toBe(false);
		}
		const data = response('application/json');
		cache.serve(request('/setup?x'), data);
		data.end('{}');
		expect(render(cache, '/setup?x', 'page').served).toBe(false);
	});

	it('are at most two hundred', () => {
		const cache = new PageCache();
		for (let i = 0; i < 250; i++) render(cache, `/setup?t=${i}`, String(i));
		expect(render(cache, '/setup?t=0', 'again').served).toBe(false);
		expect(render(cache, '/setup?t=249', 'again').served).toBe(true);
	});
});
