import { randomBytes } from 'node:crypto';
import { gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { PageCache } from '../../../server/pageCache.js';

/** A response as the node server gives it, as far as the cache looks at it. */
function response(type = 'text/html') {
	const out: { head?: unknown; status?: number; body: string; raw?: Buffer } = { body: '' };
	const self = {
		out,
		statusCode: 200,
		getHeader: () => type,
		setHeader: () => {},
		getHeaders: () => ({ 'content-type': type, etag: '"tag"', 'set-cookie': 'bench=1' }),
		writeHead: (status: number, headers: unknown) =>
			void Object.assign(out, { status, head: headers }),
		write: (chunk: string) => void (out.body += chunk),
		end: (chunk?: string | Buffer) => {
			if (Buffer.isBuffer(chunk)) out.raw = chunk;
			out.body += chunk ? String(chunk) : '';
		}
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

	it('take no more room than they are given, whatever their number', () => {
		const cache = new PageCache();
		const large = randomBytes(2 * 1024 * 1024).toString('latin1');
		for (let i = 0; i < 8; i++) render(cache, `/setup?t=${i}`, large);
		expect(render(cache, '/setup?t=0', 'again').served).toBe(false);
		expect(render(cache, '/setup?t=7', 'again').served).toBe(true);
	});

	it('go packed to whoever takes that, and not at all to whoever has them', () => {
		const cache = new PageCache();
		render(cache, '/setup', '<p>plain</p>');
		const ask = (headers: object) => {
			const r = response();
			cache.serve(request('/setup', headers), r);
			return { ...r.out, status: r.out.status };
		};
		expect(ask({})).toMatchObject({ status: 200, body: '<p>plain</p>' });
		const packed = ask({ 'accept-encoding': 'br, gzip' });
		expect(packed.head).toMatchObject({ 'content-encoding': 'gzip', vary: 'Accept-Encoding' });
		expect(gunzipSync(packed.raw!).toString()).toBe('<p>plain</p>');
		expect(ask({ 'if-none-match': 'W/"tag"' })).toMatchObject({ status: 304, body: '' });
		expect(ask({ 'if-none-match': '"other"' })).toMatchObject({ status: 200 });
	});

	it('go packed in one piece when they are rendered, too; anything else passes as it comes', () => {
		const cache = new PageCache();
		const rendered = (status: number, type: string, accepts: string) => {
			const r = response(type);
			cache.serve(request('/setup?first', { 'accept-encoding': accepts }), r);
			r.writeHead(status, {});
			r.write('<p>in</p>');
			r.end('<p>two</p>');
			cache.forget();
			return r.out;
		};
		const packed = rendered(200, 'text/html', 'gzip, deflate');
		expect(gunzipSync(packed.raw!).toString()).toBe('<p>in</p><p>two</p>');
		expect(packed.head).toMatchObject({
			'content-encoding': 'gzip',
			'content-length': packed.raw!.length,
			vary: 'Accept-Encoding'
		});
		const plain = rendered(200, 'text/html', 'identity');
		expect(plain).toMatchObject({ status: 200, body: '<p>in</p><p>two</p>' });
		expect(plain.head).not.toHaveProperty('content-encoding');
		expect(rendered(404, 'text/html', 'gzip')).toMatchObject({
			status: 404,
			body: '<p>in</p><p>two</p>',
			head: undefined
		});
		// A redirect has nothing to say.
		const none = response('');
		cache.serve(request('/setup?gone', { 'accept-encoding': 'gzip' }), none);
		none.writeHead(303, { location: '/start' });
		none.end();
		expect(none.out).toMatchObject({ status: 303, body: '' });
	});

	it('are for the eyes they were made for, and set nobody else’s cookie', () => {
		const cache = new PageCache();
		render(cache, '/bench', 'full', { 'x-steady-role': 'full' });
		expect(render(cache, '/bench', 'look', { 'x-steady-role': 'look' }).served).toBe(false);
		expect(
			render(cache, '/bench', '', { 'x-steady-role': 'full', cookie: 'left-off=/cut' })
		).toEqual({ served: true, body: 'full' });
		const r = response();
		cache.serve(request('/bench', { 'x-steady-role': 'full' }), r);
		expect(r.out.head).not.toHaveProperty('set-cookie');
	});
});
