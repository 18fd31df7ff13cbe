import { pressureAfter, runningLaw, stretchAt } from './tank';
import type { FallingStretch, RunInputs } from './runTypes';
import type { Pattern } from './schedule';

/**
 * The deepest fall that any phase of compressor and arc can bring about, if one cycle recovers it:
 * the compressor starts just as the air begins to flow, and the pause lifts the tank to cut-in again.
 * Then no cycle ever ends lower, however long the two drift against each other.
 */
export function deepestRecovered(
	{ tank, useLpm }: NonNullable<RunInputs['air']>,
	pattern: Pattern
): { lowestBar: number; lowest: FallingStretch } | undefined {
	const at = stretchAt(tank, tank.cutInBar, useLpm);
	// Past a kink in the delivery the closed form no longer holds; the run goes on to its end instead.
	const law = runningLaw(tank, tank.line[at]!, useLpm);
	const useS = pattern.arcS + pattern.postS;
	const lowestBar = pressureAfter(tank.cutInBar, law, useS);
	const from = { startS: 0, fromBar: tank.cutInBar };
	if (lowestBar >= tank.cutInBar) {
		return { lowestBar: tank.cutInBar, lowest: { ...from, durationS: 0, law } };
	}
	if (at > 0 && lowestBar < tank.line[at - 1]!.toBar) return undefined;
	const idle = runningLaw(tank, tank.line[at]!, 0);
	const recovers = pressureAfter(lowestBar, idle, pattern.restS - pattern.postS) >= tank.cutInBar;
	return recovers ? { lowestBar, lowest: { ...from, durationS: useS, law } } : undefined;
}
