/** The cutter by its data plate. */
import { REGULATORS } from './plate';
import * as v from 'valibot';
import { within, nameOf } from '../quantity/within';

export const phases = v.picklist([1, 3], '1 or 3 phases');

const DutyPairSchema = v.object({
	outputA: within(5, 500, 'A'),
	dutyShare: within(0.05, 1, '(share of ten minutes)')
});

/** What the person calls a thing on the machine; empty: not told. */
const called = v.optional(
	v.pipe(
		v.string('text'),
		v.trim(),
		v.maxLength(60, 'at most 60 characters'),
		// eslint-disable-next-line no-control-regex -- control characters are what is refused
		v.regex(/^[^\u0000-\u001f\u007f]*$/, 'one line of text')
	),
	''
);
/** What a lamp of a cutter tells (common practice), by the name that the finder of faults knows it under. */
export const LAMPS = ['pressure', 'cap', 'heat', 'fault'] as const;
export type Lamp = (typeof LAMPS)[number];

export const CutterSchema = v.object({
	name: nameOf('cutter name'),
	/** One entry per input voltage on the data plate. */
	inputs: v.pipe(
		v.array(
			v.object({
				voltageV: within(90, 690, 'V'),
				phases,
				/** Largest supply current, I1max; null: not on the plate. */
				inputMaxA: v.nullable(within(1, 200, 'A')),
				/** Effective supply current, I1eff; null: worked out from the duty pairs. */
				inputEffA: v.optional(v.nullable(within(1, 200, 'A')), null),
				/** Fuse or breaker that the label itself asks for; null: none named. */
				fuseA: v.optional(v.nullable(within(6, 250, 'A')), null),
				outputMaxA: within(5, 500, 'A'),
				duty: v.pipe(
					v.array(DutyPairSchema),
					v.minLength(1, 'at least one duty pair'),
					v.maxLength(8, 'at most 8 duty pairs')
				)
			})
		),
		v.minLength(1, 'at least one input voltage'),
		v.maxLength(8, 'at most 8 input voltages')
	),
	outputMinA: within(5, 500, 'A'),
	/** Used where the plate gives no supply current: near 0.7 without correction, 0.95 with it. */
	powerFactor: within(0.3, 1, ''),
	efficiency: within(0.4, 1, ''),
	/** Arc voltage on the plate, U2; null: the conventional one. */
	arcVoltageV: v.nullable(within(40, 400, 'V')),
	/** Air at the inlet as on the plate, free air; null: not given. */
	airFlowLpm: v.nullable(within(5, 2000, 'l/min')),
	airMinBar: within(0.5, 15, 'bar'),
	airMaxBar: within(0.5, 15, 'bar'),
	/** Peak at switch-on; null: not known. */
	inrushA: v.nullable(within(1, 2000, 'A')),
	/** How a machine for several voltages is told which one it is on. */
	voltageBy: v.picklist(['itself', 'selector'], 'itself or selector'),
	/** Supply volts it takes, above and below its own, as a share: 0.1 unless the label says otherwise. */
	toleranceShare: v.optional(within(0.02, 0.3, '(share)'), 0.1),
	/**
	 * Who sets the working pressure: the machine by itself from lead, torch and mode; a person at its own
	 * regulator in a set or test position; or there is none in it, and the shop's regulator is it.
	 */
	regulator: v.optional(v.picklist(REGULATORS, `one of ${REGULATORS.join(', ')}`), 'itself'),
	/** Working pressure that it is set to, or sets; null: not told. */
	workingBar: v.optional(v.nullable(within(0.5, 15, 'bar')), null),
	/** What each lamp looks like on this machine, or what its display shows; empty: not told. */
	lamps: v.optional(
		v.object({ pressure: called, cap: called, heat: called, fault: called }),
		() => ({ pressure: '', cap: '', heat: '', fault: '' })
	),
	/** Mild steel ratings. */
	cleanMm: within(1, 100, 'mm'),
	severMm: within(1, 150, 'mm')
});

export type PlateInput = v.InferOutput<typeof CutterSchema>['inputs'][number];

export type Cutter = v.InferOutput<typeof CutterSchema>;

/** The shop as far as the cutter asks. */
export interface CutterBench {
	supply: { nominalV: number; phases: 1 | 3 };
	cutter: Cutter;
}

export const CUTTER_EVIDENCE = {
	/** Timed lamp: factor on the rise, and the time constant when the recovery was timed too. */
	heat: v.optional(
		v.nullable(
			v.object({
				n: v.pipe(v.number(), v.integer(), v.minValue(1)),
				riseFactor: within(0.1, 20, ''),
				tauS: v.nullable(within(10, 7200, 's'))
			})
		),
		null
	)
};
export type CutterEvidence = v.InferOutput<v.ObjectSchema<typeof CUTTER_EVIDENCE, undefined>>;
