import { env } from '$env/dynamic/private';

/** Where everything is kept. */
export function dataFolder(): string {
	return env.STEADY_ARC_DATA || './data';
}
