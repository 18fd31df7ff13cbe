/** What each figure of the circuit comes from, in one plain sentence. */
import { told, type Told } from '../figure/finding';
import type { PlainOf } from '../figure/reason';
import type { BREAKER_FIGURES } from './figures/breaker';
import type { LOAD_FIGURES } from './figures/loads';
import type { SUPPLY_FIGURES } from './figures/supply';
import type { WIRING_FIGURES } from './figures/wiring';
import type { CircuitView } from './workings';

const NOT_DELIVERED =
	'The way from the panel has so much resistance ({R}) that it cannot carry this power at all.';

/** Where the volts stay: by part where the wiring is worked out, as a whole where it was measured. */
function lostOnTheWay(w: CircuitView): Told {
	const { inputA, delivered } = w.draw;
	const volts = (ohm: number) => ({ value: inputA * ohm, quantity: 'voltage' as const });
	const left = { value: delivered.ok ? delivered.voltageV : 0, quantity: 'voltage' as const };
	const { sourceV, wireOhm, cordOhm, serviceOhm } = w.wiring;
	const start = { value: sourceV, quantity: 'voltage' as const };
	if (w.inputs.evidence.loopOhm) {
		return told`Of ${start} at the panel the whole way, as you measured it, leaves ${left} at the cutter.`;
	}
	return cordOhm > 0
		? told`Of ${start} the wire takes ${volts(wireOhm)}, the cord ${volts(cordOhm)}, the service ${volts(serviceOhm)}: ${left} are left at the cutter.`
		: told`Of ${start} the wire takes ${volts(wireOhm)}, the service ${volts(serviceOhm)}: ${left} are left at the cutter.`;
}

export const SUPPLY_PLAIN = {
	'supply.sourceV': {
		nominal: 'The volts of the outlet as you gave them: nobody has measured yet.',
		measured: 'The volts you measured with nothing running.'
	},
	'supply.arcV': {
		conventional: 'At {I} the standard counts {value} across the arc; the label does not say.',
		plate: 'The volts across the arc as the label gives them.'
	},
	'supply.outputW': '{I} at {U_2} make {value} in the arc.',
	'supply.apparentVA': {
		measured: 'The model says {S_m}; your clamp meter says {r} times that.',
		plate: 'The label draws {I_1max} at {V_p} for full amps; this is the share for these amps.',
		estimated:
			'{P} in the arc, more by losses and the power factor: the label gives no supply amps.'
	},
	'supply.powerFactor': '{P} in the arc against {S} drawn: what the amps on the label imply.',
	'supply.voltageV': { loaded: lostOnTheWay, impossible: NOT_DELIVERED },
	'supply.receptacleV': {
		loaded: '{I_1} through everything before the outlet; the cord comes after it.',
		impossible: NOT_DELIVERED
	},
	'supply.dropShare': {
		loaded: '{V_0} at the panel and {V} at the cutter: the rest stays on the way.',
		impossible: NOT_DELIVERED
	},
	'supply.inputA': {
		loaded: '{S} at {V}: the lower the volts, the more amps it draws.',
		impossible: '{S} at {V_0}; the way cannot carry it.'
	},
	'supply.effectiveA':
		'{I_1} while cutting, next to nothing in the pauses: this is what heats the wire.',
	'supply.neededA': {
		'north-america': '{I_1max} on the label, less by a factor of {m} for the duty.',
		iec: '{I_1} while cutting, spread over the rated ten minutes.'
	}
} satisfies PlainOf<typeof SUPPLY_FIGURES, CircuitView>;

export const WIRING_PLAIN = {
	'supply.serviceOhm': {
		generator: 'What the generator’s volts give way from idle to full load.',
		assumed: 'Nobody has told the service: a usual one is taken.',
		entered: 'The service as you entered it.'
	},
	'supply.wireOhm': '{L} there and the same back, at {r} ohms a kilometre when warm.',
	'supply.cordOhm': {
		cord: '{L} of cord there and the same back.',
		none: 'There is no extension cord.'
	},
	'supply.resistanceOhm': {
		model: 'Service {R_s}, wire {R_w} and cord {R_c}, one after the other.',
		measured: 'You measured {R_m}; what was changed on the bench since is added.'
	},
	'supply.wireCarriesA': 'A table says what such a wire carries all day without getting too warm.',
	'supply.cordCarriesA': {
		cord: 'What such a cord carries all day, laid out straight.',
		none: 'There is no cord to carry anything.'
	},
	'supply.nearestA': 'The smaller of the breaker and a fuse in the plug guards the cord.',
	'supply.inputEffA': {
		plate: 'The label tells it.',
		worked: 'The label does not tell it: the largest over its duty figures.'
	}
} satisfies PlainOf<typeof WIRING_FIGURES, CircuitView>;

const HEATS = {
	cyclic: 'It warms in every cut of {t_on} and cools in every pause of {t_off}; at 100 % it trips.',
	steady: 'It warms without a pause; at 100 % it trips.',
	run: 'The hottest moment of the whole work; at 100 % it trips.'
};
const TRIPS = {
	trips: 'The breaker’s strip gets as hot as its tripping point then.',
	never: 'It gets no hotter than {peak} of what trips it.'
};

export const BREAKER_PLAIN = {
	'supply.breakerA': '{I_n} on the breaker, at {T} around it: warmer trips sooner.',
	'supply.breakerPeak': HEATS,
	'supply.breakerPeakLate': HEATS,
	'supply.tripEarliestS': TRIPS,
	'supply.tripLatestS': TRIPS,
	'supply.runsOnA': {
		solved:
			'At {I_fail} something stops this work, even a breaker of the earliest kind; one less runs.',
		full: 'Even the cutter’s full {I_max} runs on.',
		none: 'No amps of this cutter surely run on here.'
	},
	'supply.mayRunOnA': {
		solved: 'With a breaker of the latest kind {I_m} still run.',
		none: 'No amps of this cutter run on here.'
	}
} satisfies PlainOf<typeof BREAKER_FIGURES, CircuitView>;

export const LOAD_PLAIN = {
	'supply.sharedA': '{I_a} that are always on and {I_c} with the compressor.',
	'supply.sharedV': '{V_0} less what the other loads ({I_o}) take on the way.',
	'supply.startA': '{I_run} that run, and {I_start} more for the moment in which something starts.',
	'supply.magneticA': 'From {m} times its {I_n} a breaker of this kind may open at once.',
	'supply.generatorShare': {
		generator: '{S} for the cutter beside the other loads, of {S_g}.',
		mains: 'It hangs on the mains, not on a generator.'
	}
} satisfies PlainOf<typeof LOAD_FIGURES, CircuitView>;
