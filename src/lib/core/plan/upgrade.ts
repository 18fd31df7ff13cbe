/** Brings benches of earlier versions to the present shape. Pure; what it does not know it leaves alone. */
type Json = Record<string, unknown>;
const isObject = (x: unknown): x is Json =>
	typeof x === 'object' && x !== null && !Array.isArray(x);

/** Version of the bench's shape, in files and in the store. */
export const BENCH_VERSION = 2;

const PARTS_UNTOLD = {
	family: 'into-torch',
	electrodeMaxA: null,
	ringMinA: null,
	ringMaxA: null,
	shieldIn: 'cutting'
};

/** Version 1 had one circuit with a fixed other load, two points of delivery, one filter, one dryer. */
function fromVersion1(bench: Json): Json {
	const { supply, air, cutter, torch } = bench;
	if (!isObject(supply) || !isObject(air) || !isObject(cutter) || !isObject(torch)) return bench;
	const { otherLoadA, ...circuit } = supply;
	const { compressor, filter, dryer, ...rest } = air;
	const c = isObject(compressor) ? compressor : {};
	const { q1Lpm, p1Bar, q2Lpm, p2Bar, ...limits } = c;
	const stage = (kind: string, loss: unknown) =>
		isObject(loss) ? [{ kind, where: 'compressor', ...loss, loaded: 0, gelG: null }] : [];
	return {
		...bench,
		supply: {
			circuit: 'Cutter circuit',
			earthFault: 'none',
			generator: null,
			elsewhere: [],
			loads:
				typeof otherLoadA === 'number' && otherLoadA > 0
					? [
							{
								name: 'Other loads',
								on: 'Cutter circuit',
								currentA: otherLoadA,
								startMultiple: 1,
								when: 'always'
							}
						]
					: [],
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
}

/** The bench in the present shape; the schema then checks it. */
export function upgradeBench(bench: unknown): unknown {
	if (!isObject(bench) || !isObject(bench.supply)) return bench;
	return 'loads' in bench.supply ? bench : fromVersion1(bench);
}
