/** What was found in the log, a page of it: one question at a time, late answers dropped. */
import { LOG_SHOWN } from '$lib/formats/bodies/records';
import { problemOf } from './problemOf';
import { NEWEST_FIRST, orderText, type FoundPage, type LogOrder } from '$lib/formats/logFound';

/** A hand that types is left alone for so long, ms. */
const TYPING_MS = 150;

/** A page of an order, by where each page up to it begins; the first begins at the beginning. */
interface Where {
	order: LogOrder;
	begins: readonly (string | undefined)[];
}
const FIRST = [undefined] as const;

export class LogView {
	text = $state('');
	page = $state.raw() as FoundPage;
	problem = $state<string | undefined>();
	#where = $state.raw<Where>({ order: NEWEST_FIRST, begins: FIRST });
	#asked = 0;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(
		readonly benchId: () => string,
		text: string,
		page: FoundPage
	) {
		this.text = text;
		this.page = page;
	}

	get order(): LogOrder {
		return this.#where.order;
	}
	/** Of the page that is seen, from 0. */
	get index(): number {
		return this.#where.begins.length - 1;
	}

	/** Asks as the hand types. */
	find(text: string): void {
		this.text = text;
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.#ask({ ...this.#where, begins: FIRST }), TYPING_MS);
	}

	/** Asks the same again: something was corrected or taken back. */
	async again(): Promise<void> {
		await this.#ask(this.#where);
		// The last row of the last page was taken back.
		if (this.page.entries.length === 0 && this.index > 0) await this.first();
	}

	/** The same from its beginning: of another bench the pages begin elsewhere. */
	first(): Promise<void> {
		return this.sort(this.order);
	}

	/** Another order, from its beginning. */
	sort(order: LogOrder): Promise<void> {
		return this.#ask({ order, begins: FIRST });
	}

	/** The page after this one, or one before it. */
	turn(index: number): Promise<void> {
		const { order, begins } = this.#where;
		const { next } = this.page;
		if (index < begins.length) return this.#ask({ order, begins: begins.slice(0, index + 1) });
		return next === null ? Promise.resolve() : this.#ask({ order, begins: [...begins, next] });
	}

	/** What is seen, and where it stands, changes only with an answer. */
	async #ask(where: Where): Promise<void> {
		const asked = ++this.#asked;
		const before = where.begins.at(-1);
		const query = Object.entries({
			bench: this.benchId(),
			q: this.text,
			sort: orderText(where.order),
			limit: LOG_SHOWN,
			...(before === undefined ? {} : { before })
		})
			.map(([key, value]) => `${key}=${encodeURIComponent(value)}`)
			.join('&');
		try {
			const response = await fetch(`/api/log/find?${query}`);
			if (asked !== this.#asked) return;
			if (!response.ok) {
				const { message } = await problemOf(response);
				if (asked === this.#asked) this.problem = message;
				return;
			}
			const page = (await response.json()) as FoundPage;
			if (asked !== this.#asked) return;
			this.problem = undefined;
			this.page = page;
			this.#where = where;
		} catch {
			if (asked === this.#asked)
				this.problem = 'The server does not answer: this is what was found before.';
		}
	}
}
