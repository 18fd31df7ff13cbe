/** Where everything is kept. */
export function dataFolder(): string {
	return process.env.STEADY_ARC_DATA || './data';
}
