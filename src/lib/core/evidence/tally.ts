/** What entries took of the parts, in whole numbers: sums of them can be subtracted again without a rest. */
import { useOfStart } from '../wear/starts';
import { growthUm, MESH_PILOT_SHARE, nozzleLoad, type Use } from '../wear/electrode';
import type { Entry } from './entries';

/** A {@link Use} in milliseconds and counts. */
export interface Tally {
	starts: number;
	arcMs: number;
	/** Arc, each millisecond times the load on the nozzle. */
	loadMs: number;
	/** Pilot arc that cuts nothing. */
	pilotMs: number;
	piercesRolled: number;
	piercesStraight: number;
}
export const NO_TALLY: Tally = {
	starts: 0,
	arcMs: 0,
	loadMs: 0,
	pilotMs: 0,
	piercesRolled: 0,
	piercesStraight: 0
};
/** Changes whenever {@link tallyOf} or {@link growthNm} do: what is kept by an earlier one is made anew. */
export const TALLY_VERSION = 3;

export const NM_PER_UM = 1000;
const MS_PER_MIN = 60_000;

/** Load on the nozzle; entries from before it was told count as at its rating. */
const loadOf = ({ outputA, nozzleA }: { outputA: number; nozzleA?: number }) =>
	nozzleA === undefined ? 1 : nozzleLoad(outputA, nozzleA);

const ofStart = (start: Parameters<typeof useOfStart>[0], times = 1) => {
	const { piercesRolled, piercesStraight } = useOfStart(start);
	return {
		starts: times,
		piercesRolled: times * piercesRolled,
		piercesStraight: times * piercesStraight
	};
};

/** Use of the parts that an entry stands for. */
export function tallyOf(entry: Entry): Tally {
	if (entry.kind === 'test-cut' && entry.took) {
		const arcS = entry.took.lengthMm / entry.speedMmS;
		return {
			...NO_TALLY,
			...ofStart(entry.took.start),
			arcMs: Math.round(1000 * arcS),
			loadMs: Math.round(1000 * arcS * loadOf(entry))
		};
	}
	// A start that came to nothing: its arc was the pilot's.
	if (entry.kind === 'start') {
		const times = entry.times ?? 1;
		const pilotMs = Math.round(1000 * entry.arcS * times);
		return { ...NO_TALLY, ...ofStart(entry.start, times), pilotMs };
	}
	if (entry.kind === 'test-groove' || entry.kind === 'groove') {
		const [arcS, starts] =
			entry.kind === 'groove' ? [entry.arcS, entry.starts] : [entry.seconds, 1];
		return {
			...NO_TALLY,
			...ofStart('edge', starts),
			arcMs: Math.round(1000 * arcS),
			loadMs: Math.round(1000 * arcS * loadOf(entry))
		};
	}
	if (entry.kind !== 'cut') return NO_TALLY;
	return {
		...ofStart(entry.start, entry.starts),
		arcMs: Math.round(1000 * entry.arcS),
		loadMs: Math.round(1000 * entry.arcS * loadOf(entry)),
		pilotMs: entry.mesh ? Math.round(1000 * MESH_PILOT_SHARE * entry.arcS) : 0
	};
}

/** Made with the gouging nozzle, which wears by these alone. */
export const isGouging = ({ kind }: Pick<Entry, 'kind'>): boolean =>
	kind === 'groove' || kind === 'test-groove';

/** x + times·y. */
export function addTally(x: Tally, y: Tally, times = 1): Tally {
	return {
		starts: x.starts + times * y.starts,
		arcMs: x.arcMs + times * y.arcMs,
		loadMs: x.loadMs + times * y.loadMs,
		pilotMs: x.pilotMs + times * y.pilotMs,
		piercesRolled: x.piercesRolled + times * y.piercesRolled,
		piercesStraight: x.piercesStraight + times * y.piercesStraight
	};
}

export const useFromTally = (t: Tally): Use => ({
	starts: t.starts,
	arcMin: t.arcMs / MS_PER_MIN,
	loadMin: t.loadMs / MS_PER_MIN,
	pilotS: t.pilotMs / 1000,
	piercesRolled: t.piercesRolled,
	piercesStraight: t.piercesStraight
});

/** Growth by the starting rates, nm. */
export const growthNm = (t: Tally): number => Math.round(NM_PER_UM * growthUm(useFromTally(t)));

export const pitNm = (entry: Extract<Entry, { kind: 'pit' }>): number =>
	Math.round(NM_PER_UM * 1000 * entry.pitMm);

/** How far a bore had grown, nm; a gauge that reads under the new bore tells of none. */
export const boreGrowthNm = ({
	boreMm,
	acrossMm,
	newMm
}: Extract<Entry, { kind: 'bore' }>): number => {
	const wide = Math.max(boreMm, acrossMm ?? 0);
	return Math.max(0, Math.round(NM_PER_UM * 1000 * (wide - (newMm ?? wide))));
};
