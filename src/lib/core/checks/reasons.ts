import { reasonsFor, type ReasonsOf } from '../figure/reason';
import type { CHECK_FIGURES } from './figures';
import type { ChecksView } from './inputs';

const { given } = reasonsFor<ChecksView>();
const n = given('found and not mended', 'count', 'T', (w) => w.inputs.evidence.checks.length);

export const CHECK_REASONS = {
	'checks.open': {
		none: { formula: 'n', source: 'What the log holds of this bench', inputs: { n } },
		open: { formula: 'n', source: 'What the log holds of this bench', inputs: { n } }
	}
} satisfies ReasonsOf<typeof CHECK_FIGURES, ChecksView>;
