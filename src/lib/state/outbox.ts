/**
 * Writes that could not be sent yet. They wait in IndexedDB and go out in their order as soon as the
 * server answers; the op_id makes a repeat harmless.
 */
import { createStore, del, entries, set, type UseStore } from 'idb-keyval';
import type { Problem } from '$lib/formats/problem';

export interface Write {
	method: 'POST' | 'PUT';
	path: string;
	body: { opId: string } & Record<string, unknown>;
}

export type SendResult<T> =
	| { outcome: 'done'; data: T }
	/** The server said no, with its reason; kept nowhere. */
	| { outcome: 'refused'; status: number; problem: Problem & Record<string, unknown> }
	/** No answer; kept on this device. */
	| { outcome: 'waiting' };

let idb: UseStore | undefined;
const kept = () => (idb ??= createStore('steady-arc', 'outbox'));

async function transmit(write: Write): Promise<Response | undefined> {
	try {
		const response = await fetch(write.path, {
			method: write.method,
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(write.body)
		});
		return response.status >= 500 ? undefined : response;
	} catch {
		return undefined;
	}
}

/** Sends a write; keeps it on the device when nobody answers. */
export async function send<T>(write: Write): Promise<SendResult<T>> {
	const response = await transmit(write);
	if (!response) {
		await set(`${Date.now()}-${write.body.opId}`, write, kept());
		return { outcome: 'waiting' };
	}
	if (response.ok) return { outcome: 'done', data: (await response.json()) as T };
	const problem = (await response.json()) as Problem & Record<string, unknown>;
	return { outcome: 'refused', status: response.status, problem };
}

export interface Flushed {
	sent: number;
	waiting: number;
	/** Read and refused by the server; taken off the device, and told. */
	refused: Problem[];
}

/** Sends what waits, oldest first. */
export async function flush(): Promise<Flushed> {
	const waiting = (await entries<string, Write>(kept())).sort(([a], [b]) => (a < b ? -1 : 1));
	const result: Flushed = { sent: 0, waiting: waiting.length, refused: [] };
	for (const [key, write] of waiting) {
		const response = await transmit(write);
		if (!response) break;
		if (response.ok) result.sent++;
		else result.refused.push((await response.json()) as Problem);
		await del(key, kept());
		result.waiting--;
	}
	return result;
}
