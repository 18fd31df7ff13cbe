/**
 * The bench: one Valibot schema serves types, forms, the API and the published JSON Schema.
 * All numbers are in the core's units; every range is closed.
 */
import * as v from 'valibot';
import { SHIELD_RADIUS_MM } from '../cut/guide';
import { SHIELDS, TORCH_FAMILIES } from '../torch/assembly';
import { AirSchema } from '../air/inputs';
import { phases, SupplySchema } from '../circuit/inputs';
import { nameOf, within } from '../quantity/within';

export const REGULATORS = ['itself', 'set', 'none'] as const;

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
	/** Mild steel ratings. */
	cleanMm: within(1, 100, 'mm'),
	severMm: within(1, 150, 'mm')
});

export const TorchSchema = v.object({
	name: nameOf('torch name'),
	shieldRadiusMm: within(...SHIELD_RADIUS_MM, 'mm'),
	/** Rim of the face that bears on the plate, from the axis: what touches when the torch is tilted. */
	faceRadiusMm: v.optional(within(1, 30, 'mm'), 5),
	/** The side of the kerf that comes out square, in the direction of travel. */
	squareSide: v.picklist(['right', 'left'], 'right or left'),
	nozzles: v.pipe(
		v.array(
			v.object({
				ratingA: within(5, 500, 'A'),
				boreMm: within(0.3, 6, 'mm'),
				kind: v.picklist(['cut', 'gouge'], 'cut or gouge'),
				/** Mild steel ratings with this nozzle; null: only the machine's are known. */
				cleanMm: v.optional(v.nullable(within(0.5, 100, 'mm')), null),
				severMm: v.optional(v.nullable(within(0.5, 150, 'mm')), null)
			})
		),
		v.minLength(1, 'at least one nozzle'),
		v.maxLength(20, 'at most 20 nozzles')
	),
	/** Rating of the cutting nozzle in the torch now. */
	fittedA: within(5, 500, 'A'),
	/** The shield may rest on the plate. */
	dragShield: v.boolean('true or false'),
	/** How its parts go together. */
	family: v.optional(
		v.picklist(TORCH_FAMILIES, `one of ${TORCH_FAMILIES.join(', ')}`),
		'into-torch'
	),
	/** Most amps the electrode bears; null: not told. */
	electrodeMaxA: v.optional(v.nullable(within(5, 500, 'A')), null),
	/** Amps the swirl ring in the torch is made for; null: for all. */
	ringMinA: v.optional(v.nullable(within(5, 500, 'A')), null),
	ringMaxA: v.optional(v.nullable(within(5, 500, 'A')), null),
	/** What is on the end of the torch. */
	shieldIn: v.optional(v.picklist(SHIELDS, `one of ${SHIELDS.join(', ')}`), 'cutting'),
	/** Up to this a bare nozzle may touch. */
	bareTouchA: within(0, 100, 'A'),
	standoffMm: within(0.5, 6, 'mm'),
	/** Lead from the cutter to the torch. */
	leadM: within(1, 30, 'm'),
	leadBoreMm: within(3, 15, 'mm'),
	postFlowS: within(0, 120, 's')
});

export const WorkSchema = v.object({
	/** The cut planned, over and over with the pause, or a pattern of its own: so who told none meant that. */
	by: v.optional(v.picklist(['cut', 'pattern'], 'cut or pattern'), 'pattern'),
	/** Arc of the pattern, and the pause of both. */
	arcS: within(1, 3600, 's'),
	restS: within(0, 3600, 's'),
	shopC: within(-20, 50, '°C'),
	/** Relative humidity of the shop's air, as a share. */
	humidity: v.optional(within(0.05, 1, '(share)'), 0.6),
	/** Cuts to do. */
	cuts: v.optional(v.pipe(within(1, 5000, ''), v.integer('a whole number')), 20),
	/** A shift with breaks; null: over and over. */
	shift: v.optional(
		v.nullable(
			v.object({
				hours: within(0.5, 12, 'h'),
				spellMin: within(5, 720, 'min'),
				breakMin: within(0, 240, 'min')
			})
		),
		null
	)
});

export type PlateInput = v.InferOutput<typeof CutterSchema>['inputs'][number];

/**
 * A plate input is the one meant within this share of its voltage (400 V on a 460 V input). Whether the
 * machine takes so much off its own volts is judged by the plan.
 */
const INPUT_TOLERANCE = 0.15;

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
		v.check((b) => b.air.source !== 'bottle' || b.air.bottle !== null, 'a bottle to take air from'),
		['air', 'bottle']
	),
	v.forward(
		v.check((b) => b.cutter.severMm > b.cutter.cleanMm, 'thicker than the clean rating'),
		['cutter', 'severMm']
	),
	v.forward(
		v.check(
			(b) =>
				b.torch.nozzles.every(
					(n) => n.cleanMm === null || n.severMm === null || n.severMm > n.cleanMm
				),
			'severs thicker than it cuts clean'
		),
		['torch', 'nozzles']
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
export type Load = Supply['loads'][number];
export type Circuit = Supply['elsewhere'][number];
export type Nozzle = Bench['torch']['nozzles'][number];
export type Work = v.InferOutput<typeof WorkSchema>;
