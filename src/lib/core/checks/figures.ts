import { figuresFor } from '../figure/define';
import type { ChecksView } from './inputs';

const { several } = figuresFor<ChecksView>();
const countOf = ({ inputs }: ChecksView) => inputs.evidence.checks.length;

/** What the checks found. */
export const CHECK_FIGURES = {
	'checks.open': several(countOf, (w) => (countOf(w) === 0 ? 'none' : 'open'), {
		none: 'T',
		open: 'T'
	})
};
