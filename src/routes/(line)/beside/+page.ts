import type { PageLoad } from './$types';

/** Each bench goes by its own chart. */
export const load: PageLoad = async ({ data }) => ({
	other: data.other && { ...data.other, chart: (await data.other.chart?.open()) ?? null }
});
