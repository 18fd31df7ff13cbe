import { named } from '../figure/names';

export const CHECK_NAMES = {
	'checks.open': named('Found wrong, not mended', 'count')
};
