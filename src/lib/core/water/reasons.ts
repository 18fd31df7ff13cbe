import { reasonsFor, type Reason, type ReasonsOf } from '../figure/reason';
import {
	absoluteHumidityGM3,
	absoluteHPa,
	mixingRatio,
	saturationHPa,
	SEA_LEVEL_HPA
} from './humidity';
import { GEL_CAPACITY, TANK_WATER_SHARE } from './line';
import { shopFlowLpm } from './workings';
import type { WaterView } from './workings';
import type { WATER_FIGURES } from './figures';

const { given, stated } = reasonsFor<WaterView>();

const SATURATION = 'Magnus over water, coefficients of Sonntag 1990 (WMO)';
const none: Reason<WaterView> = {
	formula: 'true',
	source: 'No shop compressor in this line',
	inputs: {}
};
const water = (w: WaterView) => w.water!;

const ofWater = (water: Reason<WaterView>) => ({ water, none });
const hoursOf = (water: Reason<WaterView>, never: Reason<WaterView>) => ({ water, never, none });

const dryAir = given('dry air, kg/h', 'factor', 'M', (w) => water(w).dryAirKgH);
const tankRatio = given(
	'carried at most, kg per kg, at the tank’s heat and pressure',
	'factor',
	'H',
	(w) =>
		mixingRatio(
			saturationHPa(water(w).tankC),
			absoluteHPa(w.inputs.bench.air.compressor.cutInBar, SEA_LEVEL_HPA * w.air.line.altitudeFactor)
		)
);

/** The water that the compressor takes in, and where it comes out. */
export const WATER_REASONS = {
	'water.inhaledGH': ofWater({
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
				shopFlowLpm(
					w.air.averageUseLpm + w.air.line.leakLpm,
					w.inputs.work.shopC,
					w.air.line.altitudeFactor
				)
			)
		}
	}),
	'water.tankGH': ofWater({
		formula: 'max(0, m - 1000*m_air*x)',
		source: `${SATURATION}; what the air cannot carry at tank pressure falls out`,
		inputs: { m: 'water.inhaledGH', m_air: dryAir, x: tankRatio }
	}),
	'water.trapGH': ofWater({
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
	'water.onwardGH': ofWater({
		formula: 'm - m_tank - m_trap - m_gel',
		source: 'Mass balance: taken in, less what fell out, was caught or was dried',
		inputs: {
			m: 'water.inhaledGH',
			m_tank: 'water.tankGH',
			m_trap: given('caught, g/h', 'factor', 'M', (w) => water(w).trapGH),
			m_gel: given('taken by the gel, g/h', 'factor', 'M', (w) => water(w).gelGH)
		}
	}),
	'water.dewC': ofWater({
		formula: '243.12*log(e/6.112)/(17.62 - log(e/6.112))',
		source: `${SATURATION}, solved for the temperature; expansion at the regulator dries the air`,
		inputs: {
			e: given('vapour at the inlet, hPa', 'factor', 'M', (w) => saturationHPa(water(w).dewC))
		}
	}),
	'water.drainH': hoursOf(
		{
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
			formula: 'm <= 0',
			source: 'Nothing falls out in this weather',
			inputs: { m: 'water.tankGH' }
		}
	),
	'water.gelH': hoursOf(
		{
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
		{ formula: 'true', source: 'No gel in this line, or no weight entered', inputs: {} }
	)
} satisfies ReasonsOf<typeof WATER_FIGURES, WaterView>;
