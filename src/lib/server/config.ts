/** Where everything is kept. */
export function dataFolder(): string {
	return process.env.STEADY_ARC_DATA || './data';
}

/** Where the server was built to; its entry says so. */
export function buildFolder(): string {
	return process.env.STEADY_ARC_BUILD || './build';
}
