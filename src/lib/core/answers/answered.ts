/** The bench that answers make. */
import * as v from 'valibot';
import type { Bench } from '../inputs/bench';
import { getPath, setPath } from '../inputs/path';
import { asTypical, checked, isTypical } from '../inputs/typical';
import { ANSWERS, type Answer, type QuestionId } from './shapes';
import { QUESTION_IDS, questionOf, QUESTIONS, type Question } from './questions';

/** What a person answered, or that it is not known; a question that is not there is to come. */
export type Answers = { [Id in QuestionId]?: { known: Answer<Id> } | 'unknown' };

export const AnswersSchema = v.object(
	Object.fromEntries(
		QUESTION_IDS.map((id) => [
			id,
			v.optional(v.union([v.literal('unknown'), v.object({ known: ANSWERS[id] })]))
		])
	)
) as unknown as v.GenericSchema<unknown, Answers>;

/** A question is answered when its first field is no longer typical. */
export function isAnswered(bench: Bench, id: QuestionId): boolean {
	const question = questionOf(id);
	return !isTypical(bench.typical, question.fields(bench, question.read(bench))[0]!);
}

/** What the bench says to a question. */
export const answerOf = <Id extends QuestionId>(bench: Bench, id: Id): Answer<Id> =>
	QUESTIONS[id].read(bench);
export const typicalAnswer = <Id extends QuestionId>(bench: Bench, id: Id): Answer<Id> =>
	QUESTIONS[id].typical(bench);

/** Writes an answer; what it does not tell, and somebody had checked before, stays as it was. */
function written(bench: Bench, question: Question<unknown>, answer: unknown, told: boolean): Bench {
	const next = question.write(bench, answer);
	const own = told ? question.fields(next, answer) : [];
	const kept = question
		.fields(next, question.read(next))
		.filter((field) => !own.includes(field) && !isTypical(bench.typical, field))
		.reduce((b, field) => setPath(b, field, getPath(bench, field)), next);
	return own.reduce(checked, kept);
}

/**
 * The bench that these answers make, over the one that was there: what is answered is written and checked,
 * what nobody knows follows from what is known and stays typical. What was checked before and is not
 * answered anew stands. The result may break the bench's own rules (severs less than clean): whoever keeps it
 * asks its schema.
 */
export function answered(base: Bench, answers: Answers): Bench {
	return QUESTION_IDS.reduce((bench, id) => {
		const question = questionOf(id);
		const answer = answers[id] as { known: unknown } | 'unknown' | undefined;
		if (answer === undefined) {
			if (isAnswered(bench, id)) return bench;
			return written(bench, question, question.typical(bench), false);
		}
		if (answer !== 'unknown') return written(bench, question, answer.known, true);
		// Said not to be known, whatever stood there.
		const typical = question.typical(bench);
		return asTypical(question.write(bench, typical), question.fields(bench, typical));
	}, base);
}

/** The bench at the two ends of what is likely; what follows from the answer follows it. */
export const plausibleBenches = (bench: Bench, id: QuestionId): [Bench, Bench] => {
	const [low, high] = questionOf(id).plausible(bench);
	const as = (known: unknown) => answered(bench, { [id]: { known } });
	return [as(low), as(high)];
};
