/** The one way in which a screen writes: sent, or kept on this device in sight, or refused with its reason. */
import { nowIso } from './clock';
import { newOpId } from './ids';
import { drop, send, type SendResult, type Write } from './outbox';
import type { Bench, Settings } from '$lib/core';
import type { Workbench } from './workbench.svelte';

type Request = Omit<Write, 'body'> & { body: Record<string, unknown> };

/** Sends a write; tells what became of it unless it was done. */
export async function write<T>(
	bench: Workbench,
	request: Request,
	keptWords = 'Kept on this device and sent when the server answers.'
): Promise<SendResult<T>> {
	const whole: Write = { ...request, body: { opId: newOpId(), ...request.body } };
	const result = await send<T>(whole);
	if (result.outcome === 'waiting') {
		const { key, late } = result;
		const item = { key, write: whole, madeAt: nowIso(), ...(late && { late }) };
		bench.waiting = [...bench.waiting, item];
		const undo = () => void dropWaiting(bench, key);
		bench.notice = { kind: 'kept', text: keptWords, undo };
	} else if (result.outcome === 'aside') {
		const { key, status, problem } = result;
		const item = { key, write: whole, madeAt: nowIso(), refusal: { status, problem } };
		bench.waiting = [...bench.waiting, item];
		bench.notice = {
			kind: 'problem',
			text: `${problem.message} It is set aside on this device; try it again or drop it above.`
		};
	} else if (result.outcome === 'refused') {
		bench.notice = { kind: 'problem', text: result.problem.message };
	}
	return result;
}

/** Somebody was quicker: what the screen shows is asked for again. */
export function lookAgain(bench: Workbench, result: SendResult<unknown>): void {
	if (result.outcome === 'refused' && result.status === 409) bench.refresh();
}

/** Takes back what was not sent yet. */
export async function dropWaiting(bench: Workbench, key: string): Promise<void> {
	const { write: kept, late } = bench.waiting.find((item) => item.key === key) ?? {};
	const there = await drop(key);
	bench.waiting = bench.waiting.filter((item) => item.key !== key);
	if (!there) {
		bench.notice = { kind: 'problem', text: 'It had gone out already; take it back in the log.' };
		return;
	}
	// What an unsent write changed on the screen is as it was.
	if (kept?.path === '/api/settings' && kept.base) bench.settings = kept.base as Settings;
	const draft = kept && reopen(bench, kept) ? ' The edit is a draft again.' : '';
	bench.notice = late
		? {
				kind: 'problem',
				text: `Not sent once more. It went out and no answer came: the server may have it, look there when it answers.${draft}`
			}
		: { kind: 'done', text: `Taken back before it was sent.${draft}` };
}

/** An unsent edit of this bench is a draft again; false: it was none. */
function reopen(bench: Workbench, { path, base, body }: Write): boolean {
	if (path !== `/api/benches/${bench.benchId}` || !base) return false;
	const before = base as Bench;
	bench.stands(before, bench.stored.revision);
	const over = { revision: body.revision as number, bench: before };
	bench.draft.open(over, body.bench as Bench);
	return true;
}
