import type { UnitSystem } from '$lib/core';

export type Theme = 'bench-day' | 'hood-down';
const YEAR_S = 31_536_000;

/** Theme and units are per device: in cookies, so that the first paint is right. */
export function rememberTheme(theme: Theme): void {
	document.documentElement.dataset.theme = theme;
	document.cookie = `theme=${theme}; path=/; max-age=${YEAR_S}; samesite=lax`;
}
export function rememberUnits(units: UnitSystem): void {
	document.cookie = `units=${units}; path=/; max-age=${YEAR_S}; samesite=lax`;
}
/** Whoever ended or skipped the tour is not shown around again. */
export function rememberToured(): void {
	document.cookie = `toured=yes; path=/; max-age=${YEAR_S}; samesite=lax`;
}
/** Where the person left off. */
export function rememberPage(pathname: string): void {
	document.cookie = `left-off=${pathname}; path=/; max-age=${YEAR_S}; samesite=lax`;
}
