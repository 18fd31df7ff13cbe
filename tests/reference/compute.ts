/**
 * Which function of the core answers each group of reference cases. Every result is named as in the
 * case; what the core does not compute is left out and not compared.
 */
import { altitudeFactor } from '../../src/lib/core/air/altitude';
import {
	chokedFlowLpm,
	frictionFactor,
	hoseSquareDropBar2,
	massFlowKgS,
	outletBar
} from '../../src/lib/core/air/flow';
import { bottleFreeL } from '../../src/lib/core/air/bottle';
import { deliveryLine } from '../../src/lib/core/session/delivery';
import {
	longestCut,
	runningLaw,
	standingLaw,
	timeTo,
	type Tank
} from '../../src/lib/core/session/tank';
import {
	magneticBand,
	MAGNETIC_BAND,
	necLargestBreakerA,
	tripCurves,
	type BreakerCurve,
	type BreakerStandard
} from '../../src/lib/core/circuit/breaker';
import {
	ampacityA,
	areaMm2FromAwg,
	copperTemperatureFactor,
	diameterMmFromAwg,
	necAmpacity75A,
	resistanceOhmKm20,
	solidOhmKm20,
	type ConductorSize
} from '../../src/lib/core/circuit/conductors';
import { effectiveCurrentA, loadVoltageV, phaseFactor } from '../../src/lib/core/cutter/plate';
import { necDutyMultiplier, voltageUnderLoad } from '../../src/lib/core/circuit/draw';
import { ladderA } from '../../src/lib/core/cut/amps';
import { arcThicknessMm } from '../../src/lib/core/cut/thickness';
import {
	bevelGapMm,
	bottomShiftMm,
	circleRadiusMm,
	guideOffsetMm
} from '../../src/lib/core/cut/guide';
import { circle, contoursOf } from '../../src/lib/core/shape/makers';
import { offsetContour } from '../../src/lib/core/shape/offset';
import { areaMm2, boundsOf, lengthMm, type Contour } from '../../src/lib/core/shape/outline';
import {
	asCut,
	cornerRadiusMm,
	isFollowed,
	templatesOf,
	type Keep,
	type TemplateSide
} from '../../src/lib/core/shape/template';
import {
	coolingS,
	dutyShareAt,
	HOT_SPOT_C,
	ratedRiseK,
	RESET_C,
	tauFromRecoveryS
} from '../../src/lib/core/cutter/duty';
import { generatorLoadShare, generatorOhm } from '../../src/lib/core/circuit/generator';
import { runSession } from '../../src/lib/core/session/run';
import {
	absoluteHPa,
	absoluteHumidityGM3,
	dewPointC,
	mixingRatio,
	saturationHPa,
	SEA_LEVEL_HPA,
	vapourHPaOf
} from '../../src/lib/core/water/humidity';
import { GEL_CAPACITY, waterLine } from '../../src/lib/core/water/line';
import { lagDegFromRatio, speedRatioFromLag } from '../../src/lib/core/speed/speed';
import { inverseMills, normalCdf } from '../../src/lib/core/solve/normal';
import { cordGuard, wireGuard } from '../../src/lib/core/circuit/protection';
import { steelLimitsMm } from '../../src/lib/core/speed/limits';
import { speedLaw } from '../../src/lib/core/speed/speedLaw';
import type { SpeedReading } from '../../src/lib/core/speed/reading';
import {
	depthOverWidth,
	gougeSpeedMmS,
	removalKgS,
	removalMm3S,
	REMOVAL_J_PER_KG_STEEL
} from '../../src/lib/core/gouge/removal';
import {
	depthAtMm,
	STEP_SHARE,
	stringAreaMm2,
	stringsAreaMm2
} from '../../src/lib/core/gouge/shape';
import { sectionOf, spotMm3 } from '../../src/lib/core/gouge/section';
import { METALS, meltEnergyJMm3, type MetalId } from '../../src/lib/core/metal/metals';
import { thicknessInFromGauge, type GaugeTable } from '../../src/lib/core/quantity/gauge';
import { parseQuantity } from '../../src/lib/core/quantity/parse';
import { shades } from '../../src/lib/core/safety/shade';
import { firstCrossing, settledPeak } from '../../src/lib/core/session/node';
import { growthUm, nozzleLoad, NO_USE, RATES_UM } from '../../src/lib/core/wear/electrode';
import { BORE_RATES_UM } from '../../src/lib/core/wear/nozzle';
import { costOfCut, totalOf, type CostInputs } from '../../src/lib/core/cost/cost';
import { FAULT_COMPUTE } from './faults';
import { LIST_COMPUTE } from './list';
import { nnls } from '../../src/lib/core/solve/nnls';
import {
	remainingLife,
	survives,
	weibullFit,
	weibullScale
} from '../../src/lib/core/solve/weibull';
import {
	dayAfter,
	daysLeft,
	normalReorderPoint,
	poissonReorderPoint
} from '../../src/lib/core/stock/reorder';

export type Value = number | boolean | string;
type Inputs = Record<string, Value>;
export type Compute = (inputs: Inputs) => Partial<Record<string, Value>>;

const edgeOf = (i: Inputs) => ({
	shieldRadiusMm: num(i, 'shield_radius'),
	kerfMm: num(i, 'kerf_width')
});
/** One outline with the template for it. */
function templateOf(i: Inputs, contour: Contour, keep: Keep, side: TemplateSide) {
	const torch = edgeOf(i);
	const [one] = templatesOf({ contours: [contour], keep, outside: side, holes: side, ...torch });
	return { ...one!, possible: isFollowed(one!, asCut(one!, torch), torch) };
}
const sizeOf = (contours: readonly Contour[]) => {
	const box = boundsOf(contours);
	return { w: box.maxX - box.minX, h: box.maxY - box.minY };
};
const radiusOf = (contours: readonly Contour[]) => sizeOf(contours).w / 2;
const rectangleOf = (widthMm: number, heightMm: number) =>
	contoursOf({ kind: 'rectangle', widthMm, heightMm, radiusMm: 0 })[0]!;
