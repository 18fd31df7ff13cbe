/** Of all that is typical and not yet checked: what would move the card most, so that it is checked first. */
import type { PlanInputs } from '../inputs/planInputs';
import { rankOf } from '../figure/verdict';
import type { Verdict } from '../figure/types';
import { plan } from '../plan/plan';
import { plateInput } from '../cutter/plate';
import type { Bench } from '../inputs/bench';
import type { FigureId } from '../plan/names';
import type { Check } from '../plan/rooms';
import type { Plan } from '../plan/types';
import { QUESTION_IDS } from '../answers/questions';
import { isAnswered, plausibleBenches } from '../answers/answered';
import type { QuestionId } from '../answers/shapes';

/** The card at one end of what is likely, and at the other. */
export interface Moves {
	id: QuestionId;
	/** The benches at the two ends, the verdicts there, and what decides each; null: nothing is short. */
	benches: [Bench, Bench];
	verdicts: [Verdict, Verdict];
	limits: [Check | null, Check | null];
	/** The figure that moves most, and its two values; null: a verdict alone, or nothing. */
	figure: { id: FigureId; values: [number | null, number | null] } | null;
	/** How much it moves: a rank of the verdict counts 1, a figure by its share of itself. */
	size: number;
}

/** What a person reads from the card, and what decides whether it can be made. */
const READ: readonly FigureId[] = [
	'setup.currentA',
	'setup.speedMmS',
	'supply.runsOnA',
	'supply.voltageV',
	'setup.airBar',
	'setup.severMm'
];

/** Below this share nobody would notice. */
const LEAST_SHARE = 0.02;

function share(x: number | null, y: number | null): number {
	if (x === null || y === null) return x === y ? 0 : 1;
	const larger = Math.max(Math.abs(x), Math.abs(y));
	return larger === 0 ? 0 : Math.abs(x - y) / larger;
}

/** A bench that breaks its own rules tells nothing; such an end of the span is left out. */
const stands = (bench: PlanInputs['bench']): boolean =>
	plateInput(bench) !== undefined && bench.cutter.severMm > bench.cutter.cleanMm;

const limitOf = ({ firstLimit, weakestLink }: Plan) => firstLimit ?? weakestLink;

function movesOf(inputs: PlanInputs, now: Plan, id: QuestionId): Moves {
	const benches = plausibleBenches(inputs.bench, id);
	const [low, high] = benches.map((bench) =>
		stands(bench) ? plan({ ...inputs, bench }, { hashed: false }) : now
	) as [Plan, Plan];
	const moved = READ.map((figure) => ({
		id: figure,
		values: [low.figures[figure].value, high.figures[figure].value] as [
			number | null,
			number | null
		]
	})).map((figure) => ({ ...figure, share: share(...figure.values) }));
	const most = moved.reduce((x, y) => (y.share > x.share ? y : x));
	const verdicts: [Verdict, Verdict] = [low.verdict, high.verdict];
	return {
		id,
		benches,
		verdicts,
		limits: [limitOf(low), limitOf(high)],
		figure: most.share > LEAST_SHARE ? { id: most.id, values: most.values } : null,
		size: Math.abs(rankOf(low.verdict) - rankOf(high.verdict)) + most.share
	};
}

/** Questions of this bench that nobody has answered, what moves the card most first. */
export function checkFirst(inputs: PlanInputs): Moves[] {
	const now = plan(inputs, { hashed: false });
	return QUESTION_IDS.filter((id) => !isAnswered(inputs.bench, id))
		.map((id) => movesOf(inputs, now, id))
		.sort((x, y) => y.size - x.size);
}
