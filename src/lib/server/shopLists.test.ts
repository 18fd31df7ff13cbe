import { afterEach, describe, expect, it, vi } from 'vitest';
import { SHIPPED_FAULTS } from '$lib/core/faults/shipped';
import { shopFile } from './shopFile';
import { openStore, type Store } from './store';
import { ReusedError } from './writes';

const AT = '2026-11-27T08:00:00.000Z';
const gate = {
	id: 'own-gate',
	list: 'day' as const,
	ask: 'Gate key back',
	why: '',
	verdict: 'tight' as const
};
let store: Store;
const opened = () => (store = openStore(':memory:'));
afterEach(() => {
	store.db.close();
	vi.restoreAllMocks();
});

describe('lists that a shop writes', () => {
	it('are what comes with the program until somebody writes one, and over a known revision from then on', () => {
		const { checks } = opened().lists;
		expect(checks.get()).toEqual({ revision: 0, value: [] });
		expect(checks.save({ opId: 'own-op-001', revision: 0, value: [gate], at: AT })).toEqual({
			outcome: 'saved',
			stored: { revision: 1, value: [gate] }
		});
		// Two people at once: the second gets what stands, and nothing is lost.
		expect(checks.save({ opId: 'own-op-002', revision: 0, value: [], at: AT })).toEqual({
			outcome: 'stale',
			stored: { revision: 1, value: [gate] }
		});
		expect(checks.get().value).toEqual([gate]);
	});
	it('are written once, however often the same write comes, and one op is one list', () => {
		const { checks, faults } = opened().lists;
		const write = { opId: 'own-op-003', revision: 0, value: [gate], at: AT };
		checks.save(write);
		checks.save({ opId: 'own-op-004', revision: 1, value: [], at: AT });
		expect(checks.save(write)).toMatchObject({ outcome: 'saved', stored: { revision: 1 } });
		expect(checks.get()).toEqual({ revision: 2, value: [] });
		expect(() => faults.save({ opId: 'own-op-003', revision: 0, value: null, at: AT })).toThrow(
			ReusedError
		);
	});
	it('a damaged file of faults is told, and the shipped one stands in', () => {
		const { faults } = opened().lists;
		faults.save({ opId: 'flt-op-001', revision: 0, value: SHIPPED_FAULTS, at: AT });
		const told = vi.spyOn(console, 'error').mockImplementation(() => {});
		store.db.prepare('UPDATE shop_lists SET data = \'{"format":1}\'').run();
		expect(faults.get()).toEqual({ revision: 1, value: null });
		expect(told.mock.calls[0]![0]).toContain('The list of faults cannot be read');
		// And it can be mended by writing another over it.
		expect(faults.save({ opId: 'flt-op-002', revision: 1, value: null, at: AT }).outcome).toBe(
			'saved'
		);
	});
	it('leave the shop with everything else', async () => {
		opened().lists.checks.save({ opId: 'own-op-005', revision: 0, value: [gate], at: AT });
		const file = JSON.parse(await new Response(shopFile(store)).text()) as {
			checks: unknown;
			faults: unknown;
		};
		expect(file).toMatchObject({ checks: [gate], faults: null });
	});
});
