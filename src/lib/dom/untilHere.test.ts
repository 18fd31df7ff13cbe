import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { untilHere } from './untilHere';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

it('asks again until the server is back', async () => {
	let asked = 0;
	const load = () => (++asked < 4 ? Promise.reject(new Error('gone')) : Promise.resolve('here'));
	const found = untilHere(load, () => false);
	await vi.advanceTimersByTimeAsync(5_900);
	expect(asked).toBe(3);
	await vi.advanceTimersByTimeAsync(200);
	expect(await found).toBe('here');
	expect(asked).toBe(4);
});
it('asks no more once nobody wants it', async () => {
	let asked = 0;
	let left = false;
	const found = untilHere(
		() => (asked++, Promise.reject(new Error('gone'))),
		() => left
	);
	await vi.advanceTimersByTimeAsync(3_000);
	left = true;
	await vi.advanceTimersByTimeAsync(60_000);
	expect(await found).toBeUndefined();
	expect(asked).toBe(2);
});
