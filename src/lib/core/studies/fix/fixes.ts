import type { PlanInputs } from '../../inputs/planInputs';
import { rankOf } from '../../figure/verdict';
import type { Check, Verdict } from '../../figure/types';
import { airCandidates } from './air';
import { applied, EFFORTS, type Asked, type Candidate, type Change } from './change';
import { electricCandidates } from './electric';
import { outcomeOf, worseElsewhere, type Outcome } from './judgeOf';

/** A change that helps, planned for real. */
export interface Fix extends Candidate {
	/** What Supply then says, and the check that says it. */
	verdict: Verdict;
	limit: Check;
}

/** Change of the margin below which nobody would bother. */
const WORTH_MARGIN = 0.02;
/** One step of effort weighs as much as this share of a step of verdict [own]. */
const EFFORT_WEIGHT = 0.22;

/** How much better: a step for each verdict, a part of one for a later stop or a wider margin. */
function gain(before: Outcome, after: Outcome): number {
	const steps = rankOf(before.supply.verdict) - rankOf(after.supply.verdict);
	if (steps !== 0) return steps + Math.max(0, Math.min(0.2, after.supply.margin / 5));
	if (before.supply.verdict === 'stops') {
		const [from, to] = [before.supply.stopsAtS ?? 0, after.supply.stopsAtS ?? 0];
		if (to <= from * 1.1 + 5) return 0;
		return Math.min(0.6, 0.2 * Math.log2((to + 60) / (from + 60)));
	}
	// Tight by the same thing as before is no answer to who asks what would fix it.
	if (after.supply.word === before.supply.word) return 0;
	const wider = after.supply.margin - before.supply.margin;
	return wider > WORTH_MARGIN ? Math.min(0.5, wider) : 0;
}

/** Two values of one name in a pair are told apart by a mark. */
function renamed(fix: Fix): Pick<Fix, 'text' | 'values'> {
	return {
		text: fix.text.replace(/\{(\w+)\}/g, '{$1_2}'),
		values: Object.fromEntries(
			Object.entries(fix.values).map(([name, value]) => [`${name}_2`, value])
		)
	};
}

/** Where no single change lets it run: the best one, and what then does. */
function inPairs(inputs: PlanInputs, fixes: readonly Fix[]): Fix[] {
	const own = fixes.filter(({ effort }) => effort !== 'an electrician');
	return own.slice(0, 2).flatMap((first) =>
		fixesFor(applied(inputs, first.change), { pairs: false })
			.filter(({ verdict, effort }) => verdict !== 'stops' && effort !== 'an electrician')
			.slice(0, 2)
			.map((second) => {
				const then = renamed(second);
				const lower = then.text.replace(/^[A-Z]/, (c) => c.toLowerCase());
				return {
					...second,
					id: `${first.id}+${second.id}`,
					effort:
						EFFORTS.indexOf(first.effort) > EFFORTS.indexOf(second.effort)
							? first.effort
							: second.effort,
					text: `${first.text}; and ${lower}`,
					values: { ...first.values, ...then.values },
					change: together(first.change, second.change)
				};
			})
	);
}

/** The second was planned on top of the first, so its bench holds both. */
function together(first: Change, second: Change): Change {
	return {
		bench: second.bench ?? first.bench,
		cut: { ...first.cut, ...second.cut },
		work: { ...first.work, ...second.work }
	};
}

/**
 * What would fix it: every change planned for real, those that help ranked by what they buy against
 * what they take, the electrician last. Nothing where Supply holds.
 */
export function fixesFor(inputs: PlanInputs, { pairs = true } = {}): Fix[] {
	const before = outcomeOf(inputs);
	if (before.supply.verdict === 'holds') return [];
	const known = new Map<Change, Outcome>();
	const after = (change: Change): Outcome => {
		let outcome = known.get(change);
		if (!outcome) known.set(change, (outcome = outcomeOf(applied(inputs, change))));
		return outcome;
	};
	const asked: Asked = {
		before: before.supply.verdict,
		outputA: before.outputA,
		verdict: (change) => after(change).supply.verdict,
		startsPerH: (change) => after(change).startsPerH
	};
	const candidates = [...electricCandidates(inputs, asked), ...airCandidates(inputs, asked)].filter(
		({ against }) => !against || against.includes(before.supply.part)
	);
	const fixes = candidates
		.map((candidate) => ({ candidate, outcome: after(candidate.change) }))
		.map(({ candidate, outcome }) => ({
			candidate,
			outcome,
			buys: worseElsewhere(before, outcome) ? 0 : gain(before, outcome)
		}))
		.filter(({ buys }) => buys > 0)
		.map(({ candidate, outcome, buys }) => ({
			fix: { ...candidate, verdict: outcome.supply.verdict, limit: outcome.supply },
			last: candidate.effort === 'an electrician',
			score: buys - EFFORT_WEIGHT * EFFORTS.indexOf(candidate.effort)
		}))
		.sort((x, y) => Number(x.last) - Number(y.last) || y.score - x.score)
		.map(({ fix }) => fix);
	return pairs && fixes.every((fix) => fix.verdict === 'stops')
		? [...inPairs(inputs, fixes), ...fixes]
		: fixes;
}
