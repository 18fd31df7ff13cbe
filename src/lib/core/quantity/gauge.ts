/**
 * Sheet gauges, 7 to 24: the same number is another thickness in another metal.
 *
 * Sources, all from memory and checked by the formulas in gauge.test.ts:
 * steel: Manufacturers' Standard Gauge for Steel Sheet (41.82 lb/ft² per inch);
 * galvanized: the same weights plus the zinc (0.15625 lb/ft²);
 * stainless: US Standard Gauge (40 lb/ft² per inch);
 * aluminium, copper, brass: Brown & Sharpe (AWG), 0.005 in × 92^((36 − n)/39).
 * Unit: inch. Nominal values; mill tolerance is far larger than the last digit.
 */
export type GaugeTable = 'steel' | 'galvanized' | 'stainless' | 'brown-sharpe';

const FIRST_GAUGE = 7;

const TABLES_IN: Record<GaugeTable, readonly number[]> = {
	steel: [
		0.1793, 0.1644, 0.1495, 0.1345, 0.1196, 0.1046, 0.0897, 0.0747, 0.0673, 0.0598, 0.0538, 0.0478,
		0.0418, 0.0359, 0.0329, 0.0299, 0.0269, 0.0239
	],
	galvanized: [
		0.1831, 0.1681, 0.1532, 0.1382, 0.1233, 0.1084, 0.0934, 0.0785, 0.071, 0.0635, 0.0575, 0.0516,
		0.0456, 0.0396, 0.0366, 0.0336, 0.0306, 0.0276
	],
	stainless: [
		0.1875, 0.1719, 0.1563, 0.1406, 0.125, 0.1094, 0.0938, 0.0781, 0.0703, 0.0625, 0.0563, 0.05,
		0.0438, 0.0375, 0.0344, 0.0313, 0.0281, 0.025
	],
	'brown-sharpe': [
		0.1443, 0.1285, 0.1144, 0.1019, 0.0907, 0.0808, 0.072, 0.0641, 0.0571, 0.0508, 0.0453, 0.0403,
		0.0359, 0.032, 0.0285, 0.0253, 0.0226, 0.0201
	]
};

export const GAUGE_RANGE = { min: FIRST_GAUGE, max: FIRST_GAUGE + TABLES_IN.steel.length - 1 };

/** Thickness in inches of a gauge number, or undefined outside the table. */
export function thicknessInFromGauge(gauge: number, table: GaugeTable): number | undefined {
	return Number.isInteger(gauge) ? TABLES_IN[table][gauge - FIRST_GAUGE] : undefined;
}

/** Gauge number whose nominal thickness is within half a percent of this one, if any. */
export function gaugeFromThicknessIn(thicknessIn: number, table: GaugeTable): number | undefined {
	const index = TABLES_IN[table].findIndex(
		(nominal) => Math.abs(nominal - thicknessIn) <= 0.005 * nominal
	);
	return index < 0 ? undefined : index + FIRST_GAUGE;
}
