import type { Bench } from '$lib/core';

const names = ({ supply }: Bench): string[] => [
	supply.circuit,
	...supply.elsewhere.map((circuit) => circuit.name)
];

/** A circuit that is given another name keeps the loads that are on it. */
export function loadsFollow(before: Bench, after: Bench): Bench {
	const [old, now] = [names(before), names(after)];
	if (old.length !== now.length) return after;
	const renamed = old.findIndex((name, i) => name !== now[i]);
	if (renamed < 0) return after;
	const loads = after.supply.loads.map((load) =>
		load.on === old[renamed] ? { ...load, on: now[renamed]! } : load
	);
	return { ...after, supply: { ...after.supply, loads } };
}
