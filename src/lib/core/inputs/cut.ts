/** The cut that is planned, and the groove beside it. */
import * as v from 'valibot';

import { LINE_CUT } from '../cut/inputs';

import { GougeSchema } from '../gouge/inputs';

export const CutSchema = v.object({ ...LINE_CUT, gouge: v.optional(GougeSchema, {}) });