const rectangleTemplates = (i: Inputs, of: 'part' | 'hole') => {
	const contour = rectangleOf(num(i, `${of}_W`), num(i, `${of}_H`));
	const keep = of === 'part' ? ('part' as const) : ('plate' as const);
	return {
		kept: templateOf(i, contour, keep, 'kept'),
		waste: templateOf(i, contour, keep, 'waste')
	};
};
const num = (inputs: Inputs, name: string): number => {
	const value = inputs[name];
	if (typeof value !== 'number') throw new Error(`reference case without a number "${name}"`);
	return value;
};
/** Numbers in a row, written with spaces between. */
const numbers = (text: string): number[] => text.trim().split(/\s+/).filter(Boolean).map(Number);
const lives = (inputs: Inputs, name: string): number[] => numbers(String(inputs[name]));
const FREE: CostInputs = {
	arcS: 0,
	handlingS: 0,
	ratePerH: 0,
	pricePerKwh: 0,
	pairPrice: 0,
	pairShare: 0,
	inputW: 0,
	airL: 0,
	kwPerLpm: 0,
	pricePerAirL: 0
};
const reorderOf = (i: Inputs) =>
	normalReorderPoint(
		{ perWeek: num(i, 'use_per_week'), spreadPerWeek: num(i, 'sigma_per_week') },
		{
			weeks: num(i, 'lead_weeks'),
			spreadWeeks: typeof i.sigma_lead === 'number' ? i.sigma_lead : 0
		}
	);
const METAL_NAMES: Record<string, MetalId> = {
	mild_steel: 'mild-steel',
	stainless_304: 'stainless',
	aluminium_5xxx: 'aluminium',
	brass: 'brass',
	titanium: 'titanium',
	cast_iron: 'cast-iron'
};
const metalNamed = (inputs: Inputs) => METALS[METAL_NAMES[String(inputs.material)]!];
const awgSize = (awg: Value | undefined) => `awg-${String(awg)}` as ConductorSize;
const noSlope = (fadLpm: number, tankL: number, cutInBar = 0, cutOutBar = 20): Tank => ({
	line: deliveryLine([{ flowLpm: fadLpm, atBar: 7 }]),
	cutInBar,
	cutOutBar,
	startBar: cutOutBar,
	volumeL: tankL,
	leakLpm: 0
});
const withCompressor = (tank: Tank, drawLpm: number) => runningLaw(tank, tank.line[0]!, drawLpm);
const cold = (riseK: number, ambientC: number, tauS: number) => ({
	tauS,
	onTarget: ambientC + riseK,
	offTarget: ambientC,
	onS: 1,
	offS: 0,
	start: ambientC
});

const gauge =
	(table: GaugeTable): Compute =>
	(i) => {
		const thicknessIn = thicknessInFromGauge(num(i, 'gauge'), table)!;
		const typed = parseQuantity(`${num(i, 'gauge')} ga`, {
			quantity: 'thickness',
			units: 'metric',
			gauge: table
		});
		return { thickness_in: thicknessIn, thickness_mm: typed };
	};

function circleTemplates(i: Inputs) {
	const contour = circle(num(i, 'finished_diameter'));
	const at = (keep: Keep, side: TemplateSide) => templateOf(i, contour, keep, side);
	return {
		hole_female_template_radius_on_keep_side_mm: radiusOf(at('plate', 'kept').template),
		disc_female_template_radius_on_waste_side_mm: radiusOf(at('part', 'waste').template),
		hole_male_template_possible: at('plate', 'waste').possible,
		disc_male_template_possible: at('part', 'kept').possible,
		hole_male_template_radius_on_waste_side_mm: radiusOf(at('plate', 'waste').template),
		disc_male_template_radius_on_keep_side_mm: radiusOf(at('part', 'kept').template)
	};
}

/** A fillet as the gouge takes it, nothing left to the grinder. */
const filletMm2 = (legMm: number) =>
	sectionOf(
		{ target: 'fillet', legMm, upLegMm: null, widthMm: 1, depthMm: 1, rootRadiusMm: 5 },
		0,
		Infinity
	).wholeMm2;

