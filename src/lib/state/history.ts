import { replaceState } from '$app/navigation';

/** Puts the planned cut into the address without a navigation. The one place that touches history. */
export function writeSearch(search: string): void {
	const target = `${location.pathname}?${search}`;
	if (target === location.pathname + location.search) return;
	replaceState(target, {});
}
