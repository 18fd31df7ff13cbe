/** What was seen at the cutter, as it is kept for ever: by the server's clock. */
import * as v from 'valibot';
import { within } from '../quantity/within';
import type { Seen } from './events';

const ms = within(0, 4e12, 'ms since 1970');
const span = { fromMs: ms, toMs: ms };
const told = v.nullable(within(-10, 1000, ''));
const seconds = within(0, 1e6, 's');

export const SeenSchema: v.GenericSchema<unknown, Seen> = v.variant('kind', [
	v.object({
		kind: v.literal('arc'),
		...span,
		arcS: seconds,
		errorS: seconds,
		meanA: told,
		inletBar: told,
		tankBar: told,
		tankLowBar: told,
		whole: v.boolean('true or false')
	}),
	v.object({
		kind: v.literal('failed'),
		...span,
		by: v.picklist(['inlet', 'mains'], 'inlet or mains')
	}),
	v.object({ kind: v.literal('lamp'), ...span, arcFromMs: v.nullable(ms), meanA: told }),
	v.object({ kind: v.literal('gap'), ...span })
]);
