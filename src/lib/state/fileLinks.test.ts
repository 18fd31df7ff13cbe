import { afterEach, describe, expect, it, vi } from 'vitest';
import { fetchFile, toldOf } from './fileLinks';

const answer = (body: BodyInit, status = 200, headers: Record<string, string> = {}) =>
	vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { status, headers })));
const NAMED = {
	'content-disposition': `attachment; filename*=UTF-8''Pont%20d%C3%A9vers%C3%A9.json`
};
afterEach(() => vi.unstubAllGlobals());

describe('a link to a file', () => {
	it('is saved as the link calls it, else as the server does, whatever letters its name has', async () => {
		answer('a,b', 200, NAMED);
		expect(await fetchFile('/x', 'cards.csv')).toMatchObject({ name: 'cards.csv' });
		answer('a,b', 200, NAMED);
		const fetched = await fetchFile('/x', '');
		expect(fetched).toMatchObject({ name: 'Pont déversé.json' });
		expect('file' in fetched && (await fetched.file.text())).toBe('a,b');
		answer('a,b');
		expect(await fetchFile('/x', '')).toMatchObject({ name: 'steady-arc' });
	});

	it('says why there is none: in the words of the server, by its number, or that nobody answers', async () => {
		answer('{"code":"refused","message":"This list is gone.","fields":[]}', 404);
		expect(await fetchFile('/x', '')).toEqual({ problem: 'This list is gone.' });
		answer('<h1>Bad gateway</h1>', 502);
		expect(await fetchFile('/x', '')).toEqual({ problem: 'The server answered 502.' });
		vi.stubGlobal('fetch', () => Promise.reject(new TypeError('failed')));
		expect(await fetchFile('/x', '')).toEqual({ problem: 'The server does not answer.' });
	});

	it('that breaks off on its way is no file', async () => {
		const broken = new ReadableStream({
			start: (to) => to.error(new TypeError('network error'))
		});
		answer(broken);
		expect(await fetchFile('/x', '')).toEqual({ problem: 'The server does not answer.' });
		answer('a', 200, { 'content-disposition': ';;=' });
		expect(await fetchFile('/x', 'a.csv')).toMatchObject({ name: 'a.csv' });
	});

	it('is told as here only where it is, and with what it cannot hold', () => {
		const file = new Blob(['a']);
		expect(toldOf({ problem: 'The server does not answer.' }, 2)).toEqual({
			kind: 'problem',
			text: 'The server does not answer. No file was saved.'
		});
		expect(toldOf({ name: 'log.csv', file }, 0)).toEqual({
			kind: 'done',
			text: 'log.csv is here.'
		});
		expect(toldOf({ name: 'log.csv', file }, 1)?.text).toContain('One entry waits on this device');
		expect(toldOf({ name: 'log.csv', file }, 3)).toMatchObject({
			kind: 'kept',
			text: 'log.csv is here. 3 entries wait on this device still, and cannot be in it.'
		});
	});
});
