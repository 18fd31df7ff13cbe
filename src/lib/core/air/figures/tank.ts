import { ofTheShop } from '../ownAir';
import { figuresFor } from '../../figure/define';

import { runShare, shortAtS, startsPerH } from '../../session/run';
import type { AirView } from '../workings';

const { several, single } = figuresFor<AirView>();

function bottleArcS(w: AirView): number | null {
	const { bottle } = w.inputs.bench.air;
	if (!bottle) return null;
	const { arcS, restS } = w.inputs.work;
	const airS = arcS + Math.min(w.inputs.bench.torch.postFlowS, restS);
	return ((60 * w.air.line.bottleFreeL) / w.air.line.flowLpm) * (arcS / airS);
}

/** What the tank does over the pattern. */
export const TANK_FIGURES = ofTheShop({
	'air.tankLowBar': several(
		(w) => w.air.run.lowestBar,
		(w) => (w.air.run.lowest.law.b === 0 ? 'straight' : 'running'),
		{ straight: 'M', running: 'M' }
	),
	'air.shortAtS': several(
		(w) => shortAtS(w.air.run) ?? null,
		(w) => {
			const short = w.air.run.shortFrom;
			if (!short) return 'never';
			if (short.durationS === 0) return 'atOnce';
			return short.law.b === 0 ? 'straight' : 'running';
		},
		{ never: 'M', atOnce: 'M', straight: 'M', running: 'M' }
	),
	'air.longestCutS': several(
		(w) => (Number.isFinite(w.air.line.longest.totalS) ? w.air.line.longest.totalS : null),
		(w) => {
			const { totalS, onS, last } = w.air.line.longest;
			if (!Number.isFinite(totalS)) return 'keepsUp';
			if (onS === 0) return 'off';
			return last.law.b === 0 ? 'bothSteady' : 'both';
		},
		{ off: 'M', bothSteady: 'M', both: 'M', keepsUp: 'M' }
	),
	'air.startsPerH': single((w) => startsPerH(w.air.run), 'M'),
	'air.bottleS': several(
		(w) => bottleArcS(w),
		(w) => (w.inputs.bench.air.bottle ? 'bottle' : 'none'),
		{ bottle: 'D', none: 'D' }
	),
	'air.runShare': single((w) => runShare(w.air.run), 'M')
});
