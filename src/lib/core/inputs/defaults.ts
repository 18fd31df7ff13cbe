import { type LineCut, DEFAULT_LINE_CUT } from '../cut/lineCut';
import type { Gouge } from '../gouge/inputs';
import { DEFAULT_GOUGE } from '../gouge/inputs';
import type { Evidence } from './evidence';
import { NO_USE } from '../wear/electrode';
import type { Settings } from './settings';

export interface Cut extends LineCut {
	gouge: Gouge;
}

/** Of a part, in whatever money. */
export const PRICE_RANGE = [0, 1000] as const;

/** What a person starts from; every field may be left out. */
export const DEFAULT_CUT = { ...DEFAULT_LINE_CUT, gouge: DEFAULT_GOUGE } as const satisfies Cut;

export const NO_EVIDENCE: Evidence = {
	revision: 0,
	sourceV: null,
	loopOhm: null,
	flowLpm: null,
	deliveryFactor: null,
	leakLpm: null,
	powerRatio: null,
	lineFactor: null,
	heat: null,
	trip: null,
	pattern: null,
	speed: [],
	scrap: { kerf: {}, radius: null },
	wear: {
		electrode: { total: NO_USE, last: null, measured: [], lives: [] },
		nozzle: { total: NO_USE, last: null, measured: [], lives: [] },
		starts: { ring: null, cap: null, shield: null }
	},
	gouge: {},
	checks: []
};

export const DEFAULT_SETTINGS: Settings = {
	pitLimitMm: 1.5,
	pierceTiltDeg: 45,
	sparks: 'trailing',
	currency: 'EUR',
	electrodePrice: null,
	nozzlePrice: null,
	labourPerH: null,
	handlingS: 60,
	pricePerKwh: null,
	bottlePrice: null
};
