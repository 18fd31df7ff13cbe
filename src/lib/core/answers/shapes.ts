/** What each question of the first hour is answered with. */
import * as v from 'valibot';
import { BREAKER_CURVES } from '../circuit/breaker';
import { CONDUCTOR_SIZES } from '../circuit/conductors';
import { phases } from '../cutter/inputs';
import { within } from '../quantity/within';

/** More than any label of a hand-held cutter tells, A. */
export const DRAW_MOST_A = 200;

/** What each question is answered with; null inside an answer: that part is not on the label. */
export const ANSWERS = {
	amps: v.object({ mostA: within(5, 500, 'A'), leastA: v.nullable(within(5, 500, 'A')) }),
	volts: v.object({ voltageV: within(90, 690, 'V'), phases }),
	draws: v.object({ inputMaxA: within(1, DRAW_MOST_A, 'A') }),
	clean: v.object({ cleanMm: within(1, 100, 'mm') }),
	severs: v.object({ severMm: within(1, 150, 'mm') }),
	duty: v.object({ dutyShare: within(0.05, 1, '(share of ten minutes)') }),
	air: v.object({
		fromBar: within(0.5, 15, 'bar'),
		toBar: v.nullable(within(0.5, 15, 'bar')),
		flowLpm: v.nullable(within(5, 2000, 'l/min'))
	}),
	breaker: v.object({
		ratingA: within(6, 125, 'A'),
		curve: v.nullable(v.picklist(BREAKER_CURVES, 'B, C or D'))
	}),
	wire: v.object({
		size: v.picklist(CONDUCTOR_SIZES, 'a size of wire'),
		lengthM: v.nullable(within(0.1, 500, 'm'))
	}),
	compressor: v.object({
		source: v.picklist(['compressor', 'built-in'], 'compressor or built-in'),
		deliveryLpm: within(1, 5000, 'l/min'),
		rating: v.picklist(['delivered', 'displaced'], 'delivered or displaced'),
		tankL: v.nullable(within(0.5, 5000, 'l'))
	}),
	nozzle: v.object({ ratingA: within(5, 500, 'A') })
};
export type QuestionId = keyof typeof ANSWERS;
export type Answer<Id extends QuestionId> = v.InferOutput<(typeof ANSWERS)[Id]>;
