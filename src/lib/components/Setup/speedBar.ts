/** Where speeds stand on the bar: logarithmic from 1 to 250 mm/s, since sheet may ask for more than 200. */
import { px } from '$lib/components/Drawing/px';
import { GUIDED_MOST_MM_S, HAND_BAND_MM_S } from '$lib/core/speed/speed';
import { MM_PER_IN } from '$lib/core/quantity/units';
import type { Plan, UnitSystem } from '$lib/core';

export const BAR = { width: 640, left: 8, right: 580 };
const [LOW, HIGH] = [1, 250];

/** Marks of the bar: round in the unit of the device. */
export const speedTicksMmS = (units: UnitSystem): number[] =>
	units === 'metric'
		? [1, 2, 5, 10, 20, 50, 100, 200]
		: [5, 10, 20, 50, 100, 200, 500].map((inMin) => (inMin * MM_PER_IN) / 60);

/** Position on the bar; held at its ends. */
export function speedX(speedMmS: number): number {
	const held = Math.min(HIGH, Math.max(LOW, speedMmS));
	return px(BAR.left + (Math.log(held / LOW) / Math.log(HIGH / LOW)) * (BAR.right - BAR.left));
}

/** Beside the speed that is told over the bar: on the side where the bar has more room. */
export const noteAt = (atX: number): { x: number; 'text-anchor': 'start' | 'end' } =>
	atX < BAR.width / 2
		? { x: BAR.width, 'text-anchor': 'end' }
		: { x: BAR.left, 'text-anchor': 'start' };

export interface SpeedMarks {
	hand: [number, number];
	/** Past what a bare hand holds, as far as one along a guide follows. */
	guided: [number, number];
	window: [number, number] | null;
	band: [number, number] | null;
	atX: number | null;
	/** As fast as a hand goes, where the cut asks for more; null: it follows. */
	handX: number | null;
	fastestX: number | null;
}

export function speedMarks(plan: Plan): SpeedMarks {
	const f = plan.figures;
	const at = f['setup.speedMmS'].value;
	const x = (id: 'setup.lagLowMmS' | 'setup.lagHighMmS' | 'setup.fastestMmS') =>
		speedX(f[id].value ?? LOW);
	const band = f['setup.speedMmS'].band;
	const hand = f['setup.handMmS'].value;
	return {
		hand: [speedX(HAND_BAND_MM_S[0]), speedX(HAND_BAND_MM_S[1])],
		guided: [speedX(HAND_BAND_MM_S[1]), speedX(GUIDED_MOST_MM_S)],
		window: at === null ? null : [x('setup.lagLowMmS'), x('setup.lagHighMmS')],
		band: band ? [speedX(band[0]), speedX(band[1])] : null,
		atX: at === null ? null : speedX(at),
		handX: at !== null && hand !== null && hand < at ? speedX(hand) : null,
		fastestX: at === null ? null : x('setup.fastestMmS')
	};
}
