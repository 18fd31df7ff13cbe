/** The cut that is planned, and the groove beside it. */
import * as v from 'valibot';
import { DEFAULT_LINE_CUT, LINE_CUT, type LineCut } from '../cut/inputs';
import { DEFAULT_GOUGE, GougeSchema, type Gouge } from '../gouge/inputs';

export interface Cut extends LineCut {
	gouge: Gouge;
}

/** What a person starts from; every field may be left out. */
export const DEFAULT_CUT = { ...DEFAULT_LINE_CUT, gouge: DEFAULT_GOUGE } as const satisfies Cut;

export const CutSchema = v.object({ ...LINE_CUT, gouge: v.optional(GougeSchema, {}) });
