/** A fault being looked for: what was seen, what was answered, what it can still be. */
import * as v from 'valibot';
import type { Held } from '$lib/core/checks/inputs';
import type { FaultFile } from '$lib/core/faults/file';
import { Finder, type Answer, type Said } from '$lib/core/faults/finder';
import { knownOf } from '$lib/core/faults/known';
import { SHIPPED_FAULTS } from '$lib/core/faults/shipped';
import { answerTo } from './answerTo';
import { forget, recall, remember } from './remembered';
import { logEntry } from './logbook';
import type { Workbench } from './workbench.svelte';
import { write } from './write';

const short = v.pipe(v.string(), v.maxLength(60));
const TrailSchema = v.object({
	symptom: short,
	answers: v.pipe(
		v.array(v.object({ look: short, said: v.picklist(['yes', 'no', 'unsure']) })),
		v.maxLength(200)
	),
	inVain: v.pipe(v.array(short), v.maxLength(100)),
	leftOut: v.pipe(v.array(short), v.maxLength(100))
});
type Trail = v.InferOutput<typeof TrailSchema>;
interface Stands {
	revision: number;
	own: boolean;
	faults: FaultFile;
}

export class FinderView {
	/** The file that counts; until the server has answered, the one that comes with the program. */
	stands = $state.raw<Stands>({ revision: 0, own: false, faults: SHIPPED_FAULTS });
	#trail = $state.raw<Trail | undefined>();

	constructor(readonly bench: Workbench) {}

