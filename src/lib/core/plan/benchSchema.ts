/**
 * The bench: one Valibot schema serves types, forms, the API and the published JSON Schema.
 * All numbers are in the core's units; every range is closed.
 */
import * as v from 'valibot';
import { BREAKER_CURVES, BREAKER_STANDARDS } from '../circuit/breaker';
import { CONDUCTOR_SIZES, WIRE_METHODS } from '../circuit/conductors';
import { within } from './within';

/** A name in one line of ordinary text. */
const nameOf = (what: string) =>
	v.pipe(
		v.string(`${what}: text`),
		v.trim(),
		v.minLength(1, `${what} needs 1 to 60 characters`),
		v.maxLength(60, `${what} needs 1 to 60 characters`),
		// eslint-disable-next-line no-control-regex -- control characters are what is refused
		v.regex(/^[^\u0000-\u001f\u007f]*$/, `${what} takes one line of text`)
	);

const conductor = (most: number) => ({
	size: v.picklist(CONDUCTOR_SIZES, `one of ${CONDUCTOR_SIZES.join(', ')}`),
	lengthM: within(0.1, most, 'm')
});

const phases = v.picklist([1, 3], '1 or 3 phases');

export const SupplySchema = v.object({
	system: v.picklist(['north-america', 'iec'], 'north-america or iec'),
	phases,
	nominalV: within(90, 690, 'V'),
	/** Service up to the panel, there and back; null: the stated default. */
	serviceOhm: v.nullable(within(0.001, 5, 'Ω')),
	breaker: v.object({
		standard: v.picklist(BREAKER_STANDARDS, 'ul489 or iec60898'),
		curve: v.picklist(BREAKER_CURVES, 'B, C or D'),
		ratingA: within(6, 125, 'A')
	}),
	wire: v.object({ ...conductor(500), method: v.picklist(WIRE_METHODS, 'conduit or clipped') }),
	receptacleA: within(6, 125, 'A'),
	cord: v.nullable(v.object(conductor(100))),
	/** Everything else on the same breaker, A. */
	otherLoadA: within(0, 100, 'A'),
	/** Around the breaker, °C. */
	ambientC: within(-30, 60, '°C')
});

const DutyPairSchema = v.object({
	outputA: within(5, 500, 'A'),
	dutyShare: within(0.05, 1, '(share of ten minutes)')
});

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
	/** Mild steel ratings. */
	cleanMm: within(1, 100, 'mm'),
	severMm: within(1, 150, 'mm')
});

export const TorchSchema = v.object({
	name: nameOf('torch name'),
	shieldRadiusMm: within(3, 40, 'mm'),
	/** The side of the kerf that comes out square, in the direction of travel. */
	squareSide: v.picklist(['right', 'left'], 'right or left'),
	nozzles: v.pipe(
		v.array(
			v.object({
				ratingA: within(5, 500, 'A'),
				boreMm: within(0.3, 6, 'mm'),
				kind: v.picklist(['cut', 'gouge'], 'cut or gouge')
			})
		),
		v.minLength(1, 'at least one nozzle'),
		v.maxLength(20, 'at most 20 nozzles')
	),
	/** Rating of the cutting nozzle in the torch now. */
	fittedA: within(5, 500, 'A'),
	/** The shield may rest on the plate. */
	dragShield: v.boolean('true or false'),
	/** Up to this a bare nozzle may touch. */
	bareTouchA: within(0, 100, 'A'),
	standoffMm: within(0.5, 6, 'mm'),
	postFlowS: within(0, 120, 's')
});

const lossAt = v.nullable(
	v.object({ lossBar: within(0, 5, 'bar'), atLpm: within(5, 5000, 'l/min') })
);

const CompressorSchema = v.pipe(
	v.object({
		/** Free air delivered at two tank pressures. */
		q1Lpm: within(1, 5000, 'l/min'),
		p1Bar: within(0, 20, 'bar'),
		q2Lpm: within(1, 5000, 'l/min'),
		p2Bar: within(0, 20, 'bar'),
		cutInBar: within(0.5, 20, 'bar'),
		cutOutBar: within(0.5, 20, 'bar')
	}),
	v.forward(
		v.check((c) => c.cutOutBar > c.cutInBar, 'above the cut-in pressure'),
		['cutOutBar']
	),
	v.forward(
		v.check((c) => c.p2Bar > c.p1Bar, 'above the first pressure'),
		['p2Bar']
	),
	v.forward(
		v.check(
			(c) => c.q2Lpm <= c.q1Lpm,
			'no more than at the lower pressure: delivery falls as pressure rises'
		),
		['q2Lpm']
	)
);

export const AirSchema = v.object({
	compressor: CompressorSchema,
	tankL: within(1, 5000, 'l'),
	altitudeM: within(-430, 5000, 'm'),
	/** Regulator at the cutter, set while air flows. */
	setPointBar: within(0.5, 15, 'bar'),
	filter: lossAt,
	dryer: lossAt,
	hose: v.object({
		boreMm: within(3, 50, 'mm'),
		lengthM: within(0.1, 200, 'm'),
		couplings: within(0, 20, '')
	})
});

export const WorkSchema = v.object({
	/** Arc and pause of the repeating pattern. */
	arcS: within(1, 3600, 's'),
	restS: within(0, 3600, 's'),
	shopC: within(-20, 50, '°C')
});

export type PlateInput = v.InferOutput<typeof CutterSchema>['inputs'][number];

/** A plate input serves a supply within this share of its voltage (208 V on a 230 V input). */
const INPUT_TOLERANCE = 0.12;

/** The data plate's entry for the supply, or undefined when it has none. */
export function plateInput(bench: {
	supply: { nominalV: number; phases: 1 | 3 };
	cutter: { inputs: readonly PlateInput[] };
}): PlateInput | undefined {
	const { nominalV, phases: supplyPhases } = bench.supply;
	const off = (input: PlateInput) => Math.abs(input.voltageV - nominalV) / input.voltageV;
	return bench.cutter.inputs
		.filter((input) => input.phases === supplyPhases && off(input) <= INPUT_TOLERANCE)
		.sort((x, y) => off(x) - off(y))[0];
}

export const BenchSchema = v.pipe(
	v.object({
		name: nameOf('bench name'),
		supply: SupplySchema,
		cutter: CutterSchema,
		torch: TorchSchema,
		air: AirSchema,
		usual: WorkSchema
	}),
	v.forward(
		v.check((b) => b.cutter.airMaxBar > b.cutter.airMinBar, 'above the lower limit of the window'),
		['cutter', 'airMaxBar']
	),
	v.forward(
		v.check((b) => b.cutter.severMm > b.cutter.cleanMm, 'thicker than the clean rating'),
		['cutter', 'severMm']
	),
	v.forward(
		v.check(
			(b) => b.torch.nozzles.some((n) => n.kind === 'cut' && n.ratingA === b.torch.fittedA),
			'the rating of one of the cutting nozzles listed'
		),
		['torch', 'fittedA']
	),
	v.forward(
		v.check(
			(b) => plateInput(b) !== undefined,
			'a voltage that the data plate lists, with its phases'
		),
		['supply', 'nominalV']
	)
);
export type Bench = v.InferOutput<typeof BenchSchema>;
export type Supply = Bench['supply'];
export type Nozzle = Bench['torch']['nozzles'][number];
export type Work = v.InferOutput<typeof WorkSchema>;
