import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { newOpId } from './ids';
import { getPath, setPath } from './path';
import { stepsOfKey, VerticalHandle } from './handle.svelte';

const kept = new Map<string, unknown>();
vi.mock('idb-keyval', () => ({
	createStore: () => 'store',
	set: (key: string, value: unknown) => Promise.resolve(kept.set(key, value)),
	del: (key: string) => Promise.resolve(kept.delete(key)),
	entries: () => Promise.resolve([...kept.entries()])
}));
const { flush, send } = await import('./outbox');

const write = (opId: string) => ({ method: 'POST' as const, path: '/api/log', body: { opId } });
let online = true;
let status = 200;
const seen: string[] = [];

beforeEach(() => {
	kept.clear();
	seen.length = 0;
	online = true;
	status = 200;
	vi.stubGlobal('fetch', (_: string, init: { body: string }) => {
		if (!online) return Promise.reject(new TypeError('offline'));
		seen.push((JSON.parse(init.body) as { opId: string }).opId);
		return Promise.resolve(new Response(JSON.stringify({ message: 'told' }), { status }));
	});
});
afterEach(() => vi.unstubAllGlobals());

describe('the outbox', () => {
	it('sends at once when the server answers, and keeps nothing', async () => {
		expect(await send(write('op-1'))).toEqual({ outcome: 'done', data: { message: 'told' } });
		expect(kept.size).toBe(0);
	});

	it('keeps what nobody answered and sends it in order, once', async () => {
		online = false;
		expect(await send(write('op-1'))).toEqual({ outcome: 'waiting' });
		await new Promise((resolve) => setTimeout(resolve, 2));
		await send(write('op-2'));
		expect(await flush()).toEqual({ sent: 0, waiting: 2, refused: [] });
		online = true;
		expect(await flush()).toEqual({ sent: 2, waiting: 0, refused: [] });
		expect(seen).toEqual(['op-1', 'op-2']);
		expect(await flush()).toEqual({ sent: 0, waiting: 0, refused: [] });
	});

	it('keeps a write that met a fault of the server', async () => {
		status = 500;
		expect((await send(write('op-1'))).outcome).toBe('waiting');
		expect(kept.size).toBe(1);
	});

	it('takes a refused write off the device and tells it', async () => {
		online = false;
		await send(write('op-1'));
		online = true;
		status = 400;
		const { refused } = await flush();
		expect(refused).toEqual([{ message: 'told' }]);
		expect(kept.size).toBe(0);
	});
});

describe('paths', () => {
	const bench = {
		supply: { cord: { lengthM: 10 }, wire: { lengthM: 18 } },
		nozzles: [{ a: 1 }, { a: 2 }]
	};

	it('read and set deep values without touching the original', () => {
		const changed = setPath(bench, 'supply.cord.lengthM', 20);
		expect(getPath(changed, 'supply.cord.lengthM')).toBe(20);
		expect(bench.supply.cord.lengthM).toBe(10);
		expect(changed.supply.wire).toBe(bench.supply.wire);
	});

	it('go through arrays and to what is not there', () => {
		const changed = setPath(bench, 'nozzles.1.a', 9);
		expect(changed.nozzles).toEqual([{ a: 1 }, { a: 9 }]);
		expect(Array.isArray(changed.nozzles)).toBe(true);
		expect(getPath({ cord: null }, 'cord.lengthM')).toBeUndefined();
	});
});

describe('ids of gestures', () => {
	it('are what the API takes, and never the same', () => {
		const ids = Array.from({ length: 500 }, newOpId);
		expect(new Set(ids).size).toBe(500);
		for (const id of ids) expect(id).toMatch(/^[A-Za-z0-9_-]{8,64}$/);
	});
});

describe('a handle on a drawing', () => {
	const told: string[] = [];
	const svg = {
		getBoundingClientRect: () => ({ top: 100, height: 200 }),
		setPointerCapture: () => undefined
	} as unknown as SVGSVGElement;
	const handle = new VerticalHandle({
		svg: () => svg,
		viewHeight: 400,
		began: () => told.push('began'),
		moved: (y) => told.push(String(y)),
		ended: () => told.push('ended')
	});
	const pointer = (clientY: number) =>
		({ clientY, pointerId: 1, preventDefault() {}, currentTarget: { focus() {} } }) as never;

	it('tells heights in the drawing’s own units, between grip and release only', () => {
		handle.move(pointer(150));
		handle.grip(pointer(120));
		handle.move(pointer(150));
		handle.move(pointer(300));
		handle.release();
		handle.move(pointer(150));
		handle.release();
		expect(told).toEqual(['began', '100', '400', 'ended']);
	});

	it('steps by keys as a slider does', () => {
		const key = (name: string) => stepsOfKey({ key: name, preventDefault() {} } as KeyboardEvent);
		expect(['ArrowDown', 'ArrowUp', 'PageDown', 'a'].map(key)).toEqual([1, -1, 4, undefined]);
	});
});
