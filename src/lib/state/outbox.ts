/**
 * Writes that could not be sent yet: one queue, in IndexedDB, in the order they were made. They go out as
 * soon as the server answers; the op_id makes a repeat harmless. One that the server does not take steps
 * aside, in sight, and lets the others through.
 */
import { createStore, del, entries, get, set, type UseStore } from 'idb-keyval';
import type { Problem } from '$lib/formats/problem';
import { problemOf } from './problemOf';

export interface Write {
	method: 'POST' | 'PUT';
	path: string;
	body: { opId: string } & Record<string, unknown>;
	/** What the person did, for the list of what waits: "Cut of 300 mm". */
	words: string;
	/** Of a bench that was edited: what the edit started from. */
	base?: unknown;
}

/** A write on this device. */
export interface Kept {
	key: string;
	write: Write;
	/** ISO 8601. */
	madeAt: string;
	/** It was sent, and no answer came in time: the server may have it all the same. */
	late?: true;
	/** What the server said to it; left out: it was not asked yet. */
	refusal?: Refusal;
}
export interface Refusal {
	status: number;
	problem: Problem & Record<string, unknown>;
}

export type SendResult<T> =
	| { outcome: 'done'; data: T }
	/** The server said no, with its reason; kept nowhere. */
	| ({ outcome: 'refused' } & Refusal)
	/** No answer, or others wait before it; kept on this device. */
	| { outcome: 'waiting'; key: string; late: boolean }
	/** The server failed at it; kept on this device, out of the queue. */
	| ({ outcome: 'aside'; key: string } & Refusal);

/** Characters of a body that may outlive its page: all that are under way may be 64 KiB (Fetch standard). */
const KEEPALIVE_MOST = 8000;
/** Longer than this nobody waits with a torch in the hand, ms. */
const ANSWER_MOST_MS = 10_000;

/** Whether some wait to go out; undefined: the device has to be asked. Other pages of it may write there too. */
let othersWait: boolean | undefined;
let idb: UseStore | undefined;
const kept = () => (idb ??= createStore('steady-arc', 'outbox'));
let made = 0;
/** undefined: this browser keeps nothing, now or at all. Its store throws at once or later. */
async function orNone<T>(work: () => Promise<T>): Promise<T | undefined> {
	try {
		return await work();
	} catch {
		return undefined;
	}
}

/** Nobody is there, or the server asks to come again; or it was sent, and no answer came that can be read. */
type NoAnswer = 'away' | 'late';
type Answer = { data: unknown } | { refusal: Refusal };
async function transmit(write: Write): Promise<Answer | NoAnswer> {
	const body = JSON.stringify(write.body);
	let response: Response;
	try {
		response = await fetch(write.path, {
			method: write.method,
			headers: { 'content-type': 'application/json' },
			body,
			// It goes out even if the page is closed on it.
			keepalive: body.length < KEEPALIVE_MOST,
			signal: AbortSignal.timeout(ANSWER_MOST_MS)
		});
	} catch (error) {
		return error instanceof DOMException && error.name === 'TimeoutError' ? 'late' : 'away';
	}
	const { ok, status } = response;
	if (status === 503 || status === 429) return 'away';
	if (!ok) return { refusal: { status, problem: await problemOf(response) } };
	// Broken off, or a page of somebody in between who asks for a name first: not the server's word.
	const data = await orNone<unknown>(() => response.json());
	return data === undefined ? 'late' : { data };
}

async function keep(
	write: Write,
	{ refusal, late }: Pick<Kept, 'refusal' | 'late'>
): Promise<string> {
	const now = Date.now();
	const key = `${String(now).padStart(15, '0')}-${String(made++).padStart(6, '0')}-${write.body.opId}`;
	const item: Kept = {
		key,
		write,
		madeAt: new Date(now).toISOString(),
		...(refusal && { refusal }),
		...(late && { late })
	};
	await set(key, item, kept());
	if (!refusal) othersWait = true;
	return key;
}

/** Told where a write can neither be kept nor be known to have arrived. */
const notKept = (late: boolean): Refusal => ({
	status: 0,
	problem: {
		code: 'fault',
		message: late
			? 'No answer came in time, and this browser keeps nothing: look whether it arrived before you do it again.'
			: 'It could not be sent, and this browser keeps nothing: do it again when the server answers.',
		fields: []
	}
});