export const COMPUTE: Record<string, Compute> = {
	...LIST_COMPUTE,
	...FAULT_COMPUTE,
	awg_diameter: (i) => ({
		diameter_mm: diameterMmFromAwg(num(i, 'awg_number')),
		area_mm2: areaMm2FromAwg(num(i, 'awg_number'))
	}),
	copper_resistance_computed: (i) => {
		const r20 = solidOhmKm20(i.awg === '1/0' ? 0 : Number(i.awg));
		const factor = copperTemperatureFactor(75);
		return { R20_ohm_per_km: r20, R75_ohm_per_km: r20 * factor, ratio_R75_R20: factor };
	},
	copper_resistance_iec60228_class5: (i) => {
		const r20 = resistanceOhmKm20(`mm2-${num(i, 'nominal_area')}` as ConductorSize, 'cord');
		return {
			Rmax_ohm_per_km: r20,
			Rmax_at_70C_ohm_per_km: r20 * copperTemperatureFactor(70),
			Rmax_at_75C_ohm_per_km: r20 * copperTemperatureFactor(75)
		};
	},
	voltage_drop_constant_power_load: (i) => {
		const loopOhm = (2 * num(i, 'R') * num(i, 'length_one_way')) / 1000;
		const result = voltageUnderLoad({
			sourceV: num(i, 'source_voltage'),
			apparentVA: num(i, 'load_power'),
			resistanceOhm: loopOhm,
			phases: 1
		});
		return result.ok
			? { feasible: true, load_voltage_V: result.voltageV, current_A: result.currentA }
			: { feasible: false, max_deliverable_power_W: result.mostVA };
	},
	nec_630_11A_multiplier: (i) => ({ multiplier: necDutyMultiplier(num(i, 'duty_cycle') / 100) }),
	supply_conductor_min_ampacity_630_11A: (i) => ({
		min_ampacity_table_A: num(i, 'I1_rated') * necDutyMultiplier(num(i, 'duty_cycle') / 100),
		min_ampacity_sqrt_A: effectiveCurrentA(num(i, 'I1_rated'), 0, num(i, 'duty_cycle') / 100)
	}),
	nec_630_12_overcurrent: (i) => ({
		next_standard_permitted_A: necLargestBreakerA(num(i, 'I1max'))!
	}),
	i1eff_iec60974_1: (i) => ({
		I1eff_A: effectiveCurrentA(num(i, 'I1max'), num(i, 'I0'), num(i, 'X'))
	}),
	conventional_load_voltage: (i) => ({
		U2_V: loadVoltageV(num(i, 'I2')),
		P2_W: outputPowerW(num(i, 'I2'))
	}),
	duty_at_other_current: (i) => ({
		X: dutyShareAt({ outputA: num(i, 'I_rated'), dutyShare: num(i, 'X_rated') }, num(i, 'I'))
	}),
	ul489_by_rating: (i) => trips('ul489', num(i, 'rating')),
	iec60898_limits: (i) => {
		const rating = num(i, 'In');
		const { earliest, latest } = tripCurves('iec60898', rating);
		const [least, most] = MAGNETIC_BAND[i.type as BreakerCurve];
		return {
			I_nt_no_trip_A: rating * Math.sqrt(earliest.tripHeat),
			I_t_trip_A: rating * Math.sqrt(latest.tripHeat),
			t_255_max_s: tripS(latest, 2.55),
			inst_no_trip_A: least * rating,
			inst_trip_A: most * rating
		};
	},
	nec_240_4D_small_conductors: (i) => ({
		max_ocpd_A: ampacityA(awgSize(i.awg), 'wire', 'conduit')
	}),
	nec_310_16_ampacity: (i) => ({ A_75C: necAmpacity75A(awgSize(i.awg))! }),
	nec_400_5_cord_ampacity: (i) => ({
		A_two_current_carrying: ampacityA(awgSize(i.awg), 'cord', 'clipped')
	}),
	tank_fall_time: (i) => {
		const c = noSlope(num(i, 'compressor_FAD'), num(i, 'tank_volume'));
		const seconds = timeTo(num(i, 'p2'), num(i, 'p1'), withCompressor(c, num(i, 'draw')));
		return Number.isFinite(seconds) ? { falls: true, time_s: seconds } : { falls: false };
	},
	tank_fall_two_phase: (i) => {
		const c = noSlope(
			num(i, 'compressor_FAD'),
			num(i, 'tank_volume'),
			num(i, 'p_cut_in'),
			num(i, 'p_cut_out')
		);
		const cut = longestCut(c, num(i, 'draw'), num(i, 'p_min_tool'));
		return {
			time_to_start_min: cut.offS / 60,
			time_after_start_min: cut.onS / 60,
			total_min: cut.totalS / 60
		};
	},
	pump_up_time: (i) => {
		const law = withCompressor(noSlope(num(i, 'FAD'), num(i, 'tank_volume')), num(i, 'draw'));
		return { time_s: timeTo(num(i, 'p_to'), num(i, 'p_from'), law) };
	},
	compressor_duty: (i) => {
		const tank = noSlope(
			num(i, 'FAD'),
			num(i, 'tank_volume'),
			num(i, 'p_cut_in'),
			num(i, 'p_cut_out')
		);
		// An arc that never stops: the run goes on until it repeats.
		const run = runSession({
			pattern: { arcS: 60, postS: 0, restS: 0, shift: null },
			air: { tank, useLpm: num(i, 'draw'), neededBar: 0 },
			nodes: []
		});
		const on = withCompressor(tank, num(i, 'draw'));
		const keepsUp = Number.isFinite(timeTo(tank.cutOutBar, tank.cutInBar, on));
		if (!keepsUp) return { keeps_up: false };
		const onMin = timeTo(tank.cutOutBar, tank.cutInBar, on) / 60;
		const offMin = timeTo(tank.cutInBar, tank.cutOutBar, standingLaw(tank, num(i, 'draw'))) / 60;
		return {
			keeps_up: run.shortFrom === undefined,
			on_time_min: onMin,
			off_time_min: offMin,
			duty_fraction: onMin / (onMin + offMin),
			starts_per_hour: 60 / (onMin + offMin)
		};
	},
	average_draw: (i) => {
		const arcS = 600 * num(i, 'air_on_fraction');
		const average = (num(i, 'tool_flow') * arcS) / 600;
		return {
			average_draw: average,
			compressor_duty: Math.min(1, average / num(i, 'FAD')),
			keeps_up_on_average: average <= num(i, 'FAD')
		};
	},
	gas_bottle_minutes: (i) => {
		const freeL = bottleFreeL(
			{
				gas: 'air',
				waterL: num(i, 'water_volume'),
				count: 1,
				fillBar: num(i, 'fill_pressure'),
				reserveBar: num(i, 'reserve_pressure'),
				outletBar: 7
			},
			num(i, 'Z')
		);
		return { free_gas_l: freeL, minutes: freeL / num(i, 'flow') };
	},
	saturation_vapour_pressure: (i) => ({
		magnus_hPa: saturationHPa(num(i, 'temperature')),
		buck1996_hPa: saturationHPa(num(i, 'temperature')),
		iapws_hPa: saturationHPa(num(i, 'temperature')),
		absolute_humidity_g_m3_magnus: absoluteHumidityGM3(
			saturationHPa(num(i, 'temperature')),
			num(i, 'temperature')
		)
	}),
	saturation_vapour_pressure_table: (i) => ({ es_hPa: saturationHPa(num(i, 'temperature')) }),
	absolute_humidity_table: (i) => ({
		absolute_humidity: absoluteHumidityGM3(
			(num(i, 'RH') / 100) * saturationHPa(num(i, 'temperature')),
			num(i, 'temperature')
		)
	}),
	dew_point: (i) => {
		const vapour = (num(i, 'RH') / 100) * saturationHPa(num(i, 'temperature'));
		return {
			vapour_pressure_hPa: vapour,
			dew_point_C: dewPointC(vapour),
			absolute_humidity_g_m3: absoluteHumidityGM3(vapour, num(i, 'temperature'))
		};
	},
	condensate: (i) => {
		const w = shopWater(i, num(i, 'cooled_to'));
		return {
			vapour_in_g_h: w.inhaledGH,
			condensate_g_h: w.tankGH,
			vapour_left_g_h: w.onwardGH,
			condensate_l_per_8h: (8 * w.tankGH) / 1000
		};
	},
	pressure_dew_point_after_compression: (i) => {
		const ratio = mixingRatio(
			(num(i, 'RH') / 100) * saturationHPa(num(i, 'ambient_temperature')),
			SEA_LEVEL_HPA
		);
		return { pressure_dew_point_C: dewPointC(vapourHPaOf(ratio, absoluteHPa(num(i, 'pressure')))) };
	},
	pressure_to_atmospheric_dew_point: (i) => {
		const ratio = saturationHPa(num(i, 'pressure_dew_point')) / absoluteHPa(num(i, 'pressure'));
		return { atmospheric_dew_point_over_water_C: dewPointC(ratio * SEA_LEVEL_HPA) };
	},
	atmospheric_to_pressure_dew_point: (i) => {
		const ratio = saturationHPa(num(i, 'atmospheric_dew_point')) / SEA_LEVEL_HPA;
		return { pressure_dew_point_over_water_C: dewPointC(ratio * absoluteHPa(num(i, 'pressure'))) };
	},
	silica_gel_life: (i) => {
		const w = shopWater(i, num(i, 'air_temperature_at_dryer'));
		const capacityG = num(i, 'gel_mass') * GEL_CAPACITY;
		if (num(i, 'capacity') !== GEL_CAPACITY) return { moisture_load_g_h: w.onwardGH };
		return {
			water_capacity_g: capacityG,
			moisture_load_g_h: w.onwardGH,
			life_h: capacityG / w.onwardGH,
			life_without_separator_h: capacityG / w.inhaledGH
		};
	},
	generator_sizing: (i) => {
		const apparentVA =
			phaseFactor(num(i, 'phases') as 1 | 3) * num(i, 'supply_voltage') * num(i, 'I1max');
		const unit = { ratedVA: 1000, ratedW: 1e9, regulation: 0 };
		return {
			load_kVA: generatorLoadShare(unit, apparentVA, 0),
			load_kW: generatorLoadShare(
				{ ...unit, ratedVA: 1e12, ratedW: 1000 },
				0,
				apparentVA * num(i, 'power_factor')
			)
		};
	},
	input_current: (i) => {
		const phases = num(i, 'phases') as 1 | 3;
		const power = outputPowerW(num(i, 'I2'));
		const apparentVA = power / (num(i, 'efficiency') * num(i, 'power_factor'));
		const line = voltageUnderLoad({
			sourceV: num(i, 'supply_voltage'),
			apparentVA,
			resistanceOhm: 1e-9,
			phases
		});
		return line.ok
			? { U2_V: loadVoltageV(num(i, 'I2')), P2_W: power, S1_VA: apparentVA, I1_A: line.currentA }
			: {};
	},
	iec60898_zone: (i) => {
		const band = magneticBand('iec60898', i.type as BreakerCurve);
		return {
			multiple: num(i, 'current') / num(i, 'In'),
			zone: zoneOf(num(i, 'current') / num(i, 'In'), band)
		};
	},
	rms_current_versus_breaker: (i) => {
		const rms = effectiveCurrentA(num(i, 'I1'), 0, num(i, 'X'));
		return {
			Irms_A: rms,
			Irms_over_In: rms / num(i, 'In'),
			I1_over_In: num(i, 'I1') / num(i, 'In')
		};
	},
	duty_sqrt: (i) => ({ sqrt_X: effectiveCurrentA(1, 0, num(i, 'duty_cycle') / 100) }),
	trade_water: (i) => {
		const w = shopWater(i, num(i, 'cooled_to'));
		return { falls_g_h: w.tankGH, goes_on_g_h: w.onwardGH };
	},
	trade_recovery: (i) => ({
		tau_s: tauFromRecoveryS(
			coolingS({
				tauS: num(i, 'tau_s'),
				fromC: HOT_SPOT_C,
				toC: RESET_C,
				ambientC: num(i, 'shop_C')
			}),
			num(i, 'shop_C')
		)
	}),
	trade_generator_ohm: (i) => {
		const g = { ratedVA: num(i, 'kVA') * 1000, ratedW: 1e9, regulation: num(i, 'regulation') };
		const full = num(i, 'kVA') * 1000;
		// At its rating the current is S/V, so the volts lost are R·S/V.
		return { volts_lost: (generatorOhm(g, num(i, 'volts')) * full) / num(i, 'volts') };
	},
	iso2533: (i) => ({ pressure_ratio: altitudeFactor(num(i, 'altitude')) }),
	leak_table_7bar: (i) => ({
		free_air_l_s: chokedFlowLpm(num(i, 'hole_diameter'), num(i, 'pressure')) / 60
	}),
	choked_orifice: (i) => {
		const lpm = chokedFlowLpm(num(i, 'diameter'), num(i, 'pressure'), num(i, 'Cd'));
		return { mass_flow_g_s: massFlowKgS(lpm) * 1000, free_air_l_s: lpm / 60, free_air_l_min: lpm };
	},
	hose_drop: (i) => {
		const drop = hoseSquareDropBar2({
			boreMm: num(i, 'inner_diameter'),
			lengthM: num(i, 'length'),
			flowLpm: num(i, 'free_air_flow')
		});
		const out = outletBar(num(i, 'inlet_pressure'), drop);
		const lost = out === undefined ? NaN : num(i, 'inlet_pressure') - out;
		return { dp_isothermal_swamee_jain: lost };
	},
	friction_factor: (i) => ({
		swamee_jain: frictionFactor(num(i, 'Re'), num(i, 'relative_roughness'))
	}),
	unit_conversion: (i) => unitConversion(i),
	gauge_steel: gauge('steel'),
	gauge_galvanized: gauge('galvanized'),
	gauge_stainless: gauge('stainless'),
	gauge_aluminium: gauge('brown-sharpe'),
	straight_edge_offset: (i) => ({
		offset_guide_on_keep_side_mm: guideOffsetMm('kept', edgeOf(i)),
		offset_guide_on_waste_side_mm: guideOffsetMm('waste', edgeOf(i)),
		difference_mm: guideOffsetMm('waste', edgeOf(i)) - guideOffsetMm('kept', edgeOf(i))
	}),
	circle_guide: (i) => ({
		axis_radius_for_hole_mm: circleRadiusMm(
			'hole',
			num(i, 'finished_diameter'),
			num(i, 'kerf_width')
		),
		axis_radius_for_disc_mm: circleRadiusMm(
			'disc',
			num(i, 'finished_diameter'),
			num(i, 'kerf_width')
		),
		...circleTemplates(i)
	}),
	bevel: (i) => {
		const given = {
			thicknessMm: num(i, 'thickness'),
			layers: 1,
			bevelDeg: num(i, 'bevel_angle_from_square')
		};
		return {
			effective_thickness_mm: arcThicknessMm(given),
			horizontal_setback_mm: bottomShiftMm(given.thicknessMm, given.bevelDeg),
			ratio: arcThicknessMm(given) / given.thicknessMm
		};
	},
	template_rectangle_part: (i) => {
		const { kept, waste } = rectangleTemplates(i, 'part');
		const [rolled] = offsetContour(kept.template[0]!, num(i, 'shield_radius'));
		return {
			template_keep_W_mm: sizeOf(kept.template).w,
			template_keep_H_mm: sizeOf(kept.template).h,
			template_keep_possible: kept.possible,
			frame_waste_W_mm: sizeOf(waste.template).w,
			frame_waste_H_mm: sizeOf(waste.template).h,
			axis_path_W_mm: sizeOf(kept.torch).w,
			axis_path_H_mm: sizeOf(kept.torch).h,
			part_corner_radius_if_rolled_round_sharp_template_mm: kept.corners[0]!.radiusMm,
			axis_path_length_rolled_mm: lengthMm(rolled!)
		};
	},
	template_rectangle_hole: (i) => {
		const { kept, waste } = rectangleTemplates(i, 'hole');
		return {
			female_template_keep_W_mm: sizeOf(kept.template).w,
			female_template_keep_H_mm: sizeOf(kept.template).h,
			...(waste.possible && {
				male_template_waste_W_mm: sizeOf(waste.template).w,
				male_template_waste_H_mm: sizeOf(waste.template).h
			}),
			male_template_possible: waste.possible,
			axis_path_W_mm: sizeOf(kept.torch).w,
			axis_path_H_mm: sizeOf(kept.torch).h,
			hole_corner_radius_with_sharp_female_template_mm: kept.corners[0]!.radiusMm,
			hole_corner_radius_with_sharp_male_template_mm: waste.corners[0]!.radiusMm
		};
	},
	template_L_part: (i) => {
		const [a, b, c, d] = ['A', 'B', 'leg_width_c', 'leg_height_d'].map((n) => num(i, n)) as [
			number,
			number,
			number,
			number
		];
		const contour = [
			[0, 0],
			[a, 0],
			[a, d],
			[c, d],
			[c, b],
			[0, b]
		].map(([x, y]) => ({ x: x!, y: y!, bulge: 0 }));
		const kept = templateOf(i, contour, 'part', 'kept');
		const waste = templateOf(i, contour, 'part', 'waste');
		const radius = (one: typeof kept, kind: 'inside' | 'outside') =>
			one.corners.find((corner) => corner.kind === kind)?.radiusMm ?? 0;
		return {
			part_area_mm2: areaMm2(contour),
			template_keep_possible: kept.possible,
			part_inner_corner_radius_keep_template_sharp_mm: radius(kept, 'inside'),
			part_inner_corner_radius_waste_frame_sharp_mm: radius(waste, 'inside'),
			part_outer_corner_radius_keep_template_sharp_mm: radius(kept, 'outside'),
			part_outer_corner_radius_waste_frame_sharp_mm: radius(waste, 'outside')
		};
	},
	corner_reachability: (i) => {
		// A template with rounds of its own is not drawn here; those cases compare what does not depend on it.
		const sharp = num(i, 'template_corner_radius') === 0;
		return {
			convex_part_corner_waste_template_mm: cornerRadiusMm('outside', 'waste', edgeOf(i)),
			...(sharp && {
				convex_part_corner_keep_template_mm: cornerRadiusMm('outside', 'kept', edgeOf(i)),
				concave_part_corner_keep_template_mm: cornerRadiusMm('inside', 'kept', edgeOf(i)),
				concave_part_corner_waste_template_mm: cornerRadiusMm('inside', 'waste', edgeOf(i))
			})
		};
	},
	melt_energy: (i) => ({
		melt_energy_J_mm3: meltEnergyJMm3({
			...METALS.stainless,
			densityKgM3: num(i, 'density'),
			heatCapacityJKgK: num(i, 'cp_mean'),
			meltingC: num(i, 'melting_point'),
			latentHeatJKg: num(i, 'latent_heat_fusion') * 1000
		})
	}),
	melt_energy_of_material: (i) => ({
		melt_energy_J_mm3: meltEnergyJMm3(
			METALS[i.material === 'mild_steel' ? 'mild-steel' : 'aluminium']
		)
	}),
	property_density: (i) => ({ density: metalNamed(i).densityKgM3 }),
	property_cp_mean: (i) => ({ cp_mean: metalNamed(i).heatCapacityJKgK }),
	property_melting_point: (i) => ({ melting_point: metalNamed(i).meltingC }),
	property_latent_heat_fusion: (i) => ({
		latent_heat_fusion: metalNamed(i).latentHeatJKg / 1000
	}),
	normal_cdf: (i) => ({ phi: normalCdf(num(i, 'z')) }),
	arc_thickness: (i) => ({
		thickness: arcThicknessMm({
			layers: num(i, 'sheets'),
			thicknessMm: num(i, 'thickness'),
			bevelDeg: num(i, 'bevel')
		})
	}),
	window_speed: (i) => ({
		v_low: num(i, 'v_ref') * speedRatioFromLag(15),
		v_high: num(i, 'v_ref') * speedRatioFromLag(30)
	}),
	angle_at_speed_ratio: (i) => ({ theta_deg: lagDegFromRatio(num(i, 'v_over_vref')) }),
	speed_from_observed_angle: (i) => {
		const ratio = speedRatioFromLag(num(i, 'theta'));
		return { v_over_vref: ratio, v_ref: num(i, 'v') / ratio };
	},
	steady_rise: (i) => ({
		dT_ss: ratedRiseK(num(i, 'X_rated'), num(i, 'tau') * 60, num(i, 'T_lim'), num(i, 'T_amb_rated'))
	}),
	duty_and_cold_time_at_ambient: (i) => {
		const tauS = num(i, 'tau') * 60;
		const rise = ratedRiseK(num(i, 'X_rated'), tauS, num(i, 'T_lim'), num(i, 'T_amb_rated'));
		const crossing = firstCrossing(cold(rise, num(i, 'T_amb'), tauS), num(i, 'T_lim'));
		return crossing
			? { reaches_limit_from_cold: true, time_to_limit_from_cold: crossing.atS / 60 }
			: { reaches_limit_from_cold: false };
	},
	cool_down_time: (i) => ({
		time:
			coolingS({
				tauS: num(i, 'tau') * 60,
				fromC: num(i, 'T_start'),
				toC: num(i, 'T_restart'),
				ambientC: num(i, 'T_amb')
			}) / 60
	}),
	ansi_z49_1_by_current: (i) => {
		const s = shades(num(i, 'current'), 'north-america');
		return {
			minimum_shade: s.ansiLeast,
			suggested_shade: s.ansiSuggested,
			osha_minimum_shade: s.osha
		};
	},
	ansi_z49_1_edge: (i) => {
		const s = shades(num(i, 'current'), 'north-america');
		return { minimum_shade_upper_band: s.ansiLeast, suggested_upper_band: s.ansiSuggested };
	},
	groove_area: (i) => ({ parabola_mm2: stringAreaMm2(num(i, 'width'), num(i, 'depth')) }),
	mass_removed: (i) => {
		// The speed that a removal rate gives, turned round: rate → speed must be the case's speed.
		const area = (num(i, 'width') * num(i, 'depth')) / 2;
		const kgS = num(i, 'density') * 1e-9 * area * (num(i, 'speed') / 60);
		return {
			rate_kg_per_h:
				(kgS * 3600 * gougeSpeedMmS(kgS, num(i, 'density'), area) * 60) / num(i, 'speed')
		};
	},
	fillet_weld: (i) => {
		const area_mm2 = filletMm2(num(i, 'leg'));
		return { area_mm2, mass_kg_per_m: area_mm2 * METALS['mild-steel'].densityKgM3 * 1e-6 };
	},
	fillet_weld_trade: (i) => {
		const area_mm2 = filletMm2(num(i, 'leg'));
		const mass_kg_per_m = area_mm2 * METALS['mild-steel'].densityKgM3 * 1e-6;
		const speed = gougeSpeedMmS(
			num(i, 'removal_kg_h') / 3600,
			METALS['mild-steel'].densityKgM3,
			area_mm2
		);
		return { area_mm2, mass_kg_per_m, seconds_per_m: 1000 / speed };
	},
	strings_union: (i) => {
		const area_mm2 = stringsAreaMm2(num(i, 'n'), num(i, 'width'), num(i, 'depth'));
		return {
			area_mm2,
			share_of_sum: area_mm2 / (num(i, 'n') * stringAreaMm2(num(i, 'width'), num(i, 'depth')))
		};
	},
	strings_cover: (i) => ({
		share_of_sum: stringsAreaMm2(num(i, 'n'), 1, 1) / (num(i, 'n') * stringAreaMm2(1, 1)),
		ridge_share: 1 - depthAtMm(1, 1, STEP_SHARE / 2)
	}),
	root_radius: (i) => {
		const size = { target: 'back' as const, widthMm: 1, legMm: 5, upLegMm: null };
		const { widthMm, depthMm } = sectionOf(
			{ ...size, depthMm: num(i, 'depth'), rootRadiusMm: num(i, 'radius') },
			0,
			Infinity
		);
		return { width_mm: widthMm, vertex_radius_mm: widthMm ** 2 / (8 * depthMm) };
	},
	spot: (i) => ({ volume_mm3: spotMm3(num(i, 'diameter'), num(i, 'depth')) }),
	removal_range: (i) => {
		const kgH = removalKgS(outputPowerW(num(i, 'amps')), REMOVAL_J_PER_KG_STEEL) * 3600;
		return { kg_h_least: kgH, kg_h_most: kgH };
	},
	string_width: (i) => {
		const kgS = removalKgS(outputPowerW(num(i, 'amps')), REMOVAL_J_PER_KG_STEEL);
		const areaMm2 = removalMm3S(kgS, METALS['mild-steel'].densityKgM3) / num(i, 'speed');
		// 2/3·w·d with d = r·w.
		return { width_mm: Math.sqrt((1.5 * areaMm2) / depthOverWidth(num(i, 'angle'))) };
	},
	mass_balance: (i) => ({
		speed_mm_s: gougeSpeedMmS(num(i, 'removal_kg_s'), num(i, 'density'), num(i, 'area'))
	}),
	trade_ladder: (i) => ({ amps: ladderA(num(i, 'thickness_mm')) }),
	trade_lamp: (i) => {
		const rise = ratedRiseK(num(i, 'duty'), 300, 130, num(i, 'rated_C'));
		return { lamp_min: firstCrossing(cold(rise, num(i, 'shop_C'), 300), 130)!.atS / 60 };
	},
	trade_gouge: (i) => ({
		kg_h: removalKgS(outputPowerW(num(i, 'amps')), REMOVAL_J_PER_KG_STEEL) * 3600
	}),
	trade_wear: (i) => ({
		pit_mm:
			growthUm({
				...NO_USE,
				starts: num(i, 'starts'),
				arcMin: (num(i, 'starts') * num(i, 'arc_s')) / 60,
				loadMin: (num(i, 'starts') * num(i, 'arc_s')) / 60
			}) / 1000
	}),
	weibull_mle: (i) => {
		const fit = weibullFit(lives(i, 'failures'), lives(i, 'right_censored'))!;
		return {
			shape: fit.shape,
			scale: fit.scale,
			B10: remainingLife(fit, 0, 0.9),
			median: remainingLife(fit, 0, 0.5)
		};
	},
	weibull_no_finite_mle: (i) => ({
		finite_mle_exists: weibullFit(lives(i, 'failures'), lives(i, 'right_censored')) !== undefined
	}),
	weibull_known_shape: (i) => ({
		scale: weibullScale(num(i, 'shape'), lives(i, 'failures'), lives(i, 'right_censored'))
	}),
	weibull_mle_exponential: (i) => ({
		scale: weibullScale(1, lives(i, 'failures'), lives(i, 'right_censored'))
	}),
	conditional_remaining_life: (i) => {
		const fit = { shape: num(i, 'shape'), scale: num(i, 'scale') };
		const left = (share: number) => remainingLife(fit, num(i, 'age'), share);
		return {
			median_remaining: left(0.5),
			remaining_with_90pct_survival: left(0.9),
			remaining_with_10pct_survival: left(0.1),
			survival_over_look_ahead: survives(fit, num(i, 'age'), num(i, 'look_ahead'))
		};
	},
	nnls_wear: (i) => {
		const rows = String(i.rows_starts_minutes_pierces).split(';').map(numbers);
		const y = lives(i, 'wear');
		const columns = [0, 1, 2];
		const x = nnls(
			columns.map((a) => columns.map((b) => rows.reduce((sum, r) => sum + r[a]! * r[b]!, 0))),
			columns.map((a) => rows.reduce((sum, r, k) => sum + r[a]! * y[k]!, 0))
		)!;
		return { coef_starts: x[0]!, coef_minutes: x[1]!, coef_pierces: x[2]! };
	},
	cost_per_metre: (i) => {
		const arcS = 1000 / num(i, 'speed_mm_s');
		const growth = growthUm(
			{
				...NO_USE,
				starts: num(i, 'starts_per_m'),
				loadMin: arcS / 60
			},
			{
				...RATES_UM,
				start: num(i, 'um_per_start'),
				arcMinute: num(i, 'um_per_arc_min')
			}
		);
		const airL = ((arcS + num(i, 'starts_per_m') * num(i, 'post_flow_s')) * num(i, 'air_lpm')) / 60;
		const of = (over: Partial<CostInputs>) =>
			costOfCut({
				arcS,
				handlingS: num(i, 'handling_s_per_m'),
				ratePerH: num(i, 'rate_per_h'),
				pricePerKwh: num(i, 'price_per_kwh'),
				pairPrice: num(i, 'set_price'),
				pairShare: growth / num(i, 'pit_limit_um'),
				inputW: outputPowerW(num(i, 'output_a')) / num(i, 'efficiency'),
				airL,
				kwPerLpm: num(i, 'compressor_kw') / num(i, 'compressor_fad_lpm'),
				pricePerAirL: 0,
				...over
			});
		const cost = of({});
		const kwhAir = of({ inputW: 0 }).kwh;
		return {
			labour_money: cost.labour,
			labour_arc_only_money: of({ handlingS: 0 }).labour,
			parts_money: cost.parts,
			kwh: cost.kwh - kwhAir,
			kwh_air: kwhAir,
			total_per_m: totalOf(cost)
		};
	},
	cost_labour: (i) => {
		const labour = (handlingS: number) =>
			costOfCut({ ...FREE, arcS: num(i, 'arc_s'), handlingS, ratePerH: num(i, 'rate_per_h') })
				.labour;
		return { arc_only: labour(0), with_handling: labour(num(i, 'handling_s')) };
	},
	cost_kwh: (i) => ({
		kwh: costOfCut({ ...FREE, arcS: num(i, 'arc_s'), inputW: num(i, 'input_w') }).kwh
	}),
	reorder_point: (i) => {
		const point = reorderOf(i);
		return { reorder_point: point, reorder_at_whole: Math.ceil(point - 1e-9) };
	},
	reorder_lead_spread: (i) => ({ reorder_point: reorderOf(i) }),
	poisson_reorder: (i) => ({ at: poissonReorderPoint(num(i, 'expected')) }),
	run_out_date: (i) => {
		const days = daysLeft(num(i, 'stock'), num(i, 'use_per_week'))!;
		return {
			days_left: days,
			runs_out_on: dayAfter(String(i.today), days),
			reorder_point: reorderOf(i),
			order_now: num(i, 'stock') <= reorderOf(i)
		};
	},
	trade_bore: (i) => {
		const arcMin = (num(i, 'starts') * num(i, 'arc_s')) / 60;
		const use = { ...NO_USE, starts: num(i, 'starts'), arcMin, loadMin: arcMin };
		return { grown_mm: growthUm(use, BORE_RATES_UM) / 1000 };
	},
	trade_trip: (i) => ({
		latest_s: tripS(
			tripCurves(i.standard as BreakerStandard, num(i, 'rating_A')).latest,
			num(i, 'multiple')
		)
	}),
	trade_tau: (i) => ({
		latest_tau_s: tripCurves(i.standard as BreakerStandard, num(i, 'rating_A')).latest.tauS
	}),
	trade_15A_120V: (i) => {
		// Efficiency 0.85 and power factor 0.98 of a corrected inverter, 35 % of ten minutes.
		const inputA = outputPowerW(num(i, 'amps')) / (0.85 * 0.98) / 120;
		const { latest } = tripCurves('ul489', 15);
		const peak = settledPeak({
			tauS: latest.tauS,
			onTarget: (inputA / 15) ** 2,
			offTarget: 0,
			onS: 210,
			offS: 390,
			start: 0
		});
		return { will_trip: peak > latest.tripHeat };
	},
	trade_capacity: (i) => {
		const clean = num(i, 'steel_mm');
		const rating = { nozzleA: 20, outputA: 20, cleanMm: clean, severMm: 2 * clean };
		const { cleanMm } = steelLimitsMm([rating], rating);
		return { capacity_mm: METALS[i.metal as MetalId].capacity * cleanMm };
	},
	speed_pooled: (i) => ({ speed_mm_min: lawAt(i).referenceMmMin }),
	speed_two_machines: (i) => {
		if (i.machine_max_A_1 === undefined) return { speed_mm_min: lawAt(i).referenceMmMin };
		const ratio = lawAt(i, { of: '_1' }).referenceMmMin / lawAt(i, { of: '_2' }).referenceMmMin;
		return { speed_ratio_1_over_2_at_least: ratio, speed_ratio_1_over_2_at_most: ratio };
	},
	speed_label_clean: (i) => ({ speed_mm_min: lawAt(i).referenceMmMin }),
	speed_label_sever: (i) => ({ speed_mm_min: lawAt(i).fastestMmMin }),
	speed_beyond: (i) => ({ has_speed: lawAt(i).parts ? 1 : 0 }),
	speed_chart: (i) => {
		const speed = lawAt(i).referenceMmMin;
		return { speed_mm_min: speed, speed_mm_min_at_least: speed, speed_mm_min_at_most: speed };
	},
	speed_monotone: (i) => ({
		speed_ratio_1_over_2_at_least:
			lawAt(i, { place: '_1' }).referenceMmMin / lawAt(i, { place: '_2' }).referenceMmMin
	}),
	speed_metal: (i) => {
		const ratio = lawAt(i).referenceMmMin / lawAt({ ...i, metal: 'mild-steel' }).referenceMmMin;
		return {
			speed_ratio_metal_over_steel_at_least: ratio,
			speed_ratio_metal_over_steel_at_most: ratio
		};
	},
	speed_test_cuts: (i) => {
		const [after, before] = [lawAt(i), lawAt(i, { tests: false })];
		const ratio = after.referenceMmMin / before.referenceMmMin;
		return {
			speed_mm_min_at_least: after.referenceMmMin,
			speed_mm_min_at_most: after.referenceMmMin,
			speed_ratio_after_over_before_at_least: ratio,
			speed_ratio_after_over_before_at_most: ratio,
			vmax_ratio_after_over_before_at_most: after.fastestMmMin / before.fastestMmMin
		};
	},
	cord_guard: (i) => ({
		guard: cordGuard({
			system: i.system as 'iec',
			size: i.size as ConductorSize,
			kind: 'made-up',
			labelA: null,
			deviceA: num(i, 'device_A')
		}).verdict
	}),
	wire_guard: (i) => ({
		guard: wireGuard({
			system: i.system as 'iec',
			size: i.size as ConductorSize,
			method: 'conduit',
			deviceA: num(i, 'device_A'),
			machineOnly: num(i, 'alone')
				? { inputMaxA: num(i, 'I1max_A'), neededA: num(i, 'needed_A') }
				: null
		}).verdict
	}),
	bevel_gap: (i) => ({ gap_mm: bevelGapMm(num(i, 'face_radius_mm'), num(i, 'bevel_deg')) }),
	circle_way: (i) => ({
		way_mm:
			2 *
			Math.PI *
			circleRadiusMm(i.kind as 'hole' | 'disc', num(i, 'diameter_mm'), num(i, 'kerf_mm'))
	}),
	nozzle_load: (i) => ({ load: nozzleLoad(num(i, 'amps_A'), num(i, 'nozzle_A')) }),
	duty_effective: (i) => ({
		I1eff_A: effectiveCurrentA(num(i, 'I1_A'), num(i, 'I0_A'), num(i, 'X'))
	}),
	inverse_mills: (i) => ({ ratio: inverseMills(num(i, 'z')) }),
	trade_lag: (i) => ({ correction: 1 / speedRatioFromLag(num(i, 'lag_deg')) })
};

