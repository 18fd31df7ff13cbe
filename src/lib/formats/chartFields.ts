/** The columns of a chart file: their words, units and headers. */
import type { Quantity } from '$lib/core';

export const CHART_FIELDS = [
	'metal',
	'outputA',
	'nozzleA',
	'thicknessMm',
	'speedMmS',
	'pressureBar',
	'standoffMm',
	'kerfMm',
	'pierceMm',
	'pierceS'
] as const;
export type ChartField = (typeof CHART_FIELDS)[number];

interface FieldSpec {
	label: string;
	header: string;
	quantity: Quantity | 'metal';
	/** Words of a header that mean this field; the first that fits wins. */
	words: RegExp;
	optional?: boolean;
	/** Unit of a bare number under a header without one. */
	unit: string;
	/** Others that such a column is often in. */
	units?: readonly string[];
}

export const CHART_SPEC: Record<ChartField, FieldSpec> = {
	metal: { label: 'Metal', header: 'metal', quantity: 'metal', words: /metal|material/, unit: '' },
	nozzleA: {
		label: 'Nozzle',
		header: 'nozzle (A)',
		quantity: 'current',
		words: /nozzle|tip/,
		optional: true,
		unit: 'a'
	},
	pierceMm: {
		label: 'Pierce height',
		header: 'pierce height (mm)',
		quantity: 'small',
		words: /pierce.*(height|dist)/,
		optional: true,
		unit: 'mm'
	},
	pierceS: {
		label: 'Pierce time',
		header: 'pierce time (s)',
		quantity: 'time',
		words: /pierce/,
		optional: true,
		unit: 's'
	},
	standoffMm: {
		label: 'Stand-off',
		header: 'stand-off (mm)',
		quantity: 'small',
		words: /stand|cut height|torch height/,
		optional: true,
		unit: 'mm'
	},
	kerfMm: {
		label: 'Kerf',
		header: 'kerf (mm)',
		quantity: 'small',
		words: /kerf/,
		optional: true,
		unit: 'mm',
		units: ['mm', 'in']
	},
	pressureBar: {
		label: 'Air pressure',
		header: 'pressure (bar)',
		quantity: 'pressure',
		words: /press|air/,
		optional: true,
		unit: 'bar',
		units: ['bar', 'psi', 'kpa']
	},
	thicknessMm: {
		label: 'Thickness',
		header: 'thickness (mm)',
		quantity: 'thickness',
		words: /thick|gauge|plate/,
		unit: 'mm',
		units: ['mm', 'in']
	},
	speedMmS: {
		label: 'Speed',
		header: 'speed (mm/s)',
		quantity: 'speed',
		words: /speed|travel|feed/,
		unit: 'mm/s',
		units: ['mm/s', 'mm/min', 'm/min', 'in/min']
	},
	outputA: {
		label: 'Amps',
		header: 'amps (A)',
		quantity: 'current',
		words: /amp|current/,
		unit: 'a'
	}
};
