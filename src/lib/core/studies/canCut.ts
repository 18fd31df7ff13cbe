/** One question to a bench: does it make this cut, how, and what would change the answer least? */
import type { Verdict } from '../figure/types';
import { handPace } from '../cut/heat';
import { judge } from '../figure/verdict';
import type { PlanInputs } from '../inputs/planInputs';
import { plan } from '../plan/plan';
import type { Check } from '../plan/rooms';
import { CLEAN_AIMS } from '../speed/speed';
import { fixesFor, type Fix } from './fix/fixes';

export interface CanCut {
	verdict: Verdict;
	/** What decides it. */
	limit: Check;
	/** As the bench's own pages say; null: it does not part it. */
	outputA: number | null;
	speedMmS: number | null;
	lineS: number | null;
	/** Of this metal at these amps, mm. */
	cleanMm: number;
	severMm: number;
	/** A clean edge was asked for and does not come. */
	rough: boolean;
	/** Whether a hand holds the travel it asks for; null: it does not part it. */
	pace: 'slow' | 'fast' | 'held' | null;
	/** Smallest change of the supply that helps, when the supply decides; an electrician's last. */
	fix: Fix | null;
}

/** Longest pause that a work can have, s: the same cut once, and the machine rested before the next. */
const RESTED_S = 3600;

/** A single cut: no pattern heats cutter and breaker before it. */
export const once = (inputs: PlanInputs): PlanInputs => ({
	...inputs,
	work: { ...inputs.work, by: 'cut', restS: RESTED_S, cuts: 1, shift: null }
});

/** The answer of one bench; gouging and wear are not asked. */
export function canCut(inputs: PlanInputs): CanCut {
	const { figures, checks } = plan(inputs, { hashed: false });
	const asked = checks.filter(({ station }) => ['supply', 'setup', 'cut'].includes(station));
	const { verdict, firstLimit, weakestLink } = judge(asked);
	const limit = firstLimit ?? weakestLink ?? asked.find((c) => c.part === 'Thickness')!;
	const [cleanMm, severMm] = [figures['setup.cleanMm'].value!, figures['setup.severMm'].value!];
	const speedMmS = figures['setup.speedMmS'].value;
	const arcMm = figures['setup.arcMm'].value!;
	const parts = figures['setup.lineS'].value !== null;
	return {
		verdict,
		limit,
		outputA: parts ? figures['setup.currentA'].value : null,
		speedMmS,
		lineS: figures['setup.lineS'].value,
		cleanMm,
		severMm,
		pace: speedMmS === null ? null : handPace(speedMmS, inputs.cut.guide),
		rough: parts && CLEAN_AIMS.includes(inputs.cut.aim) && arcMm > cleanMm,
		fix: limit.station === 'supply' && verdict !== 'holds' ? (fixesFor(inputs)[0] ?? null) : null
	};
}

const RANK: Record<Verdict, number> = { holds: 0, tight: 1, 'not set': 2, stops: 3 };

/**
 * Best answer first: what holds, what comes out as asked, what a hand follows, what is done sooner; where no
 * hand follows, what is nearest to one.
 */
export function byAnswer(x: CanCut, y: CanCut): number {
	return (
		RANK[x.verdict] - RANK[y.verdict] ||
		Number(x.lineS === null) - Number(y.lineS === null) ||
		Number(x.rough) - Number(y.rough) ||
		Number(x.pace === 'fast') - Number(y.pace === 'fast') ||
		(x.pace === 'fast' ? x.speedMmS! - y.speedMmS! : (x.lineS ?? 0) - (y.lineS ?? 0))
	);
}
