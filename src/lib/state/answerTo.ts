/** What the server says to a question; undefined: it does not answer, refuses, or somebody else speaks in its place. */
export async function answerTo<T>(path: string): Promise<T | undefined> {
	try {
		const response = await fetch(path);
		return response.ok ? ((await response.json()) as T) : undefined;
	} catch {
		return undefined;
	}
}
