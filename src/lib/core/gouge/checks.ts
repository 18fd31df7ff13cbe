import type { Check } from '../figure/types';
import { verdictOf } from '../figure/verdict';
import type { GOUGE_FIGURES } from './figures';
import { widestWovenMm } from './bore';
import { HAND_GOUGE_MM_S, HAND_MARK_MM_S, HAND_TELLS_MM_S } from './removal';
import { isMark } from './targets';
import type { GougeView } from './workings';
import type { GougeRefusal } from './job';

/** A question asked of a figure of this room. */
type Asked = Check<keyof typeof GOUGE_FIGURES>;
const station = 'gouge' as const;

const WHY: Record<GougeRefusal, string> = {
	nozzle: 'no gouging nozzle',
	amps: 'amps and nozzle',
	angle: 'torch angle',
	plate: 'into the plate',
	deep: 'deeper than wide',
	small: 'nothing left to gouge',
	much: 'too much to gouge',
	hand: 'no hand can'
};

/** Whether it can be made, and what a hand, the plate and the supply say to it. */
export function gougeChecks({ inputs, gouging: g }: GougeView): Asked[] {
	if (!g.asked) return [];
	if (g.refused) {
		const open = g.refused === 'nozzle';
		return [
			{
				id: 'gouge.strings',
				station,
				part: 'Gouge',
				verdict: open ? 'not set' : 'stops',
				margin: open ? 0 : -1,
				spare: { value: 0, quantity: 'count' },
				...(open ? {} : { stopsAtS: 0 }),
				word: WHY[g.refused]
			}
		];
	}
	const checks: Asked[] = [];
	if (g.layout) {
		const speeds = g.layout.strings.map(({ speedMmS }) => speedMmS);
		const [slow, fast] = isMark(inputs.cut.gouge.target) ? HAND_MARK_MM_S : HAND_GOUGE_MM_S;
		const spare = Math.min(Math.min(...speeds) - slow, fast - Math.max(...speeds));
		const hurried = spare < -HAND_TELLS_MM_S;
		checks.push({
			id: 'gouge.speedMmS',
			station,
			part: 'Hand',
			verdict: hurried ? 'tight' : 'holds',
			margin: hurried ? 0 : Math.max(0, spare) / (fast - slow),
			spare: { value: spare, quantity: 'speed' },
			word: hurried ? 'fast for a hand' : 'gouge'
		});
	}
	if (g.widestMm !== null && g.nozzle) {
		const mostMm = widestWovenMm(g.nozzle.boreMm);
		const spare = mostMm - g.widestMm;
		checks.push({
			id: 'gouge.widestMm',
			station,
			part: 'Bore',
			verdict: spare < 0 ? 'tight' : 'holds',
			margin: Math.max(0, spare) / mostMm,
			spare: { value: spare, quantity: 'small' },
			word: spare < 0 ? 'wide for the bore' : 'bore'
		});
	}
	if (g.leftPlateMm !== null) {
		const spare = g.leftPlateMm - g.keepMm;
		// A string that comes as near as it may is still a string that stays out of it.
		const margin = Math.max(0, spare) / Math.max(g.plateMm, 1e-9);
		checks.push({
			id: 'gouge.leftMm',
			station,
			part: 'Plate',
			verdict: verdictOf(margin),
			margin,
			spare: { value: spare, quantity: 'small' },
			word: 'plate left'
		});
	}
	if (g.carries && g.carries.verdict !== 'not set') {
		const { part, verdict, margin, stopsAtS, word } = g.carries;
		checks.push({
			id: 'gouge.currentA',
			station,
			part,
			verdict,
			margin,
			spare: { value: margin, quantity: 'share' },
			...(stopsAtS === undefined ? {} : { stopsAtS }),
			word
		});
	}
	return checks;
}
