/** The sensor at the cutter: how it stands, looked at once a second while a page shows it, and its offers. */
import {
	cutsOf,
	FAILED_MOST,
	failedOf,
	forOneEntry,
	gaugeOf,
	lampOf,
	stringsOf,
	type Planned
} from '$lib/core/arcline/propose';
import type { ArcSeen, FailedSeen } from '$lib/core/arcline/events';
import { RATE_WANTED_HZ, rateTells } from '$lib/core/arcline/thresholds';
import type { Cut } from '$lib/core';
import type { Entry } from '$lib/core/evidence/entries';
import { heatNow, plannedOf, runShare } from '$lib/core/studies/arcline';
import type { LineState } from '$lib/formats/arcLine';
import { nowIso } from './clock';
import { newOpId } from './ids';
import type { Workbench } from './workbench.svelte';
import { write } from './write';

const EVERY_MS = 1000;
/** Where no sensor is, somebody may pair one on another device. */
const UNPAIRED_MS = 30_000;
/** Without a word for so long it is silent, ms. */
const SILENT_MS = 5000;
/** An arc that may go on for no longer than this: ease off, s [own]. */
export const EASE_OFF_S = 20;

/** Arcs in one press; with failed starts, no more than the server takes. */
const ARCS_AT_ONCE = 400;

interface Id {
	id: number;
}
/** What one press takes into the log. */
export interface Offer {
	key: 'arcs' | 'failed' | 'lamp';
	ids: number[];
	entries: Entry[];
	arcs: (ArcSeen & Id)[];
	failed: (FailedSeen & Id)[];
}

export class ArcLineView {
	state = $state.raw<LineState | undefined>();
	problem = $state('');
	/** Told once, after pairing. */
	token = $state<string | undefined>();
	/** What was cut while the arcs burnt: the planned cut, or the planned groove. */
	as = $state<'cut' | 'groove'>('cut');
	/** What is cut now, where it is not the planned cut. */
	cut = $state.raw<Cut | undefined>();
	busy = $state(false);
	#timer: ReturnType<typeof setTimeout> | undefined;
	#stopped = false;
	#changes = 0;

	constructor(readonly bench: Workbench) {}