const outputPowerW = (outputA: number) => outputA * loadVoltageV(outputA);

/** Rows of numbers among the inputs of a case. */
const rowsOf = (i: Inputs, name: string) => (i[name] ?? []) as unknown as number[][];

/** The law of a case: one machine of two, one place of two, with or without its test cuts. */
function lawAt(
	i: Inputs,
	{ of = '', place = '', tests = true }: { of?: string; place?: string; tests?: boolean } = {}
) {
	const nozzleA = num(i, 'nozzle_A');
	const labelled = i[`label_clean_mm${of}`] !== undefined;
	// Nothing known of the machine: an ordinary label that speaks for some other nozzle.
	const rating = labelled
		? {
				nozzleA: num(i, `label_nozzle_A${of}`),
				outputA: num(i, `machine_max_A${of}`),
				cleanMm: num(i, `label_clean_mm${of}`),
				severMm: num(i, `label_sever_mm${of}`)
			}
		: { nozzleA: -1, outputA: 45, cleanMm: 12.48, severMm: 22 };
	const reading = (
		[outputA, thicknessMm, mmMin, lagDeg]: readonly number[],
		kind: 'lag' | 'missed'
	): SpeedReading => ({
		metal: 'mild-steel',
		nozzleA: kind === 'lag' ? Number(i.test_cuts_nozzle_A ?? nozzleA) : nozzleA,
		outputA: outputA!,
		thicknessMm: thicknessMm!,
		kind,
		lnMmMin: Math.log(kind === 'lag' ? mmMin! / speedRatioFromLag(lagDeg!) : mmMin!),
		weight: 1
	});
	const law = speedLaw({
		metal: METALS[(i.metal ?? 'mild-steel') as MetalId],
		nozzleA,
		ratings: [rating],
		chart: rowsOf(i, 'chart_rows_A_mm_mm_min').map(([outputA, thicknessMm, mmMin]) => ({
			outputA: outputA!,
			thicknessMm: thicknessMm!,
			speedMmS: mmMin! / 60
		})),
		readings: tests
			? [
					...rowsOf(i, 'test_cuts_A_mm_mm_min_lagdeg').map((row) => reading(row, 'lag')),
					...rowsOf(i, 'not_through_A_mm_mm_min').map((row) => reading(row, 'missed'))
				]
			: []
	});
	return law.at({
		outputA: Number(i[`amps${place}_A`] ?? i.amps_A),
		thicknessMm: Number(i[`thickness${place}_mm`] ?? i.thickness_mm)
	});
}

