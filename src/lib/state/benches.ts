/** Benches of the shop: made, called otherwise, taken away and put back. */
import type { Bench } from '$lib/core';
import { newOpId } from './ids';
import { sendNow } from './outbox';
import { problemOf } from './problemOf';

interface Stored {
	revision: number;
	bench: Bench;
}
/** What came of it: the bench it concerns, or why not. */
type Done<T> = ({ ok: true } & T) | { ok: false; why: string };

async function stored(id: string): Promise<Done<Stored>> {
	const response = await fetch(`/api/benches/${id}`).catch(() => undefined);
	if (!response) return { ok: false, why: 'No answer from the server. Nothing was changed.' };
	if (!response.ok) return { ok: false, why: (await problemOf(response)).message };
	return { ok: true, ...((await response.json()) as Stored) };
}

/** A copy under a name of its own; it starts with no log, chart or cards. */
export async function duplicate(id: string): Promise<Done<{ id: string; name: string }>> {
	const found = await stored(id);
	if (!found.ok) return found;
	const name = `${found.bench.name.slice(0, 55)} copy`;
	const result = await sendNow<{ id: string }>({
		method: 'POST',
		path: '/api/benches',
		body: { opId: newOpId(), bench: { ...found.bench, name } }
	});
	if (result.outcome === 'refused') return { ok: false, why: result.problem.message };
	return { ok: true, id: result.data.id, name };
}

export async function rename(id: string, name: string): Promise<Done<object>> {
	const found = await stored(id);
	if (!found.ok) return found;
	const { revision, bench } = found;
	const result = await sendNow<Stored>({
		method: 'PUT',
		path: `/api/benches/${id}`,
		body: { opId: newOpId(), revision, bench: { ...bench, name } }
	});
	return result.outcome === 'refused' ? { ok: false, why: result.problem.message } : { ok: true };
}

/** Takes a bench away with its log, or puts it back. */
export async function keepBench(
	id: string,
	kept: boolean,
	revision: number
): Promise<Done<{ revision: number }>> {
	const result = await sendNow<{ revision: number }>({
		method: 'PUT',
		path: `/api/benches/${id}/kept`,
		body: { opId: newOpId(), kept, revision }
	});
	return result.outcome === 'refused'
		? { ok: false, why: result.problem.message }
		: { ok: true, revision: result.data.revision };
}
