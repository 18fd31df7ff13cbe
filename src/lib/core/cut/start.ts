/**
 * Which start goes through, by thickness (common practice): a straight pierce to half of the clean
 * rating, a rolled one to half of the sever rating; an edge start for anything that can be severed.
 */
export type StartMethod = 'pierce' | 'rolled' | 'edge' | 'none';

export interface StartCapacity {
	straightMm: number;
	rolledMm: number;
	severMm: number;
}

export function startCapacity(cleanMm: number, severMm: number): StartCapacity {
	return { straightMm: cleanMm / 2, rolledMm: severMm / 2, severMm };
}

/** The most demanding start that still goes through. */
export function easiestPierce(thicknessMm: number, capacity: StartCapacity): StartMethod {
	if (thicknessMm <= capacity.straightMm) return 'pierce';
	if (thicknessMm <= capacity.rolledMm) return 'rolled';
	return thicknessMm <= capacity.severMm ? 'edge' : 'none';
}
