/**
 * Test cuts correct the modelled speed by a factor. ln(factor) has a normal prior around 0; each test
 * cut observes it with a normal error, so the posterior has a closed form:
 * mean = Σ ln(observed/modelled) / (n + (σ_cut/σ_prior)²), variance = 1/(1/σ_prior² + n/σ_cut²).
 */
export const PRIOR_SIGMA = 0.25;
export const CUT_SIGMA = 0.12;

export interface SpeedCorrection {
	factor: number;
	/** One standard deviation of ln(factor). */
	sigma: number;
	n: number;
}

export function speedCorrection(tests: { n: number; sumLog: number } | undefined): SpeedCorrection {
	const n = tests?.n ?? 0;
	const sumLog = tests?.sumLog ?? 0;
	return {
		factor: Math.exp(sumLog / (n + (CUT_SIGMA / PRIOR_SIGMA) ** 2)),
		sigma: Math.sqrt(1 / (1 / PRIOR_SIGMA ** 2 + n / CUT_SIGMA ** 2)),
		n
	};
}
