import { LAG_AIM_DEG, speedRatioFromLag } from '../speed/speed';
import type { PlanInputs } from '../inputs/planInputs';
import { workings } from '../plan/workings';
import { SPEED_READINGS_MOST } from '../speed/speed';
import { merged, readingsOf, type TestCut } from '../evidence/speedReadings';

/** What the card says once a test cut is taken, beside what it says now. Speeds in mm/s. */
export interface NextCut {
	beforeMmS: number | null;
	afterMmS: number | null;
	/** What a hand then holds: less, where it cannot follow. */
	handMmS: number | null;
	/** Seconds for the line now, and then. */
	beforeLineS: number | null;
	lineS: number | null;
	/** What this reading alone would ask; null: it tells only a bound, or nothing. */
	aloneMmS: number | null;
	/** How far the card goes towards that, as a share. */
	share: number | null;
}

/** The same inputs with one more test cut, as the log would add it. */
export function withTestCut(inputs: PlanInputs, cut: TestCut): PlanInputs {
	const nozzleA = cut.nozzleA ?? inputs.bench.torch.fittedA;
	const speed = merged([...readingsOf(cut, nozzleA), ...inputs.evidence.speed]);
	return {
		...inputs,
		evidence: { ...inputs.evidence, speed: speed.slice(0, SPEED_READINGS_MOST) }
	};
}

/** One correction: the speed that the card, the advice and the practice line will agree on. */
export function nextCut(inputs: PlanInputs, cut: TestCut): NextCut {
	const now = workings(inputs, { solveAmps: false }).cutting;
	const then = workings(withTestCut(inputs, cut), { solveAmps: false }).cutting;
	const [beforeMmS, afterMmS] = [now.speedMmS, then.speedMmS];
	const school = LAG_AIM_DEG[inputs.settings.sparks];
	const aloneMmS =
		cut.through && cut.lagDeg !== null && cut.judged !== 'other' && now.speedMmS !== null
			? (cut.speedMmS * speedRatioFromLag(school)) / speedRatioFromLag(cut.lagDeg)
			: null;
	const asked = aloneMmS !== null && beforeMmS !== null ? Math.log(aloneMmS / beforeMmS) : 0;
	const share =
		Math.abs(asked) > 0.02 && beforeMmS !== null && afterMmS !== null
			? Math.min(1, Math.max(0, Math.log(afterMmS / beforeMmS) / asked))
			: null;
	return {
		beforeMmS,
		afterMmS,
		handMmS: then.handMmS,
		beforeLineS: now.lineS,
		lineS: then.lineS,
		aloneMmS: share === null ? null : aloneMmS,
		share
	};
}
