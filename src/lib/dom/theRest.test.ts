import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';

let page: EventTarget;
/** Who waits for an idle moment. */
let idle: (() => void)[];
beforeEach(() => {
	vi.resetModules();
	vi.useFakeTimers();
	idle = [];
	page = new EventTarget();
	const requestIdleCallback = (come: () => void) => idle.push(come);
	vi.stubGlobal('window', Object.assign(page, { requestIdleCallback }));
	vi.stubGlobal('requestIdleCallback', requestIdleCallback);
});
afterEach(() => {
	vi.unstubAllGlobals();
	vi.useRealTimers();
});

async function threeWait() {
	const { theRest } = await import('./theRest');
	const come: number[] = [];
	for (const one of [1, 2, 3]) void theRest().then(() => come.push(one));
	return come;
}

it('what is not on the first screen comes once a hand moves, one thing in each idle moment', async () => {
	const come = await threeWait();
	await vi.advanceTimersByTimeAsync(500);
	expect(idle).toHaveLength(0);
	page.dispatchEvent(new Event('pointermove'));
	await vi.advanceTimersByTimeAsync(0);
	expect(come).toEqual([]);
	for (const there of [[1], [1, 2], [1, 2, 3]]) {
		expect(idle).toHaveLength(1);
		idle.pop()!();
		await vi.advanceTimersByTimeAsync(0);
		expect(come).toEqual(there);
	}
});

it('it comes without a hand too, after a while, and where the browser does not tell when it is idle', async () => {
	delete (page as { requestIdleCallback?: unknown }).requestIdleCallback;
	const come = await threeWait();
	await vi.advanceTimersByTimeAsync(3100);
	expect(come).toEqual([1, 2, 3]);
});

it('no style asks the whole page with every row that comes or goes', () => {
	const files = readdirSync('src', { recursive: true, encoding: 'utf8' });
	const styled = files.filter((file) => /\.(svelte|css)$/.test(file));
	expect(styled.length).toBeGreaterThan(100);
	const asking = styled.filter((file) =>
		/(body|html|:root)\S*:has\(/.test(readFileSync(join('src', file), 'utf8'))
	);
	expect(asking).toEqual([]);
});