	/** Asks once a second until it is closed; call it from an effect. */
	open(): () => void {
		this.#stopped = false;
		void this.#next();
		return () => {
			this.#stopped = true;
			clearTimeout(this.#timer);
		};
	}
	async #next(): Promise<void> {
		clearTimeout(this.#timer);
		await this.look();
		if (this.#stopped) return;
		const ms = this.state && !this.paired ? UNPAIRED_MS : EVERY_MS;
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.#next(), ms);
	}
	async look(): Promise<void> {
		const { benchId } = this.bench;
		const changes = this.#changes;
		try {
			const response = await fetch(`/api/line/${benchId}`);
			if (!response.ok) throw new Error(String(response.status));
			const state = (await response.json()) as LineState;
			// Something was taken while the answer was on its way: it is old.
			if (benchId !== this.bench.benchId || this.busy || this.#changes !== changes) return;
			this.state = state;
			this.problem = '';
		} catch {
			this.problem = 'The server does not answer: what the sensor sees is kept on it until then.';
		}
	}

	readonly paired = $derived(Boolean(this.state?.line));
	readonly now = $derived(this.state?.now ?? null);
	readonly silentS = $derived.by(() => {
		if (!this.state || !this.now) return undefined;
		const ms = this.state.serverMs - this.now.lastCameMs;
		return ms > SILENT_MS ? ms / 1000 : undefined;
	});
	/** An arc burns, since so many seconds; undefined: none, or nobody knows. */
	readonly arcS = $derived.by(() => {
		const { now, state } = this;
		if (!now || !state || this.silentS !== undefined || now.now.arcSinceMs === null)
			return undefined;
		return Math.max(0, ((now.now.last?.atMs ?? state.serverMs) - now.now.arcSinceMs) / 1000);
	});
	readonly offeredArcs = $derived(
		(this.state?.offered ?? []).flatMap(({ id, seen }) =>
			seen.kind === 'arc' ? [{ id, ...seen }] : []
		)
	);
	readonly offeredFailed = $derived(
		(this.state?.offered ?? []).flatMap(({ id, seen }) =>
			seen.kind === 'failed' ? [{ id, ...seen }] : []
		)
	);
	/** All arcs of the last hours, the one that burns too. */
	readonly arcs = $derived.by(() => {
		const { state, now } = this;
		if (!state) return [];
		const seen = state.lately.flatMap((one) => (one.seen.kind === 'arc' ? [one.seen] : []));
		const since = this.arcS === undefined ? null : now!.now.arcSinceMs;
		return since === null ? seen : [...seen, { fromMs: since, toMs: now!.now.last!.atMs }];
	});
	/** By the arcs that were seen, at the amps of the plan. */
	readonly heat = $derived.by(() => {
		const last = this.now?.now.last;
		const base = this.bench.calmInputs;
		return last
			? heatNow(this.cut ? { ...base, cut: this.cut } : base, this.arcs, last.atMs)
			: undefined;
	});
	readonly easeOff = $derived(
		this.arcS !== undefined &&
			this.heat !== undefined &&
			this.heat.leftS !== null &&
			this.heat.leftS < EASE_OFF_S
	);
	/** Seconds of arc in the last ten minutes, as a share. */
	readonly runShare = $derived.by(() => {
		const at = this.now?.now.last?.atMs;
		return at === undefined ? 0 : runShare(this.arcs, at);
	});
	/** Inlet while air flows, against the window of the plate. */
	readonly inlet = $derived.by(() => {
		const bar = this.now?.now.last?.inletBar;
		if (bar === null || bar === undefined) return undefined;
		const { airMinBar } = this.bench.bench.cutter;
		const flowing = this.now!.now.flowing;
		return { bar, flowing, under: flowing && bar < airMinBar, airMinBar };
	});
	/** What is wrong with what comes, in words; nothing: all is well. */
	readonly faults = $derived.by(() => {
		const { now, state } = this;
		if (!now || !state) return [];
		const gaps = state.lately.filter(({ seen }) => seen.kind === 'gap').length;
		const { intervalS, missing, late, implausible, aheadMs } = now;
		const hz = intervalS ? 1 / intervalS : undefined;
		return [
			hz !== undefined &&
				hz < RATE_WANTED_HZ * 0.9 &&
				`${hz.toFixed(1)} readings a second: starts want ${RATE_WANTED_HZ}, a touch shorter than ${rateTells(intervalS!).shortestS.toFixed(1)} s may not be seen.`,
			gaps > 0 &&
				`${gaps} ${gaps === 1 ? 'gap' : 'gaps'} in the last three hours: what burnt then is not known, and an arc across one teaches nothing.`,
			missing > 0 &&
				`${missing} ${missing === 1 ? 'reading' : 'readings'} of this start never came.`,
			late > 0 && `${late} came after their time had been looked at: kept, and not counted.`,
			implausible > 0 &&
				`${implausible} values that cannot be: look at the clamp and the gauges; they are left out.`,
			Math.abs(aheadMs) > 1000 &&
				`Its clock is ${(Math.abs(aheadMs) / 1000).toFixed(1)} s ${aheadMs > 0 ? 'late' : 'early'}: counted out.`
		].filter((one): one is string => Boolean(one));
	});

	readonly planned = $derived.by((): Planned => {
		const { calmPlan, calmInputs, bench } = this.bench;
		return plannedOf(calmPlan, { cut: calmInputs.cut, bench });
	});
	readonly offers = $derived.by((): Offer[] => {
		const { planned, state, now } = this;
		if (!state) return [];
		const arcs = forOneEntry(this.offeredArcs.slice(0, ARCS_AT_ONCE), planned);
		const failed = this.offeredFailed.slice(0, FAILED_MOST);
		const made = (this.as === 'groove' ? stringsOf : cutsOf)(arcs, planned);
		const gauge = gaugeOf(arcs);
		const missed = failedOf(failed, planned.start);
		const seen = state.lately.map((one) => one.seen);
		const lamps = state.offered.flatMap(({ id, seen: lamp }) => {
			const entry =
				lamp.kind === 'lamp' &&
				lampOf(lamp, seen, {
					watchedSinceMs: now?.watchedSinceMs ?? Infinity,
					shopC: this.bench.work.shopC,
					outputA: planned.outputA
				});
			return entry ? [{ id, entry }] : [];
		});
		const none = { arcs: [], failed: [] };
		return [
			...(made
				? [
						{
							key: 'arcs' as const,
							ids: arcs.map(({ id }) => id),
							entries: gauge ? [made, gauge] : [made],
							arcs,
							failed: []
						}
					]
				: []),
			...(missed
				? [
						{
							key: 'failed' as const,
							ids: failed.map(({ id }) => id),
							entries: [missed],
							arcs: [],
							failed
						}
					]
				: []),
			...lamps.map(({ id, entry }) => ({
				key: 'lamp' as const,
				ids: [id],
				entries: [entry],
				...none
			}))
		];
	});

	/** Into the log, or (no entries) off the table. */
	async take(ids: readonly number[], entries: readonly Entry[], told: string): Promise<boolean> {
		if (this.busy || ids.length === 0) return false;
		this.busy = true;
		const opId = newOpId();
		const { who, whatFor, benchId } = this.bench;
		const result = await write<{ state: LineState; evidence: Workbench['evidence'] }>(this.bench, {
			method: 'POST',
			path: `/api/line/${benchId}/take`,
			body: {
				opId,
				kind: 'take',
				at: nowIso(),
				ids: ids.slice(0, 500),
				entries,
				...(who ? { who } : {}),
				...(whatFor ? { whatFor } : {})
			},
			words: told
		});
		this.busy = false;
		if (result.outcome !== 'done') {
			if (result.outcome === 'refused') void this.look();
			return false;
		}
		this.#stands(result.data);
		this.bench.notice = { kind: 'done', text: told, undo: () => void this.#giveBack(opId) };
		return true;
	}
	async #giveBack(undoes: string): Promise<void> {
		const result = await write<{ state: LineState; evidence: Workbench['evidence'] }>(this.bench, {
			method: 'POST',
			path: `/api/line/${this.bench.benchId}/take`,
			body: { kind: 'undo', undoes, at: nowIso() },
			words: 'Taking back what the sensor offered'
		});
		if (result.outcome === 'done') {
			this.#stands(result.data);
			this.bench.notice = { kind: 'done', text: 'Taken back; it is offered again.' };
		}
	}
	#stands({ state, evidence }: { state: LineState; evidence: Workbench['evidence'] }): void {
		this.#changes++;
		this.state = state;
		if (evidence.revision < this.bench.evidence.revision) return;
		this.bench.evidence = evidence;
		this.bench.revised({ log: evidence.revision });
	}

	/** Not kept for later: a token that comes when nobody looks is lost, and ends the one before. */
	async pair(): Promise<void> {
		try {
			const response = await fetch(`/api/line/${this.bench.benchId}/pair`, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({ opId: newOpId() })
			});
			const body = (await response.json()) as { token?: string; message?: string };
			if (!response.ok || !body.token) throw new Error(body.message);
			this.token = body.token;
			await this.#next();
		} catch (error) {
			const why = error instanceof Error && error.message;
			this.bench.notice = {
				kind: 'problem',
				text: `Not paired: ${why || 'the server does not answer'}. Nothing was changed.`
			};
		}
	}
	async #set(change: { byRule?: boolean; paired?: false }, words: string): Promise<void> {
		const result = await write<LineState>(this.bench, {
			method: 'PUT',
			path: `/api/line/${this.bench.benchId}`,
			body: change,
			words
		});
		if (result.outcome === 'done') this.state = result.data;
	}
	setRule(byRule: boolean): Promise<void> {
		return this.#set({ byRule }, 'Rule of the sensor');
	}
	async unpair(): Promise<void> {
		await this.#set({ paired: false }, 'Letting a sensor go');
		this.token = undefined;
	}
}
