import {
	absoluteHumidityGM3,
	absoluteHPa,
	mixingRatio,
	saturationHPa,
	SEA_LEVEL_HPA
} from '../../water/humidity';
import { GEL_CAPACITY, TANK_WATER_SHARE } from '../../water/line';
import type { Quantity } from '../../quantity/units';
import type { Workings } from '../workings';
import { shopFlowLpm } from '../../air/workings';
import { given, several, stated, type FigureDef, type Way } from './define';

const SATURATION = 'Magnus over water, coefficients of Sonntag 1990 (WMO)';
const none: Way = {
	basis: 'D',
	formula: 'true',
	source: 'No shop compressor in this line',
	inputs: {}
};
const water = (w: Workings) => w.air.water!;

/** A figure of the water line; nothing without a shop compressor. */
function ofWater(
	label: string,
	quantity: Quantity,
	read: (w: Workings) => number | undefined,
	way: Way,
	unless: Way = none
): FigureDef {
	const value = (w: Workings) => {
		const x = w.air.water && read(w);
		return x === undefined || !Number.isFinite(x) ? null : x;
	};
	return several(
		label,
		quantity,
		value,
		(w) => (!w.air.water ? 'none' : value(w) === null ? 'never' : 'water'),
		unless === none ? { water: way, none } : { water: way, never: unless, none }
	);
}

const dryAir = given('dry air, kg/h', 'factor', 'M', (w) => water(w).dryAirKgH);
const tankRatio = given(
	'carried at most, kg per kg, at the tank’s heat and pressure',
	'factor',
	'H',
	(w) =>
		mixingRatio(
			saturationHPa(water(w).tankC),
			absoluteHPa(w.inputs.bench.air.compressor.cutInBar, SEA_LEVEL_HPA * w.air.altitudeFactor)
		)
);

/** The water that the compressor takes in, and where it comes out. */
export const WATER_FIGURES = {
	'water.inhaledGH': ofWater('Water taken in', 'waterRate', (w) => water(w).inhaledGH, {
		basis: 'H',
		formula: 'rho*Q*60/1000',
		source: `${SATURATION}; air used on average, leaks included, at the shop’s own density`,
		inputs: {
			rho: given('water in the shop’s air, g/m³', 'factor', 'H', (w) =>
				absoluteHumidityGM3(
					w.inputs.work.humidity * saturationHPa(w.inputs.work.shopC),
					w.inputs.work.shopC
				)
			),
			Q: given('air taken in', 'flow', 'M', (w) =>
				shopFlowLpm(w.air.averageUseLpm + w.air.leakLpm, w.inputs.work.shopC, w.air.altitudeFactor)
			)
		}
	}),
	'water.tankGH': ofWater('Falls out in the tank', 'waterRate', (w) => water(w).tankGH, {
		basis: 'H',
		formula: 'max(0, m - 1000*m_air*x)',
		source: `${SATURATION}; what the air cannot carry at tank pressure falls out`,
		inputs: { m: 'water.inhaledGH', m_air: dryAir, x: tankRatio }
	}),
	'water.trapGH': ofWater('Caught before the cutter', 'waterRate', (w) => water(w).trapGH, {
		basis: 'M',
		formula: 'm - m_tank - m_gel - m_on',
		source:
			'Mass balance; a trap takes 95 % of the liquid, a coalescing filter 99 % (our own), neither dries',
		inputs: {
			m: 'water.inhaledGH',
			m_tank: 'water.tankGH',
			m_gel: given('taken by the gel, g/h', 'factor', 'M', (w) => water(w).gelGH),
			m_on: 'water.onwardGH'
		}
	}),
	'water.onwardGH': ofWater('Goes on to the torch', 'waterRate', (w) => water(w).onwardGH, {
		basis: 'M',
		formula: 'm - m_tank - m_trap - m_gel',
		source: 'Mass balance: taken in, less what fell out, was caught or was dried',
		inputs: {
			m: 'water.inhaledGH',
			m_tank: 'water.tankGH',
			m_trap: given('caught, g/h', 'factor', 'M', (w) => water(w).trapGH),
			m_gel: given('taken by the gel, g/h', 'factor', 'M', (w) => water(w).gelGH)
		}
	}),
	'water.dewC': ofWater('Pressure dew point at the inlet', 'temperature', (w) => water(w).dewC, {
		basis: 'H',
		formula: '243.12*log(e/6.112)/(17.62 - log(e/6.112))',
		source: `${SATURATION}, solved for the temperature; expansion at the regulator dries the air`,
		inputs: {
			e: given('vapour at the inlet, hPa', 'factor', 'M', (w) => saturationHPa(water(w).dewC))
		}
	}),
	'water.drainH': ofWater(
		'Drain the tank every',
		'hours',
		(w) => water(w).drainH,
		{
			basis: 'M',
			formula: '1000*s*V/m',
			source:
				'Before a hundredth of the tank is water (our own); after every shift at the latest (common practice)',
			inputs: {
				s: stated('share of the tank', 'factor', TANK_WATER_SHARE),
				V: given('tank', 'volume', 'D', (w) => w.inputs.bench.air.tankL),
				m: 'water.tankGH'
			}
		},
		{
			basis: 'M',
			formula: 'm <= 0',
			source: 'Nothing falls out in this weather',
			inputs: { m: 'water.tankGH' }
		}
	),
	'water.gelH': ofWater(
		'Gel is spent after',
		'hours',
		(w) => water(w).gelH,
		{
			basis: 'R',
			formula: 'c*G/m',
			source: 'Silica gel takes about 0.2 g of water per gram (common practice)',
			inputs: {
				c: stated('water per gram of gel', 'factor', GEL_CAPACITY, 'R'),
				G: given('gel', 'mass', 'D', (w) =>
					w.inputs.bench.air.stages.reduce(
						(sum, s) => sum + (s.kind === 'desiccant' ? (s.gelG ?? 0) : 0),
						0
					)
				),
				m: given('water that reaches it, g/h', 'factor', 'M', (w) => water(w).gelGH)
			}
		},
		{ basis: 'D', formula: 'true', source: 'No gel in this line, or no weight entered', inputs: {} }
	)
} satisfies Record<string, FigureDef>;
