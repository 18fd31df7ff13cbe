/** Benches of earlier versions, step by step to the present shape. */
import { eachObject, isObject, withField, type Json, type Upgrade } from './kind';

const PARTS_UNTOLD = {
	family: 'into-torch',
	electrodeMaxA: null,
	ringMinA: null,
	ringMaxA: null,
	shieldIn: 'cutting'
};

/** Before versions were kept: version 1 had no list of loads. Later ones left parts of the torch untold. */
export const tellBenchVersion = (bench: unknown): number =>
	isObject(bench) && isObject(bench.supply) && !('loads' in bench.supply) ? 1 : 2;

/** Version 1 had one circuit with a fixed other load, two points of delivery, one filter, one dryer. */
const fromVersion1: Upgrade = (bench) => {
	if (!isObject(bench)) return bench;
	const { supply, air, cutter, torch } = bench;
	if (!isObject(supply) || !isObject(air) || !isObject(cutter) || !isObject(torch)) return bench;
	if ('loads' in supply) return bench;
	const { otherLoadA, ...circuit } = supply;
	const { compressor, filter, dryer, ...rest } = air;
	const c = isObject(compressor) ? compressor : {};
	const { q1Lpm, p1Bar, q2Lpm, p2Bar, ...limits } = c;
	const stage = (kind: string, loss: unknown) =>
		isObject(loss) ? [{ kind, where: 'compressor', ...loss, loaded: 0, gelG: null }] : [];
	const other = {
		name: 'Other loads',
		on: 'Cutter circuit',
		currentA: otherLoadA,
		startMultiple: 1,
		when: 'always'
	};
	return {
		...bench,
		supply: {
			circuit: 'Cutter circuit',
			earthFault: 'none',
			generator: null,
			elsewhere: [],
			loads: typeof otherLoadA === 'number' && otherLoadA > 0 ? [other] : [],
			...circuit
		},
		cutter: { inrushA: null, voltageBy: 'itself', ...cutter },
		torch: { ...PARTS_UNTOLD, leadM: 6, leadBoreMm: 6, ...torch },
		air: {
			source: 'compressor',
			bottle: null,
			tankRiseK: 5,
			coolingM: 5,
			stages: [...stage('desiccant', dryer), ...stage('trap', filter)],
			...rest,
			compressor: {
				rating: 'delivered',
				oil: 'oiled',
				...limits,
				points: [
					{ flowLpm: q1Lpm, atBar: p1Bar },
					{ flowLpm: q2Lpm, atBar: p2Bar }
				]
			}
		}
	};
};

/** Version 2 knew one pressure, no fuse, no label of a cord, no rating of a nozzle and no bearing face. */
const fromVersion2: Upgrade = (bench) => {
	if (!isObject(bench)) return bench;
	const circuit = (supply: Json): Json => ({ ...supply, plugFuseA: null });
	const cord = (supply: Json): Json =>
		withField(supply, 'cord', (c) => ({ kind: 'made-up', labelA: null, ...c }));
	return withField(
		withField(
			withField(
				withField(bench, 'supply', (s) => cord(circuit(s))),
				'cutter',
				(c) => ({
					toleranceShare: 0.1,
					regulator: 'itself',
					workingBar: null,
					...c,
					inputs: eachObject(c.inputs, (i) => ({ inputEffA: null, fuseA: null, ...i }))
				})
			),
			'torch',
			(t) => ({
				...PARTS_UNTOLD,
				faceRadiusMm: 5,
				...t,
				nozzles: eachObject(t.nozzles, (n) => ({ cleanMm: null, severMm: null, ...n }))
			})
		),
		'usual',
		(u) => ({ humidity: 0.6, cuts: 20, shift: null, by: 'cut', ...u })
	);
};

/** Version 3 did not tell what nobody had checked: somebody had typed it. */
const fromVersion3: Upgrade = (bench) => (isObject(bench) ? { typical: [], ...bench } : bench);

/** Version 4 did not tell the lamps of the cutter: nobody had. */
const fromVersion4: Upgrade = (bench) => bench;

/** Version 5 did not tell the face of a nozzle: nobody had. */
const fromVersion5: Upgrade = (bench) => bench;

export const BENCH_UPGRADES: readonly Upgrade[] = [
	fromVersion1,
	fromVersion2,
	fromVersion3,
	fromVersion4,
	fromVersion5
];
