import * as v from 'valibot';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { forget, recall, recallText, remember } from './remembered';
import { NOMINAL_PX_PER_MM, screenScale } from './screenScale';
import { keptTicks, noTicks } from './ticks';
import { Practice } from './practice.svelte';

const stored = new Map<string, string>();
const storage = {
	getItem: (key: string) => stored.get(key) ?? null,
	setItem: (key: string, text: string) => void stored.set(key, text),
	removeItem: (key: string) => void stored.delete(key)
};
const full = {
	...storage,
	setItem: () => {
		throw new Error('QuotaExceededError');
	}
};
afterEach(() => {
	vi.unstubAllGlobals();
	stored.clear();
});
/** Storage that is closed to the page throws where its name is read. */
function closeStorage(): void {
	Object.defineProperty(globalThis, 'localStorage', {
		configurable: true,
		get: () => {
			throw new Error('SecurityError');
		}
	});
}

describe('what stays on this device', () => {
	it('is there again, until it is forgotten', () => {
		vi.stubGlobal('localStorage', storage);
		remember('a', { n: 3 });
		expect(recall('a', v.object({ n: v.number() }))).toEqual({ n: 3 });
		forget('a');
		expect(recall('a', v.object({ n: v.number() }))).toBeUndefined();
	});

	it('is read, never cast: what an earlier program or somebody else left there counts for nothing', () => {
		vi.stubGlobal('localStorage', storage);
		for (const text of ['', '{', 'null', '[]', '{"n":"3"}', '{"best":{"insideShare":7}}']) {
			for (const key of ['a', 'practice', 'px-per-mm', 'steady-arc-ticks b']) stored.set(key, text);
			expect(recall('a', v.object({ n: v.number() }))).toBeUndefined();
			expect(screenScale()).toEqual({ pxPerMm: NOMINAL_PX_PER_MM, matched: false });
			expect(keptTicks('b', '2026-11-28')).toEqual(noTicks('2026-11-28'));
			const practice = new Practice();
			practice.restore();
			expect(practice.best).toBeUndefined();
		}
		// A number, as it was written before.
		stored.set('px-per-mm', '4.2');
		expect(screenScale()).toEqual({ pxPerMm: 4.2, matched: true });
		stored.set('px-per-mm', '42');
		expect(screenScale().matched).toBe(false);
	});

	it('costs nothing but the memory where it is closed or full', () => {
		vi.stubGlobal('localStorage', full);
		expect(() => remember('a', 1)).not.toThrow();
		expect(recallText('a')).toBeUndefined();
		vi.unstubAllGlobals();
		closeStorage();
		try {
			expect(recallText('a')).toBeUndefined();
			expect(() => (remember('a', 1), forget('a'))).not.toThrow();
			expect(screenScale().matched).toBe(false);
		} finally {
			Reflect.deleteProperty(globalThis, 'localStorage');
		}
	});
});
