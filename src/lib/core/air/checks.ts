import type { Cutter } from '../cutter/inputs';
import { PLENTY_SHARE, GAUGE_BAR } from './workings';
import type { AirView } from './workings';
import type { Check, Verdict } from '../figure/types';
import { shortAtS } from '../session/run';
import type { LINE_FIGURES } from './figures/line';

/** A question asked of a figure of this room. */
type Asked = Check<keyof typeof LINE_FIGURES>;

/** What makes a pressure in the window plenty, sure, tight or out of it. */
function inWindow(bar: number, { airMinBar, airMaxBar }: Cutter) {
	const plenty = PLENTY_SHARE * (airMaxBar - airMinBar);
	const low = bar - airMinBar;
	const high = airMaxBar - bar;
	const out = Math.min(low, high) < -GAUGE_BAR - 1e-9;
	// At the top only the gauge's own error counts: more is not better, nor is it worse before the end.
	const tight = low < GAUGE_BAR - 1e-9 || high < GAUGE_BAR - 1e-9;
	const margin = Math.min(1, low / plenty, Math.max(high, 0) / GAUGE_BAR);
	return { out, tight, margin: out ? Math.min(margin, -1e-6) : Math.max(0, margin), high };
}

/** Whether pressure reaches the inlet, and lasts. */
export function airChecks({ air, inputs }: AirView): Asked[] {
	const { air: bench, cutter } = inputs.bench;
	// The cutter's own compressor makes what it needs; of the shop's air nothing is asked.
	if (bench.source === 'built-in') return [];
	const set = inWindow(bench.setPointBar, cutter);
	const inletBar = air.inletLowBar ?? 0;
	const inlet = inWindow(inletBar, cutter);
	const runsOut = shortAtS(air.run);
	// Outside the window the machine does not run, however much air there is.
	const stopsAtS = set.out ? 0 : (runsOut ?? (inlet.out ? 0 : undefined));
	const emptied = bench.source === 'bottle' && stopsAtS !== undefined && stopsAtS > 0;
	const verdict: Verdict =
		stopsAtS !== undefined
			? 'stops'
			: air.line.flowWay === 'bound'
				? 'not set'
				: inlet.tight
					? 'tight'
					: 'holds';
	const word = set.out
		? set.high < 0
			? 'set too high'
			: 'set too low'
		: emptied
			? 'bottles empty'
			: verdict === 'not set'
				? 'measure the flow'
				: inlet.tight && inlet.high < GAUGE_BAR
					? 'at the top of the window'
					: 'air';
	return [
		{
			id: 'air.inletLowBar',
			station: 'supply',
			part: 'Air',
			verdict,
			margin: inlet.tight && verdict === 'tight' ? Math.min(inlet.margin, 0.09) : inlet.margin,
			spare: { value: Math.min(inletBar - cutter.airMinBar, inlet.high), quantity: 'pressure' },
			stopsAtS,
			word
		}
	];
}
