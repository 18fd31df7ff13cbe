import type { Nozzle, Torch } from './inputs';

/** The smallest cutting nozzle that bears these amps, else the largest there is. */
export function nozzleFor(nozzles: readonly Nozzle[], outputA: number): Nozzle {
	const cutting = nozzles.filter((n) => n.kind === 'cut').sort((x, y) => x.ratingA - y.ratingA);
	return cutting.find((n) => n.ratingA >= outputA) ?? cutting[cutting.length - 1]!;
}

/** The cutting nozzle in the torch; the bench schema makes sure that it is listed. */
export function fittedNozzle(torch: Torch): Nozzle {
	return torch.nozzles.find((n) => n.kind === 'cut' && n.ratingA === torch.fittedA)!;
}
