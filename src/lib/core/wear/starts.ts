import {
	isHole,
	START_METHODS,
	startLimitMm,
	throughS,
	type Outline,
	type StartCapacity,
	type StartMethod
} from '../cut/start';
import { growthUm, NO_USE, type Rates, type Use } from './electrode';

/** One start, as use of the parts; hovering keeps the spatter off as rolling does [own]. */
export function useOfStart(method: StartMethod): Use {
	return {
		...NO_USE,
		starts: 1,
		piercesRolled: method === 'rolled' || method === 'hover' ? 1 : 0,
		piercesStraight: method === 'pierce' ? 1 : 0
	};
}

/** One way to start this cut, for the comparison. */
export interface StartOption {
	method: Exclude<StartMethod, 'none'>;
	fits: 'fits' | 'tight' | 'too thick';
	limitMm: number;
	throughS: number | null;
	/** Pit of the electrode that it costs, µm. */
	wearUm: number;
	/** Such starts, without arc, that one electrode lasts. */
	perLife: number;
}

/** Every way into this cut; a hole has no edge. */
export function startOptions(input: {
	cut: Outline;
	thicknessMm: number;
	/** null: it does not part. */
	referenceMmS: number | null;
	capacity: StartCapacity;
	/** What a use takes of the electrode in this shop. */
	rates: Rates;
	/** Pit at which the electrode is changed. */
	limitUm: number;
}): StartOption[] {
	const { cut, thicknessMm, referenceMmS, capacity, rates, limitUm } = input;
	return START_METHODS.filter((method) => method !== 'edge' || !isHole(cut)).map((method) => {
		const limitMm = startLimitMm(method, capacity);
		const wearUm = growthUm(useOfStart(method), rates);
		// Past the straight limit a pierce holds only with the roll or the hover, which is tight.
		const past = method === 'rolled' || method === 'hover' ? capacity.straightMm : limitMm;
		return {
			method,
			limitMm,
			fits: thicknessMm > limitMm ? 'too thick' : thicknessMm > past ? 'tight' : 'fits',
			throughS: thicknessMm > limitMm ? null : throughS(method, thicknessMm, referenceMmS),
			wearUm,
			perLife: Math.floor(limitUm / wearUm + 1e-9)
		};
	});
}
