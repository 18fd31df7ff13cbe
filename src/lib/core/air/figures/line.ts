import { ofTheShop } from '../ownAir';
import { figuresFor } from '../../figure/define';

import type { AirView } from '../workings';

const { several } = figuresFor<AirView>();

/** What the line leaves of the pressure: at the inlet, and at the torch. */
export const LINE_FIGURES = ofTheShop({
	'air.inletLowBar': several(
		(w) => w.air.inletLowBar ?? null,
		(w) => {
			return w.air.inletLowBar === undefined ? 'choked' : 'flowing';
		},
		{ flowing: 'M', choked: 'M' }
	),
	'air.torchBar': several(
		(w) => w.air.torchBar ?? null,
		(w) =>
			w.air.inletLowBar === undefined
				? 'noInlet'
				: w.air.torchBar === undefined
					? 'choked'
					: 'flowing',
		{ flowing: 'H', choked: 'H', noInlet: 'M' }
	)
});
