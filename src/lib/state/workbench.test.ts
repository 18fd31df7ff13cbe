import { editBench } from './editBench';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { UNTOUCHED } from '../../../tests/support/workbench';
import { BAY_2, TROLLEY } from '../../../scripts/demo/benches';
import { DEFAULT_CUT, DEFAULT_SETTINGS, NO_EVIDENCE, type Cut, type Evidence } from '$lib/core';

const sent: { path: string; method: string; body: Record<string, unknown> }[] = [];
let answers: unknown[] = [];
const dropped: string[] = [];
const written: string[] = [];
vi.mock('./history', () => ({ writeSearch: (search: string) => written.push(search) }));
vi.mock('./outbox', () => ({
	drop: (key: string) => Promise.resolve(dropped.push(key) > 0),
	send: (write: (typeof sent)[number]) => {
		sent.push(write);
		return Promise.resolve(answers.shift());
	}
}));
const { logCut, logEntry, logStart, undoEntry } = await import('./logbook');
const { fitNewSet } = await import('./parts');
const { saveSettings } = await import('./shopSettings');
const { meetLate, saveBench, takeTheirs } = await import('./saveBench');
const { ONCE, Workbench } = await import('./workbench.svelte');

/** Long enough for a machine that does much else besides. */
const soon = (held: () => void) => vi.waitFor(held, { timeout: 60_000 });
const data = () => ({
	...UNTOUCHED,
	revision: 3,
	bench: BAY_2,
	evidence: NO_EVIDENCE,
	settings: DEFAULT_SETTINGS,
	chart: null,
	cut: DEFAULT_CUT as Cut,
	work: BAY_2.usual
});
const worn: Evidence = {
	...NO_EVIDENCE,
	revision: 1,
	wear: {
		...NO_EVIDENCE.wear,
		electrode: {
			...NO_EVIDENCE.wear.electrode,
			total: {
				starts: 50,
				loadMin: 10,
				pilotS: 0,
				arcMin: 10,
				piercesRolled: 0,
				piercesStraight: 0
			}
		}
	}
};

beforeEach(() => {
	sent.length = written.length = dropped.length = 0;
	answers = [];
});

