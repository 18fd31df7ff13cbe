/** While the server does not answer. */
const ASK_AGAIN_MS = 2000;

/**
 * Code that a page goes on without for now: asked for until it is here, since the server may have gone away in
 * between. Undefined once nobody wants it any more.
 */
export async function untilHere<T>(
	load: () => Promise<T>,
	unwanted: () => boolean
): Promise<T | undefined> {
	while (!unwanted()) {
		try {
			return await load();
		} catch {
			await new Promise((resolve) => setTimeout(resolve, ASK_AGAIN_MS));
		}
	}
	return undefined;
}
