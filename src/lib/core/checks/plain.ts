import type { PlainOf } from '../figure/reason';
import type { CHECK_FIGURES } from './figures';
import type { ChecksView } from './inputs';

export const CHECK_PLAIN = {
	'checks.open': {
		none: 'Nothing was found wrong, or all of it was mended.',
		open: 'Somebody looked and said “not so”, or found a fault; nobody has said yet that it is mended.'
	}
} satisfies PlainOf<typeof CHECK_FIGURES, ChecksView>;
