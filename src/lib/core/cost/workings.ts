import type { CuttingWorkings } from '../cut/workings';
import { COMPRESSOR_KW_PER_LPM, costOfCut, totalOf, type CostOfCut } from './cost';

/** What the shop says of its money; null: nobody has said. */
export interface CostSettings {
	labourPerH: number | null;
	/** Setting down, marking and clamping for each cut, s. */
	handlingS: number;
	pricePerKwh: number | null;
	/** Of one full bottle. */
	bottlePrice: number | null;
}

/** What another room knows of the planned cut. */
export interface CostOf {
	cutting: Pick<CuttingWorkings, 'lineMm' | 'lineS'>;
	settings: CostSettings;
	source: 'compressor' | 'bottle' | 'built-in';
	/** Active power of the cutter, W. */
	activeW: number;
	flowLpm: number;
	/** Free air in one bottle, l; 0: there is none. */
	bottleL: number;
	/** Electrode and nozzle of such a cut; null: no prices, or it cannot be made. */
	partsPerM: number | null;
}

export interface CostWorkings {
	/** null: it does not go through. */
	lineS: number | null;
	airL: number;
	kwPerLpm: number;
	bottleL: number;
	/** Of one metre, in money and kWh; null: it does not go through, or somebody has not said a price. */
	labour: number | null;
	power: number | null;
	air: number | null;
	total: number | null;
	kwh: number | null;
}

/** What a metre of the planned cut costs, each item as soon as its own price is known. */
export function costWorkings(of: CostOf): CostWorkings {
	const { cutting, settings, source, bottleL, partsPerM } = of;
	const { lineS, lineMm } = cutting;
	const airL = (of.flowLpm * (lineS ?? 0)) / 60;
	const kwPerLpm = source === 'compressor' ? COMPRESSOR_KW_PER_LPM : 0;
	const bottled = source === 'bottle';
	const cost: CostOfCut = costOfCut({
		arcS: lineS ?? 0,
		handlingS: settings.handlingS,
		ratePerH: settings.labourPerH ?? 0,
		pricePerKwh: settings.pricePerKwh ?? 0,
		pairPrice: 0,
		pairShare: 0,
		inputW: of.activeW,
		airL,
		kwPerLpm,
		pricePerAirL: bottled && bottleL > 0 ? (settings.bottlePrice ?? 0) / bottleL : 0
	});
	const perM = (money: number, known: boolean) =>
		lineS === null || !known ? null : (money * 1000) / lineMm;
	const labour = perM(cost.labour, settings.labourPerH !== null);
	const power = perM(cost.power, settings.pricePerKwh !== null);
	const air = perM(cost.air, (bottled ? settings.bottlePrice : settings.pricePerKwh) !== null);
	const whole = labour !== null && power !== null && air !== null && partsPerM !== null;
	return {
		lineS,
		airL,
		kwPerLpm,
		bottleL,
		labour,
		power,
		air,
		total: whole ? totalOf({ labour, power, air, parts: partsPerM, kwh: 0 }) : null,
		kwh: perM(cost.kwh, true)
	};
}

/** What the room of cost reads of the Plan's workings. */
export interface CostView {
	inputs: { settings: CostSettings; bench: { air: { source: CostOf['source'] } } };
	costing: CostWorkings;
	draw: { activeW: number };
}
