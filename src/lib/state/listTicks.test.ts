import fc from 'fast-check';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { UNTOUCHED } from '../../../tests/support/workbench';
import { BAY_2 } from '../../../scripts/demo/benches';
import { DEFAULT_CUT, DEFAULT_SETTINGS, NO_EVIDENCE } from '$lib/core';
import type { Tick } from '$lib/formats/ticked';

/** A net that carries each request and each answer when it likes. */
interface OnItsWay {
	body: Record<string, unknown>;
	answer?: unknown;
	told: (result: unknown) => void;
}
let net: OnItsWay[] = [];
/** The server, as simple as can be: what was ticked, what was taken back, what is held back. */
let stored: (Tick & { undone: boolean })[] = [];
let held: string[] = [];
const standing = () =>
	stored.filter(({ undone }) => !undone).sort((a, b) => a.at.localeCompare(b.at));
function serve(body: Record<string, unknown>): unknown {
	if (body.kind === 'undo') {
		const tick = stored.find(({ opId }) => opId === body.undoes);
		if (tick) tick.undone = true;
		else if (body.early) held.push(body.undoes as string);
		else return { outcome: 'refused', status: 404, problem: { message: 'unknown' } };
	} else if (!held.includes(body.opId as string)) {
		stored.push({ ...(body as unknown as Tick), undone: false });
	}
	const ticks = standing().map(({ opId, item, kind, at }) => ({ opId, item, kind, at }));
	const presses = stored.length + stored.filter(({ undone }) => undone).length;
	return { outcome: 'done', data: { ticks, presses, evidence: NO_EVIDENCE } };
}
const settled = () => new Promise((resolve) => setTimeout(resolve));
vi.mock('./outbox', () => ({
	send: ({ body }: OnItsWay) => new Promise((told) => net.push({ body, told }))
}));
const { ListTicks, NOTHING } = await import('./listTicks.svelte');
const { Workbench } = await import('./workbench.svelte');

const bench = () =>
	new Workbench({
		...UNTOUCHED,
		revision: 1,
		bench: BAY_2,
		evidence: NO_EVIDENCE,
		settings: DEFAULT_SETTINGS,
		chart: null,
		cut: DEFAULT_CUT,
		work: BAY_2.usual
	});
const tick = (k: number): Tick => ({
	opId: `tick-of-test-${k}`,
	item: 'bars',
	kind: 'done',
	at: new Date(Date.parse('2026-11-28T08:00:00Z') + 1000 * k).toISOString()
});
const ids = (ticks: readonly { opId: string }[]) => ticks.map(({ opId }) => opId);

beforeEach(() => {
	net = [];
	stored = [];
	held = [];
});

describe('presses on a net that carries them in any order', () => {
	it('what stands on the screen and at the server in the end is what the thumb meant', async () => {
		const step = fc.oneof(
			{ weight: 3, arbitrary: fc.constant({ kind: 'press' as const }) },
			{ weight: 2, arbitrary: fc.constant({ kind: 'undo' as const }) },
			{ weight: 3, arbitrary: fc.record({ kind: fc.constant('carry' as const), at: fc.nat(9) }) },
			{ weight: 3, arbitrary: fc.record({ kind: fc.constant('tell' as const), at: fc.nat(9) }) }
		);
		await fc.assert(
			fc.asyncProperty(fc.array(step, { maxLength: 24 }), async (steps) => {
				net = [];
				stored = [];
				held = [];
				const view = new ListTicks(bench());
				view.open('list', NOTHING);
				const meant: string[] = [];
				const carry = (at: number) => {
					const one = net.filter(({ answer }) => !answer).at(at);
					if (one) one.answer = serve(one.body);
				};
				const tell = async (at: number) => {
					const one = net.filter(({ answer }) => answer).at(at);
					if (!one) return;
					net = net.filter((other) => other !== one);
					one.told(one.answer);
					await settled();
				};
				let pressed = 0;
				for (const step of steps) {
					if (step.kind === 'press') {
						const next = tick(pressed++);
						meant.push(next.opId);
						void view.press(next, 'bars', {});
					} else if (step.kind === 'undo') {
						meant.pop();
						void view.takeBack();
					} else if (step.kind === 'carry') carry(step.at);
					else await tell(step.at);
					// At every moment the screen shows what was meant.
					expect(ids(view.ticks)).toEqual(meant);
				}
				while (net.some(({ answer }) => !answer)) carry(0);
				while (net.length) await tell(net.length - 1);
				expect(ids(standing())).toEqual(meant);
				expect(ids(view.ticks)).toEqual(meant);
				expect(view.underWay).toBe(false);
				expect(view.unclear).toBe(false);
			}),
			{ numRuns: 300 }
		);
	});

	it('a press that waits for its answer stays with its own list', async () => {
		const view = new ListTicks(bench());
		view.open('one', NOTHING);
		void view.press(tick(1), 'bars', {});
		view.open('other', { ticks: [tick(5)], presses: 1 });
		expect(ids(view.ticks)).toEqual([tick(5).opId]);
		net[0]!.told(serve(net[0]!.body));
		await settled();
		expect(ids(view.ticks)).toEqual([tick(5).opId]);
		expect(view.unclear).toBe(false);
	});

	it('one that is refused does not count; an undo that is refused leaves it standing', async () => {
		const view = new ListTicks(bench());
		view.open('list', { ticks: [tick(1)], presses: 1 });
		const refusal = { outcome: 'refused', status: 400, problem: { message: 'no' } };
		const pressed = view.press(tick(2), 'bars', {});
		net[0]!.told(refusal);
		expect(await pressed).toBe(false);
		expect(ids(view.ticks)).toEqual([tick(1).opId]);
		const back = view.takeBack();
		expect(view.ticks).toEqual([]);
		net[1]!.told(refusal);
		await back;
		expect(ids(view.ticks)).toEqual([tick(1).opId]);
	});

	it('an undo that waits on this device is out of sight until the server was asked', async () => {
		const desk = bench();
		const view = new ListTicks(desk);
		view.open('list', { ticks: [tick(1), tick(2)], presses: 2 });
		const back = view.takeBack();
		net[0]!.told({ outcome: 'waiting', key: 'k', late: false });
		await back;
		expect(ids(view.ticks)).toEqual([tick(1).opId]);
		expect(view.unclear).toBe(false);
		view.told({ ticks: [tick(1), tick(2)], presses: 2 });
		expect(ids(view.ticks)).toEqual([tick(1).opId]);
		desk.waiting = [];
		expect(view.unclear).toBe(true);
		view.told({ ticks: [tick(1)], presses: 3 });
		expect(ids(view.ticks)).toEqual([tick(1).opId]);
		expect(view.unclear).toBe(false);
	});
});