/** Sends a write and keeps nothing: for what is repeated by hand. */
export async function sendNow<T>(
	write: Omit<Write, 'words'>
): Promise<{ outcome: 'done'; data: T } | ({ outcome: 'refused' } & Refusal)> {
	const answer = await transmit({ ...write, words: '' });
	const problem: Problem = {
		code: 'fault',
		message: 'No answer from the server; try again.',
		fields: []
	};
	if (typeof answer === 'string') return { outcome: 'refused', status: 0, problem: { ...problem } };
	if ('data' in answer) return { outcome: 'done', data: answer.data as T };
	return { outcome: 'refused', ...answer.refusal };
}

/**
 * Sends a write; keeps it on the device when nobody answers, or when others wait before it. Where none is
 * known to wait it goes out at once, before the page can be left. A browser that keeps nothing (a private
 * window, a full disk) sends all the same; what it cannot send it refuses, so that nothing is lost unsaid.
 */
export async function send<T>(write: Write): Promise<SendResult<T>> {
	if (othersWait !== false) await waiting();
	const answer = othersWait ? 'away' : await transmit(write);
	if (typeof answer === 'string') {
		const late = answer === 'late';
		const key = await orNone(() => keep(write, late ? { late } : {}));
		return key === undefined
			? { outcome: 'refused', ...notKept(late) }
			: { outcome: 'waiting', key, late };
	}
	if ('data' in answer) return { outcome: 'done', data: answer.data as T };
	const { refusal } = answer;
	if (refusal.status < 500) return { outcome: 'refused', ...refusal };
	const key = await orNone(() => keep(write, { refusal }));
	return key === undefined
		? { outcome: 'refused', ...refusal }
		: { outcome: 'aside', key, ...refusal };
}

/** Everything that is on this device, oldest first; nothing where it cannot be read. */
export async function waiting(): Promise<Kept[]> {
	const all = await orNone(() => entries<string, Kept | Write>(kept()));
	// Whether some wait, nobody knows until it can be read.
	othersWait = undefined;
	if (!all) return [];
	const items = all
		.map(([key, item]) => itemOf(key, item))
		.sort((a, b) => (a.key < b.key ? -1 : 1));
	othersWait = items.some(({ refusal }) => !refusal);
	return items;
}
/** What an earlier program kept was the bare write. */
function itemOf(key: string, item: Kept | Write): Kept {
	if ('write' in item) return item;
	const at = Number(/^\d+/.exec(key)?.[0] ?? 0);
	return {
		key,
		madeAt: new Date(at).toISOString(),
		write: { ...item, words: 'A write from before' }
	};
}

/** Takes one off the device for good; false: it has gone out meanwhile. */
export async function drop(key: string): Promise<boolean> {
	const there = (await get(key, kept())) !== undefined;
	await del(key, kept());
	return there;
}

/** Puts one that stepped aside back into its place in the queue. */
export async function retry(key: string): Promise<void> {
	const item = await get<Kept | Write>(key, kept());
	if (!item) return;
	const { refusal: _refusal, ...rest } = itemOf(key, item);
	await set(key, rest, kept());
	othersWait = true;
}

export interface Flushed {
	/** Taken by the server, in the order they went. */
	sent: Kept[];
	/** Refused just now; they stay here, out of the queue. */
	aside: Kept[];
	/** Everything that is still here. */
	left: Kept[];
	/** The server answered, or was not asked. */
	reached: boolean;
}

let flushing: Promise<Flushed> | undefined;
/** Sends what waits, oldest first. Two at once are one. */
export function flush(): Promise<Flushed> {
	return (flushing ??= flushOnce().finally(() => (flushing = undefined)));
}

async function flushOnce(): Promise<Flushed> {
	const result: Flushed = { sent: [], aside: [], left: [], reached: true };
	for (const item of await waiting()) {
		if (item.refusal) continue;
		const answer = await transmit(item.write);
		if (typeof answer === 'string') {
			result.reached = false;
			if (answer === 'late' && (await get(item.key, kept())) !== undefined)
				await set(item.key, { ...item, late: true }, kept());
			break;
		}
		if ('data' in answer) {
			result.sent.push(item);
			await del(item.key, kept());
			continue;
		}
		const refused = { ...item, refusal: answer.refusal };
		// Dropped by hand while it was under way: it stays dropped.
		if ((await get(item.key, kept())) === undefined) continue;
		await set(item.key, refused, kept());
		result.aside.push(refused);
	}
	result.left = await waiting();
	return result;
}