function tripS(curve: { tauS: number; tripHeat: number }, multiple: number): number {
	const crossing = firstCrossing(
		{ tauS: curve.tauS, onTarget: multiple ** 2, offTarget: 0, onS: 1, offS: 0, start: 0 },
		curve.tripHeat
	);
	return crossing?.atS ?? Infinity;
}

function trips(standard: BreakerStandard, ratingA: number): Record<string, Value> {
	const { earliest, latest } = tripCurves(standard, ratingA);
	return {
		current_100pct_holds_A: ratingA * Math.sqrt(earliest.tripHeat),
		current_135pct_A: ratingA * Math.sqrt(latest.tripHeat),
		max_trip_time_at_200pct_min: tripS(latest, 2) / 60
	};
}

/** What the parser reads for the value in one unit, told in another. */
function unitConversion(i: Inputs): Record<string, Value> {
	const from = String(i.from);
	const to = String(i.to);
	const quantity = ['cfm', 'l/min', 'm3/h'].includes(to)
		? 'flow'
		: to === 'l'
			? 'volume'
			: 'pressure';
	const read = (text: string) => parseQuantity(text, { quantity, units: 'metric' });
	return { value: read(`${num(i, 'value')} ${from}`) / read(`1 ${to}`) };
}

/** Air at 20 °C terms left aside: the cases count free air at the shop's own temperature. */
function shopWater(i: Inputs, cooledToC: number) {
	return waterLine({
		flowLpm: num(i, 'FAD') * (i.load_fraction === undefined ? 1 : num(i, 'load_fraction')),
		shopC: num(i, 'ambient_temperature'),
		humidity: num(i, 'RH') / 100,
		ambientHPa: SEA_LEVEL_HPA,
		tankRiseK: cooledToC - num(i, 'ambient_temperature'),
		tankBar: num(i, 'pressure'),
		tankL: 100,
		coolingM: 0,
		inletBar: num(i, 'pressure'),
		stages: []
	});
}

function zoneOf(multiple: number, [least, most]: readonly [number, number]): string {
	const { earliest, latest } = tripCurves('iec60898', 16);
	if (multiple ** 2 <= earliest.tripHeat) return 'no trip within conventional time';
	if (multiple >= most) return 'must trip instantaneously';
	if (multiple > least) return 'may trip instantaneously';
	return multiple ** 2 >= latest.tripHeat
		? 'trips within conventional time'
		: 'may or may not trip';
}
