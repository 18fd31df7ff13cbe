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

type Left = Pick<PartForecast, 'cutsLeft' | 'band' | 'lifeShare'>;

/** By how such parts lasted here. */
function leftByLives(
	{ middleUm, bandUm }: ReturnType<typeof livesLeft>,
	ageUm: number,
	cutAgeUm: number | null
): Left {
	return {
		cutsLeft: cutAgeUm && whole(middleUm / cutAgeUm),
		band: cutAgeUm ? [whole(bandUm[0] / cutAgeUm), whole(bandUm[1] / cutAgeUm)] : undefined,
		lifeShare: middleUm / (ageUm + middleUm)
	};
}
/** By how fast it grows, up to its limit. */
function leftByGrowth(
	part: Pick<PartForecast, 'limitUm' | 'lastUm' | 'sinceUm' | 'perCutUm'>,
	spreadOf: () => number
): Left {
	const { limitUm, lastUm, sinceUm, perCutUm } = part;
	const leftUm = Math.max(0, limitUm - lastUm - sinceUm);
	const lifeShare = leftUm / limitUm;
	if (!perCutUm) return { cutsLeft: perCutUm, band: undefined, lifeShare };
	const spread = spreadOf();
	const at = (times: number) => whole((limitUm - lastUm - times * sinceUm) / (perCutUm * times));
	return {
		cutsLeft: whole(leftUm / perCutUm),
		band: [at(Math.exp(EIGHT_IN_TEN * spread)), at(Math.exp(-EIGHT_IN_TEN * spread))],
		lifeShare
	};
}

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
	const perCutUm = cutUse && growthUm(cutUse, rates);
	const speaks: Speaks = record.last ? 'measured' : lives ? 'lives' : 'model';
	const ageUm = growthUm(record.total, starting);
	const cutAgeUm = cutUse && growthUm(cutUse, starting);
	const left =
		speaks === 'lives'
			? leftByLives(livesLeft(lives!, ageUm), ageUm, cutAgeUm)
			: leftByGrowth({ limitUm, lastUm, sinceUm, perCutUm }, () => growthSpread(fitted, cutUse!));
	return {
		fitted,
		lives,
		speaks,
		rates,
		limitUm,
		lastUm,
		sinceUm,
		nowUm: lastUm + sinceUm,
		ageUm,
		cutAgeUm,
		perCutUm,
		cutsLeft: left.cutsLeft,
		band: left.band,
		lifeShare: left.lifeShare
	};
}
