/** How far a part has worn, and how many of the planned cuts it still makes. */
import { EIGHT_IN_TEN } from '../solve/normal';
import type { FittedWeibull } from '../solve/weibull';
import { growthUm, scaledRates, type Rates, type Use } from './electrode';
import { livesFit, livesLeft, type PartLife } from './lives';
import { fitRates, growthSpread, type FittedRates, type MeasuredGrowth } from './rates';

/** What is known of one part of the torch. */
export interface PartRecord {
	/** Its use since it was new. */
	total: Use;
	/** Its last measurement and the use since; null: never measured. */
	last: { grownUm: number; useSince: Use } | null;
	/** Of this part and those before it. */
	measured: readonly MeasuredGrowth[];
	lives: readonly PartLife[];
}

/** Who speaks: its own measurement, how such parts lasted here, or the starting rates. One at a time. */
export type Speaks = 'measured' | 'lives' | 'model';

export interface PartForecast {
	fitted: FittedRates;
	lives: FittedWeibull | undefined;
	speaks: Speaks;
	/** Of this shop, with the water in its air. */
	rates: Rates;
	limitUm: number;
	lastUm: number;
	sinceUm: number;
	nowUm: number;
	/** Age and one such cut by the starting rates, which lives are counted in. */
	ageUm: number;
	cutAgeUm: number | null;
	/** null: such a cut cannot be made. */
	perCutUm: number | null;
	cutsLeft: number | null;
	band: [number, number] | undefined;
	/** Share of the whole life that is left. */
	lifeShare: number;
}

interface Learnt {
	fitted: FittedRates;
	lives: FittedWeibull | undefined;
}
/** Worked out once for what was measured, not at every frame: the records themselves never change. */
const learntOf = new WeakMap<readonly MeasuredGrowth[], Learnt & { lived: readonly PartLife[] }>();
function learn(record: PartRecord, starting: Rates, gaugeUm: number): Learnt {
	const known = learntOf.get(record.measured);
	if (known?.lived === record.lives && known.fitted.starting === starting) return known;
	const learnt = {
		fitted: fitRates(record.measured, starting, gaugeUm),
		lives: livesFit(record.lives),
		lived: record.lives
	};
	learntOf.set(record.measured, learnt);
	return learnt;
}

const whole = (cuts: number) => Math.floor(Math.max(0, cuts) + 1e-9);

/** Forecast of a part that is changed at `limitUm`. */
export function partForecast(
	record: PartRecord,
	of: {
		starting: Rates;
		gaugeUm: number;
		limitUm: number;
		/** Wet air wears faster; parts measured here grew in this air already. */
		airFactor: number;
		cutUse: Use | null;
	}
): PartForecast {
	const { limitUm, cutUse, starting } = of;
	const { fitted, lives } = learn(record, starting, of.gaugeUm);
	const air = fitted.from > 0 ? 1 : of.airFactor;
	const rates = air === 1 ? fitted.rates : scaledRates(fitted.rates, air);
	const lastUm = record.last?.grownUm ?? 0;
	const sinceUm = growthUm(record.last?.useSince ?? record.total, rates);
	const nowUm = lastUm + sinceUm;
	const perCutUm = cutUse && growthUm(cutUse, rates);
	const speaks: Speaks = record.last ? 'measured' : lives ? 'lives' : 'model';
	const ageUm = growthUm(record.total, starting);
	const cutAgeUm = cutUse && growthUm(cutUse, starting);
	const base = { fitted, lives, speaks, rates, limitUm, lastUm, sinceUm, nowUm, ageUm, cutAgeUm };
	if (speaks === 'lives') {
		const { middleUm, bandUm } = livesLeft(lives!, ageUm);
		return {
			...base,
			perCutUm,
			cutsLeft: cutAgeUm && whole(middleUm / cutAgeUm),
			band: cutAgeUm ? [whole(bandUm[0] / cutAgeUm), whole(bandUm[1] / cutAgeUm)] : undefined,
			lifeShare: middleUm / (ageUm + middleUm)
		};
	}
	const leftUm = Math.max(0, limitUm - nowUm);
	const spread = cutUse ? growthSpread(fitted, cutUse) : 0;
	const at = (times: number) => whole((limitUm - lastUm - times * sinceUm) / (perCutUm! * times));
	return {
		...base,
		perCutUm,
		cutsLeft: perCutUm && whole(leftUm / perCutUm),
		band: perCutUm
			? [at(Math.exp(EIGHT_IN_TEN * spread)), at(Math.exp(-EIGHT_IN_TEN * spread))]
			: undefined,
		lifeShare: leftUm / limitUm
	};
}
