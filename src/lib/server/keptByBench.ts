import { LRUCache } from 'lru-cache';
import type { Store } from './store';

const BENCHES_MOST = 200;

/** Works something out for a bench of a store, and again only when what it rests on has moved. */
export function keptByBench<T>() {
	const known = new WeakMap<Store, LRUCache<string, { restsOn: string; made: T }>>();
	return (store: Store, benchId: string, restsOn: string, make: () => T): T => {
		let kept = known.get(store);
		if (!kept) known.set(store, (kept = new LRUCache({ max: BENCHES_MOST })));
		const before = kept.get(benchId);
		if (before?.restsOn === restsOn) return before.made;
		const made = make();
		kept.set(benchId, { restsOn, made });
		return made;
	};
}
