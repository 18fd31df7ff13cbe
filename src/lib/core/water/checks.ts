import type { WaterView } from './workings';
import type { Check } from '../figure/types';
import { verdictOf } from '../figure/verdict';
import type { WATER_FIGURES } from './figures';

/** A question asked of a figure of this room. */
type Asked = Check<keyof typeof WATER_FIGURES>;

/** Spare over the dew point that counts as plenty, K [own]. */
const DEW_SPAN_K = 20;

/** Water spoils parts and edges; it does not stop the work. */
export function waterChecks({ water, inputs }: WaterView): Asked[] {
	if (!water) return [];
	const { dewC, mistGH } = water;
	const spareK = inputs.work.shopC - dewC;
	const separates = inputs.bench.air.stages.length > 0;
	const margin = spareK / DEW_SPAN_K;
	const wet = margin < 0 || (!separates && mistGH > 0);
	return [
		{
			id: 'water.dewC',
			station: 'supply',
			part: 'Water',
			verdict: wet ? 'tight' : verdictOf(margin),
			margin: wet ? 0 : margin,
			spare: { value: spareK, quantity: 'kelvin' },
			word: wet ? 'wet air' : 'damp air'
		}
	];
}
