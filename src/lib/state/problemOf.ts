import type { Problem } from '$lib/formats/problem';

/** Why the server did not do it, from whatever it answered: a proxy and a fault page speak no JSON. */
export async function problemOf(response: Response): Promise<Problem & Record<string, unknown>> {
	try {
		const body = (await response.json()) as unknown;
		if (typeof body === 'object' && body !== null && 'message' in body) {
			return { code: 'fault', fields: [], ...body } as Problem & Record<string, unknown>;
		}
	} catch {
		// Not JSON.
	}
	return { code: 'fault', message: `The server answered ${response.status}.`, fields: [] };
}