describe('editing a bench', () => {
	it('plans with the draft at once, undoes step by step, and keeps what is stored', () => {
		const bench = new Workbench(data());
		const volts = bench.plan.figures['supply.voltageV'].value!;
		expect(editBench(bench, 'supply.cord.lengthM', 40)).toBeUndefined();
		expect(editBench(bench, 'supply.cord.lengthM', 60)).toBeUndefined();
		expect(bench.plan.figures['supply.voltageV'].value).toBeLessThan(volts);
		expect(bench.draft.edited).toBe(true);
		bench.draft.undo();
		expect(bench.bench.supply.cord?.lengthM).toBe(40);
		bench.draft.discard();
		expect(bench.draft.edited).toBe(false);
		expect(bench.plan.figures['supply.voltageV'].value).toBe(volts);
	});

	it('refuses what cannot be, with the reason, and changes nothing', () => {
		const bench = new Workbench(data());
		expect(editBench(bench, 'supply.cord.lengthM', -1)).toContain('0.1 to 100 m');
		expect(editBench(bench, 'air.compressor.cutInBar', 9)).toContain('above the cut-in pressure');
		expect(editBench(bench, 'name', '')).toContain('1 to 60 characters');
		expect(bench.draft.edited).toBe(false);
		expect(bench.bench).toBe(BAY_2);
	});

	it('keeps the draft over a navigation on the same bench, and drops it on another', () => {
		const bench = new Workbench(data());
		editBench(bench, 'air.tankL', 200);
		bench.take({ ...data(), revision: 4 });
		bench.takeCut({ cut: { ...(DEFAULT_CUT as Cut), thicknessMm: 8 }, work: BAY_2.usual });
		expect(bench.bench.air.tankL).toBe(200);
		expect(bench.cut.thicknessMm).toBe(8);
		bench.take({ ...data(), benchId: 'b2', bench: TROLLEY });
		expect(bench.bench).toBe(TROLLEY);
		expect(bench.draft.edited).toBe(false);
	});

	it('saves over the revision it started from, and shows the other version when it is stale', async () => {
		const bench = new Workbench(data());
		editBench(bench, 'air.tankL', 200);
		const theirs = {
			revision: 4,
			bench: { ...BAY_2, name: 'Theirs', air: { ...BAY_2.air, tankL: 120 } }
		};
		answers = [
			{ outcome: 'refused', status: 409, problem: { message: 'changed in between', theirs } }
		];
		await saveBench(bench);
		expect(sent[0]!.body).toMatchObject({ revision: 3 });
		expect(bench.draft.theirs).toMatchObject({ ...theirs, fields: ['air.tankL'] });
		expect(bench.draft.edited).toBe(true);
		answers = [{ outcome: 'done', data: { revision: 5 } }];
		await saveBench(bench, theirs.revision);
		expect(sent[1]!.body).toMatchObject({ revision: 4 });
		expect(bench.draft.theirs).toBeUndefined();
		expect(bench.draft.edited).toBe(false);
	});

	it('kept offline the edit stands and its bar closes; taken back it is a draft again', async () => {
		const bench = new Workbench(data());
		editBench(bench, 'air.tankL', 200);
		answers = [{ outcome: 'waiting', key: 'k9' }];
		await saveBench(bench);
		expect(bench.draft.edited).toBe(false);
		expect(bench.bench.air.tankL).toBe(200);
		expect(bench.notice).toMatchObject({ kind: 'kept' });
		bench.notice!.undo!();
		await soon(() => expect(bench.draft.edited).toBe(true));
		expect(bench.bench.air.tankL).toBe(200);
		bench.draft.discard();
		expect(bench.bench.air.tankL).toBe(BAY_2.air.tankL);
		// Saved again it goes over what it started from.
		editBench(bench, 'air.tankL', 210);
		answers = [{ outcome: 'done', data: { revision: 4 } }];
		await saveBench(bench);
		expect(sent.at(-1)!.body).toMatchObject({ revision: 3 });
	});

	it('put together with what somebody saved in between, where both changed something else', async () => {
		const bench = new Workbench(data());
		editBench(bench, 'air.tankL', 200);
		const theirs = { revision: 4, bench: { ...BAY_2, name: 'Theirs' } };
		answers = [
			{ outcome: 'refused', status: 409, problem: { message: 'changed', theirs } },
			{ outcome: 'done', data: { revision: 5 } }
		];
		await saveBench(bench);
		expect(sent[1]!.body).toMatchObject({ revision: 4, bench: { name: 'Theirs' } });
		expect(bench.bench).toMatchObject({ name: 'Theirs', air: { tankL: 200 } });
		expect(bench.notice?.text).toContain('together with');
	});

	it('an edit that lay on the device and comes late is met the same way, unless somebody edits now', async () => {
		const bench = new Workbench(data());
		const mine = { ...BAY_2, air: { ...BAY_2.air, tankL: 150 } };
		const late = {
			key: 'k1',
			madeAt: 'then',
			write: {
				method: 'PUT' as const,
				path: '/api/benches/b1',
				body: { opId: 'late-op-1', revision: 3, bench: mine },
				words: 'Edit of Bay 2',
				base: BAY_2
			},
			refusal: {
				status: 409,
				problem: {
					code: 'stale' as const,
					message: 'changed',
					fields: [],
					theirs: { revision: 4, bench: { ...BAY_2, name: 'Theirs' } }
				}
			}
		};
		editBench(bench, 'air.tankL', 99);
		expect(await meetLate(bench, late)).toBe(false);
		bench.draft.discard();
		answers = [{ outcome: 'done', data: { revision: 5 } }];
		expect(await meetLate(bench, late)).toBe(true);
		expect(bench.bench).toMatchObject({ name: 'Theirs', air: { tankL: 150 } });
	});

	it('takes theirs when the person says so', async () => {
		const bench = new Workbench(data());
		editBench(bench, 'air.tankL', 200);
		const theirs = {
			revision: 4,
			bench: { ...BAY_2, name: 'Theirs', air: { ...BAY_2.air, tankL: 120 } }
		};
		answers = [{ outcome: 'refused', status: 409, problem: { message: 'changed', theirs } }];
		await saveBench(bench);
		takeTheirs(bench);
		expect(bench.bench.name).toBe('Theirs');
		expect(bench.draft.edited).toBe(false);
	});
});