	readonly file = $derived(this.stands.faults);
	readonly #finder = $derived(new Finder(this.file));
	readonly symptom = $derived(this.file.symptoms.find(({ id }) => id === this.#trail?.symptom));
	readonly known = $derived.by(() => {
		const recent = this.bench.log.filter(({ undone }) => !undone).map(({ entry }) => entry);
		const { bench } = this.file;
		return knownOf(this.bench.inputs, this.bench.plan, recent).filter(({ id }) =>
			bench.some((one) => one.id === id)
		);
	});
	readonly #asked = $derived({
		symptom: this.#trail?.symptom ?? '',
		answers: this.#trail?.answers ?? [],
		inVain: this.#trail?.inVain ?? [],
		known: this.known.map(({ id }) => id).filter((id) => !this.#trail?.leftOut.includes(id))
	});
	readonly found = $derived(this.symptom && this.#finder.find(this.#asked));
	/** Beliefs before the last answer, for the notch in the bars. */
	readonly before = $derived.by(() => {
		const answers = this.#asked.answers.slice(0, -1);
		return this.symptom && this.#asked.answers.length
			? this.#finder.find({ ...this.#asked, answers }).beliefs
			: undefined;
	});
	/** What would lead after each answer to the next look. */
	readonly after = $derived.by(() => {
		const look = this.found?.next?.look;
		if (!look) return undefined;
		const lead = (said: Said) =>
			this.#finder.find({
				...this.#asked,
				answers: [...this.#asked.answers, { look: look.id, said }]
			}).lead;
		return { yes: lead('yes'), no: lead('no') };
	});
	readonly answers = $derived(this.#asked.answers);
	readonly inVain = $derived(this.#asked.inVain);

	counts = (id: string): boolean => !this.#trail?.leftOut.includes(id);
	causeOf = (id: string) => this.file.causes.find((cause) => cause.id === id);
	lookOf = (id: string) => this.file.looks.find((look) => look.id === id);

	#key = () => `steady-arc-fault ${this.bench.benchId}`;
	#keep(trail: Trail | undefined): void {
		this.#trail = trail;
		if (trail) remember(this.#key(), trail);
		else forget(this.#key());
	}
	/** Once the page lives in a browser: the trail goes on where it was left, or begins with what was asked for. */
	start(asked: string | null, seen = ''): void {
		const kept = recall(this.#key(), TrailSchema);
		this.#trail = kept;
		if (asked && (asked !== kept?.symptom || seen)) this.see(asked, this.#answersIn(seen));
		void this.#askFile();
	}
	async #askFile(): Promise<void> {
		// The file of the program serves as well.
		this.stands = (await answerTo<Stands>('/api/faults')) ?? this.stands;
	}

	/** What another page saw already, "soft-dross:yes sparks:no"; what the file does not know is left out. */
	#answersIn(seen: string): Answer[] {
		return seen
			.slice(0, 500)
			.split(' ')
			.flatMap((one) => {
				const [look, said] = one.split(':');
				return this.lookOf(look ?? '') && (said === 'yes' || said === 'no')
					? [{ look: look!, said: said }]
					: [];
			});
	}
	see(symptom: string, answers: Answer[] = []): void {
		this.#keep({ symptom, answers, inVain: [], leftOut: [] });
	}
	startOver(): void {
		this.#keep(undefined);
	}
	answer(look: string, said: Said): void {
		const trail = this.#trail!;
		const answers: Answer[] = trail.answers.some((a) => a.look === look)
			? trail.answers.map((a) => (a.look === look ? { look, said } : a))
			: [...trail.answers, { look, said }];
		this.#keep({ ...trail, answers });
	}
	takeBack(look = this.answers.at(-1)?.look): void {
		const trail = this.#trail;
		if (!trail) return;
		if (look === undefined) return this.startOver();
		this.#keep({ ...trail, answers: trail.answers.filter((a) => a.look !== look) });
	}
	mendedInVain(cause: string): void {
		const trail = this.#trail!;
		this.#keep({ ...trail, inVain: [...trail.inVain, cause] });
	}
	tryAgain(cause: string): void {
		const trail = this.#trail!;
		this.#keep({ ...trail, inVain: trail.inVain.filter((id) => id !== cause) });
	}
	count(id: string, counts: boolean): void {
		const trail = this.#trail!;
		const leftOut = trail.leftOut.filter((one) => one !== id);
		this.#keep({ ...trail, leftOut: counts ? leftOut : [...leftOut, id] });
	}

	#heldOf(causeId: string): Held {
		const cause = this.causeOf(causeId)!;
		return {
			item: `fault-${causeId}`,
			word: cause.name.slice(0, 60),
			station: cause.station,
			verdict: cause.stop ? 'stops' : 'tight'
		};
	}
	/** The fault goes to the log; `so`: it is mended and works again. */
	async tell(causeId: string, so: boolean): Promise<boolean> {
		const held = this.#heldOf(causeId);
		const done = await logEntry(
			this.bench,
			{
				kind: 'check',
				...held,
				so,
				symptom: this.symptom?.id,
				looks: this.answers.length
			},
			so
				? `Found and mended: ${held.word}.`
				: `Found: ${held.word}. The line says it until it is mended.`
		);
		return done;
	}

	/** Test cuts since somebody last found all as it should be: a fault may stand behind them. */
	readonly doubtful = $derived.by(() => {
		const { log, measured } = this.bench;
		const sound = log.find(
			({ undone, entry }) =>
				!undone && (entry.kind === 'signed' || (entry.kind === 'check' && entry.so))
		);
		const since = sound?.at ?? '';
		return measured.filter(
			({ undone, entry, at }) => !undone && entry.kind === 'test-cut' && at > since
		);
	});

	/** What stands then: it counts, it waits on this device, or why it was refused. */
	async saveFile(
		faults: FaultFile | null
	): Promise<{ outcome: 'counts' | 'waits' } | { outcome: 'refused'; why: string }> {
		const result = await write<Stands>(this.bench, {
			method: 'PUT',
			path: '/api/faults',
			body: { revision: this.stands.revision, faults },
			words: 'File of faults'
		});
		if (result.outcome === 'done') {
			this.stands = result.data;
			this.startOver();
			return { outcome: 'counts' };
		}
		if (result.outcome !== 'refused') return { outcome: 'waits' };
		// Somebody may have been quicker: what stands is shown.
		void this.#askFile();
		const { fields, message } = result.problem;
		const told = fields.slice(0, 4).map((f) => `${f.field}: ${f.message}`);
		return { outcome: 'refused', why: told.length ? told.join('; ') : message };
	}
}
