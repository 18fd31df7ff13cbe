/** A bench that is tried out before it is kept: planned and drawn like any other, with no log behind it. */
import {
	DEFAULT_CUT,
	DEFAULT_SETTINGS,
	NO_EVIDENCE,
	type Bench,
	type Cut,
	type UnitSystem
} from '$lib/core';
import './plansHere';
import { Workbench } from './workbench.svelte';

export function trialWorkbench(bench: Bench, units: UnitSystem, cut: Cut = DEFAULT_CUT): Workbench {
	return new Workbench({
		benchId: '',
		revision: 0,
		bench,
		benches: [],
		evidence: NO_EVIDENCE,
		settings: DEFAULT_SETTINGS,
		settingsRevision: 0,
		revisions: { bench: 0, parts: 0, log: 0, chart: 0, cards: 0, settings: 0, benches: 0 },
		partSet: null,
		log: [],
		measured: [],
		chart: null,
		chartName: '',
		cards: [],
		cut,
		work: bench.usual,
		units,
		spoken: null
	});
}
