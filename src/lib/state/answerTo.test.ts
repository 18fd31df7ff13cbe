import { afterEach, describe, expect, it, vi } from 'vitest';
import { answerTo } from './answerTo';
import { CareView } from './care.svelte';
import { DrawerView } from './drawer.svelte';
import type { Workbench } from './workbench.svelte';

afterEach(() => vi.unstubAllGlobals());
const html = (status: number) => new Response('<h1>Sign in</h1>', { status });

describe('a question to the server', () => {
	it('has an answer only where the server itself gives one', async () => {
		const says = (said: () => Promise<Response>) => {
			vi.stubGlobal('fetch', said);
			return answerTo<{ n: number }>('/api/n');
		};
		expect(await says(() => Promise.resolve(Response.json({ n: 3 })))).toEqual({ n: 3 });
		expect(await says(() => Promise.resolve(html(200)))).toBeUndefined();
		expect(await says(() => Promise.resolve(html(502)))).toBeUndefined();
		expect(
			await says(() => Promise.resolve(Response.json({ n: 3 }, { status: 400 })))
		).toBeUndefined();
		expect(await says(() => Promise.reject(new TypeError('offline')))).toBeUndefined();
	});

	it.each([
		['what is due', CareView, (rows: string[]) => ({ care: rows }), 'care'],
		['the drawer', DrawerView, (rows: string[]) => ({ stock: rows }), 'rows']
	] as const)('%s: a late answer does not go over a later one', async (_, View, body, key) => {
		const asked: ((response: Response) => void)[] = [];
		vi.stubGlobal('fetch', () => new Promise<Response>((told) => asked.push(told)));
		const view = new View({ benchId: 'bay-2' } as Workbench) as CareView & DrawerView;
		const [first, second] = [view.ask(), view.ask()];
		asked[1]!(Response.json(body(['new'])));
		await second;
		asked[0]!(Response.json(body(['old'])));
		await first;
		expect(view[key]).toEqual(['new']);
		expect(view.problem).toBeUndefined();
		// What was known stays, and that it may be old is told.
		const third = view.ask();
		asked[2]!(html(200));
		await third;
		expect(view[key]).toEqual(['new']);
		expect(view.problem).toContain('The server does not answer');
	});
});