const takenBack = (ids: number[], revision: number) => ({
	outcome: 'done',
	data: {
		results: ids.map((id) => ({ id, outcome: 'undone' })),
		evidence: { ...NO_EVIDENCE, revision }
	}
});

describe('logging', () => {
	it('writes the planned cut by one gesture, re-plans, and offers to undo', async () => {
		const bench = new Workbench(data());
		const left = bench.plan.figures['wear.cutsLeft'].value!;
		answers = [{ outcome: 'done', data: { id: 7, evidence: worn } }];
		await logCut(bench);
		expect(sent[0]).toMatchObject({
			path: '/api/log',
			body: {
				benchId: 'b1',
				entry: { kind: 'cut', lengthMm: 300, outputA: 45, starts: 1, start: 'edge' }
			}
		});
		expect(bench.plan.figures['wear.cutsLeft'].value).toBeLessThan(left);
		answers = [takenBack([7], 2)];
		await undoEntry(bench, 7);
		expect(sent[1]).toMatchObject({ path: '/api/log/undo', body: { ids: [7] } });
		expect(bench.plan.figures['wear.cutsLeft'].value).toBe(left);
		expect(bench.lastEntry).toBeUndefined();
	});

	it('writes fourteen cuts, five of them pierced, in one gesture, and takes both entries back', async () => {
		const bench = new Workbench(data());
		bench.counted = { cuts: 14, pierced: 5, failed: 0 };
		answers = [{ outcome: 'done', data: { ids: [8, 9], evidence: { ...worn, revision: 1 } } }];
		await logCut(bench);
		expect(sent).toMatchObject([
			{
				path: '/api/log/several',
				// What may only wait is not told as done.
				words: '14 cuts, 5 of them pierced',
				body: {
					benchId: 'b1',
					entries: [
						{ kind: 'cut', starts: 9, lengthMm: 2700, start: 'edge' },
						{ kind: 'cut', starts: 5, lengthMm: 1500, start: 'pierce' }
					]
				}
			}
		]);
		expect(bench.log.map(({ id }) => id)).toEqual([9, 8]);
		expect(bench.notice?.text).toBe('14 cuts logged, 5 of them pierced.');
		expect(bench.counted).toEqual(ONCE);
		answers = [takenBack([9, 8], 3)];
		bench.notice!.undo!();
		await soon(() => expect(bench.notice?.text).toBe('Taken back.'));
		// One write for all of it: a page that is closed right now leaves nothing half taken back.
		expect(sent.slice(1)).toMatchObject([{ path: '/api/log/undo', body: { ids: [8, 9] } }]);
		expect(bench.log.map(({ undone }) => undone)).toEqual([true, true]);
	});

	it('one of several that was corrected since is told and stays; so is a gesture somebody took back', async () => {
		const outcomes = async (...all: string[]) => {
			const bench = new Workbench(data());
			bench.counted = { cuts: 2, pierced: 1, failed: 0 };
			answers = [{ outcome: 'done', data: { ids: [8, 9], evidence: worn } }];
			await logCut(bench);
			const results = all.map((outcome, i) => ({ id: 8 + i, outcome }));
			answers = [{ outcome: 'done', data: { results, evidence: { ...NO_EVIDENCE, revision: 5 } } }];
			const told = bench.notice;
			told!.undo!();
			await soon(() => expect(bench.notice).not.toBe(told));
			return { told: bench.notice!.text, undone: bench.log.map(({ undone }) => undone) };
		};
		const corrected = await outcomes('undone', 'corrected');
		expect(corrected.told).toContain('One of them was corrected since and stays');
		expect(corrected.undone).toEqual([false, true]);
		const twice = await outcomes('already', 'already');
		expect(twice.told).toBe('Somebody had taken it back already.');
		expect((await outcomes('undone', 'already')).told).toBe('Taken back.');
	});

	it('fourteen cuts and a start that failed are told as one thing, and a failed start alone as itself', async () => {
		const bench = new Workbench(data());
		bench.counted = { cuts: 1, pierced: 0, failed: 2 };
		answers = [{ outcome: 'done', data: { ids: [8, 9], evidence: worn } }];
		await logCut(bench);
		expect(bench.notice?.text).toBe('1 cut logged, and 2 failed starts.');
		expect(bench.counted).toEqual(ONCE);
	});

	it('keeps the count of what was refused, and not of what waits: a second press logs nothing twice', async () => {
		const bench = new Workbench(data());
		const counted = { cuts: 14, pierced: 5, failed: 1 };
		bench.counted = counted;
		answers = [{ outcome: 'refused', status: 400, problem: { message: 'no' } }];
		await logCut(bench);
		expect(bench.counted).toEqual(counted);
		expect(bench.notice).toMatchObject({ kind: 'problem', text: 'no' });
		answers = [{ outcome: 'waiting', key: 'k' }];
		await logCut(bench);
		expect(bench.counted).toEqual(ONCE);
		expect(bench.waiting).toHaveLength(1);
		expect(bench.log).toEqual([]);
	});

	it('forgets the count when another cut is planned', () => {
		const bench = new Workbench(data());
		bench.counted = { cuts: 14, pierced: 5, failed: 0 };
		bench.setCut({ thicknessMm: 8 });
		expect(bench.counted).toEqual(ONCE);
	});

	it('writes nothing for a cut that does not go through', async () => {
		const bench = new Workbench({ ...data(), cut: { ...(DEFAULT_CUT as Cut), thicknessMm: 60 } });
		await logCut(bench);
		expect(sent).toHaveLength(0);
		expect(bench.notice?.kind).toBe('problem');
	});

	it('tells what was refused, and what waits on the device', async () => {
		const bench = new Workbench(data());
		answers = [
			{
				outcome: 'refused',
				status: 400,
				problem: { message: 'entry.toBar: below the first reading' }
			}
		];
		expect(
			await logEntry(bench, { kind: 'drain', fromBar: 5, toBar: 7, seconds: 9 }, 'Drain.')
		).toBe(false);
		expect(bench.notice).toMatchObject({
			kind: 'problem',
			text: 'entry.toBar: below the first reading'
		});
		answers = [{ outcome: 'waiting', key: 'k1' }];
		await logStart(bench);
		expect(bench.waiting).toMatchObject([{ key: 'k1', write: { words: 'One failed start' } }]);
		expect(bench.notice?.text).toContain('Not logged yet');
		expect(bench.log).toEqual([]);
		bench.notice!.undo!();
		await soon(() => expect(bench.waiting).toEqual([]));
		expect(dropped).toEqual(['k1']);
		answers = [{ outcome: 'aside', key: 'k2', status: 500, problem: { message: 'Broken.' } }];
		await logStart(bench);
		expect(bench.notice).toMatchObject({ kind: 'problem' });
		expect(bench.waiting).toMatchObject([{ key: 'k2', refusal: { status: 500 } }]);
	});

	it('fits a new pair and takes it out again', async () => {
		const bench = new Workbench({
			...data(),
			evidence: worn,
			partSet: { id: 'A', name: 'Pair A', fittedAt: 'then' }
		});
		const set = { id: 'B', name: 'Pair B', fittedAt: 'now' };
		answers = [
			{ outcome: 'done', data: { set, previousId: 'A', evidence: NO_EVIDENCE } },
			{ outcome: 'done', data: {} }
		];
		await fitNewSet(bench, 'Pair B');
		expect(bench.partSet).toEqual(set);
		bench.notice!.undo!();
		await soon(() => expect(bench.partSet?.id).toBe('A'));
		expect(bench.evidence).toBe(worn);
		expect(sent[1]!.body).toMatchObject({ previousId: 'A' });
	});
});

