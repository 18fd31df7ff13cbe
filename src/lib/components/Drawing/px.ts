/** To a quarter of a pixel, finer than any eye here. Quarters are exact: what is added to them stays as short. */
export const px = (at: number): number => Math.round(at * 4) / 4;
