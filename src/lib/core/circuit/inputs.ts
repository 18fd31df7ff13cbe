/** Circuits, what hangs on them, and what stands between the panel and the cutter. */
import * as v from 'valibot';
import { BREAKER_CURVES, BREAKER_STANDARDS } from './breaker';
import { CONDUCTOR_SIZES, WIRE_METHODS } from './conductors';
import { EARTH_FAULT_DEVICES } from './earthFault';
import { phases, type CutterBench } from '../cutter/inputs';
import { StatSchema } from '../quantity/stat';
import { nameOf, within } from '../quantity/within';

const conductor = (most: number) => ({
	size: v.picklist(CONDUCTOR_SIZES, `one of ${CONDUCTOR_SIZES.join(', ')}`),
	lengthM: within(0.1, most, 'm')
});

export const CORD_KINDS = ['made-up', 'listed'] as const;

/** A circuit from the panel to a receptacle. */
const CIRCUIT = {
	nominalV: within(90, 690, 'V'),
	phases,
	breaker: v.object({
		standard: v.picklist(BREAKER_STANDARDS, 'ul489 or iec60898'),
		curve: v.picklist(BREAKER_CURVES, 'B, C or D'),
		ratingA: within(6, 125, 'A')
	}),
	wire: v.object({ ...conductor(500), method: v.picklist(WIRE_METHODS, 'conduit or clipped') }),
	receptacleA: within(6, 125, 'A'),
	/** What watches for current that goes astray. */
	earthFault: v.picklist(EARTH_FAULT_DEVICES, `one of ${EARTH_FAULT_DEVICES.join(', ')}`)
};

const LoadSchema = v.object({
	name: nameOf('load name'),
	/** Name of the circuit it is on. */
	on: nameOf('circuit name'),
	currentA: within(0, 100, 'A'),
	/** Starting current over running current: 1 lamps and heaters, about 6 motors. */
	startMultiple: within(1, 12, ''),
	/** All the time, or while the compressor runs. */
	when: v.picklist(['always', 'compressor'], 'always or compressor')
});

export const SupplySchema = v.pipe(
	v.object({
		system: v.picklist(['north-america', 'iec'], 'north-america or iec'),
		/** Name of the circuit that the cutter is on. */
		circuit: nameOf('circuit name'),
		...CIRCUIT,
		/** Service up to the panel, there and back; null: the stated default. */
		serviceOhm: v.nullable(within(0.001, 5, 'Ω')),
		/** In place of the mains. */
		generator: v.nullable(
			v.object({
				ratedVA: within(500, 500_000, 'VA'),
				ratedW: within(500, 500_000, 'W'),
				/** Volts lost from no load to full load, as a share. */
				regulation: within(0, 0.4, '(share)')
			})
		),
		/** A fuse in the plug of cord or machine; null: none. */
		plugFuseA: v.optional(v.nullable(within(1, 63, 'A')), null),
		cord: v.nullable(
			v.object({
				...conductor(100),
				/** Made up in the shop, or a listed set that goes by its own label. */
				kind: v.optional(v.picklist(CORD_KINDS, 'made-up or listed'), 'made-up'),
				/** Amps on the label of a listed set; null: not read. */
				labelA: v.optional(v.nullable(within(1, 125, 'A')), null)
			})
		),
		/** The other circuits of the shop. */
		elsewhere: v.pipe(
			v.array(v.object({ name: nameOf('circuit name'), ...CIRCUIT })),
			v.maxLength(8, 'at most 8 more circuits')
		),
		/** What else runs in the shop. */
		loads: v.pipe(v.array(LoadSchema), v.maxLength(16, 'at most 16 loads')),
		/** Around the breaker, °C. */
		ambientC: within(-30, 60, '°C')
	}),
	v.forward(
		v.check((s) => {
			const names = circuitNames(s);
			return new Set(names).size === names.length;
		}, 'a name of its own for every circuit'),
		['circuit']
	),
	v.forward(
		v.check(
			(s) => s.loads.every((load) => circuitNames(s).includes(load.on)),
			'the name of a circuit for every load'
		),
		['loads']
	)
);

function circuitNames(s: { circuit: string; elsewhere: readonly { name: string }[] }): string[] {
	return [s.circuit, ...s.elsewhere.map((circuit) => circuit.name)];
}

export type Supply = v.InferOutput<typeof SupplySchema>;
export type Load = Supply['loads'][number];
export type Circuit = Supply['elsewhere'][number];

/** The shop as far as the circuit asks. */
export interface CircuitBench extends CutterBench {
	supply: Supply;
	air: { source: 'compressor' | 'bottle' | 'built-in' };
}

export const CIRCUIT_EVIDENCE = {
	sourceV: v.nullable(StatSchema),
	/** Ohms there and back, with what the wiring model said when it was measured. */
	loopOhm: v.nullable(v.object({ ...StatSchema.entries, modelOhm: v.number() })),
	/** Apparent power by clamp meter over the model's. */
	powerRatio: v.optional(v.nullable(StatSchema), null),
	/** Where between the earliest (0) and the latest (1) curve the breaker was seen to lie. */
	trip: v.optional(
		v.nullable(
			v.object({
				n: v.pipe(v.number(), v.integer(), v.minValue(1)),
				lowShare: within(0, 1, ''),
				highShare: within(0, 1, '')
			})
		),
		null
	)
};
export type CircuitEvidence = v.InferOutput<v.ObjectSchema<typeof CIRCUIT_EVIDENCE, undefined>>;