describe('dragging', () => {
	it('moves the plan at once and the comparison when the hand rests, and tells the address on release', () => {
		vi.useFakeTimers();
		const bench = new Workbench(data());
		const calm = bench.calmPlan.figures['setup.speedMmS'].value;
		bench.grip();
		bench.dragCut({ thicknessMm: 9 });
		expect(bench.plan.figures['setup.speedMmS'].value).not.toBe(calm);
		expect(bench.calmPlan.figures['setup.speedMmS'].value).toBe(calm);
		vi.advanceTimersByTime(200);
		expect(bench.calmPlan.figures['setup.speedMmS'].value).toBe(
			bench.plan.figures['setup.speedMmS'].value
		);
		expect(written).toEqual([]);
		bench.release();
		expect(written).toEqual(['bench=b1&t=9']);
		expect(bench.search).toBe('bench=b1&t=9');
		vi.useRealTimers();
	});

	it('keys that step on and on are told once they rest; links know at once', () => {
		vi.useFakeTimers();
		const bench = new Workbench(data());
		const speed = (plan: typeof bench.plan) => plan.figures['setup.speedMmS'].value;
		const calm = speed(bench.calmPlan);
		for (const thicknessMm of [7, 8, 9]) {
			bench.stepCut({ thicknessMm });
			expect(bench.search).toBe(`bench=b1&t=${thicknessMm}`);
			vi.advanceTimersByTime(100);
			expect(speed(bench.plan)).not.toBe(calm);
			expect(speed(bench.calmPlan)).toBe(calm);
			expect(written).toEqual([]);
		}
		// No handle is held: what hides from a hand on it stays.
		expect(bench.dragging).toBe(false);
		vi.advanceTimersByTime(100);
		expect(speed(bench.calmPlan)).toBe(speed(bench.plan));
		expect(written).toEqual(['bench=b1&t=9']);
		// A page that is left in between writes no address on the next one.
		bench.stepGouge({ depthMm: 3 });
		expect(bench.cut.gouge).toMatchObject({ asked: true, depthMm: 3 });
		bench.still();
		vi.advanceTimersByTime(500);
		expect(written).toHaveLength(1);
		expect(bench.search).toContain('t=9');
		expect(speed(bench.calmPlan)).toBe(speed(bench.plan));
		vi.useRealTimers();
	});

	it('a groove that is dragged leaves the count of cuts alone', () => {
		const bench = new Workbench(data());
		bench.counted = { cuts: 14, pierced: 5, failed: 0 };
		bench.grip();
		bench.dragGouge({ depthMm: 4 });
		bench.release();
		expect(bench.cut.gouge.depthMm).toBe(4);
		expect(bench.counted.cuts).toBe(14);
	});

	it('a hand that moves within a step changes no cut, and does not rest', () => {
		vi.useFakeTimers();
		const bench = new Workbench(data());
		const restedMm = () => bench.calmInputs.cut.gouge.depthMm;
		const before = restedMm();
		bench.grip();
		bench.dragGouge({ depthMm: 4 });
		const { cut } = bench;
		for (let i = 0; i < 4; i++) {
			vi.advanceTimersByTime(100);
			bench.dragGouge({ depthMm: 4 });
			bench.dragCut({ thicknessMm: cut.thicknessMm });
			expect(bench.cut).toBe(cut);
			expect(restedMm()).toBe(before);
		}
		vi.advanceTimersByTime(200);
		expect(restedMm()).toBe(4);
		bench.release();
		// A key at the end of what there is changes nothing either.
		bench.stepGouge({ depthMm: 4 });
		expect(bench.cut).toBe(cut);
		vi.useRealTimers();
	});
});

describe('settings', () => {
	it('change the plan when the server took them, and not when it refused', async () => {
		const bench = new Workbench(data());
		const left = bench.plan.figures['wear.cutsLeft'].value!;
		answers = [
			{ outcome: 'done', data: { revision: 1, settings: {} } },
			{ outcome: 'refused', status: 409, problem: { message: 'changed' } }
		];
		await saveSettings(bench, { pitLimitMm: 1 });
		const cautious = bench.plan.figures['wear.cutsLeft'].value!;
		expect(cautious).toBeLessThan(left);
		await saveSettings(bench, { pitLimitMm: 3 });
		expect(bench.plan.figures['wear.cutsLeft'].value).toBe(cautious);
	});
});
