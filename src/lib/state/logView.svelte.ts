/** What was found in the log, and more of it: one question at a time, late answers dropped. */
import type { FoundPage } from '$lib/formats/logFound';
import { LOG_SHOWN } from '$lib/formats/api';

/** A hand that types is left alone for so long, ms. */
const TYPING_MS = 150;

export class LogView {
	text = $state('');
	page = $state.raw() as FoundPage;
	problem = $state<string | undefined>();
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

	/** Asks as the hand types. */
	find(text: string): void {
		this.text = text;
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.again(), TYPING_MS);
	}

	/** Asks the same again: something was corrected or taken back. */
	async again(): Promise<void> {
		const found = await this.#ask();
		if (found) this.page = found;
	}

	/** The next page below this one. */
	async more(): Promise<void> {
		const { next, entries } = this.page;
		if (next === null) return;
		const found = await this.#ask(next);
		if (found) this.page = { ...found, entries: [...entries, ...found.entries] };
	}

	async #ask(before?: string): Promise<FoundPage | undefined> {
		const asked = ++this.#asked;
		const place = before === undefined ? '' : `&before=${encodeURIComponent(before)}`;
		const query = `bench=${this.benchId()}&q=${encodeURIComponent(this.text)}&limit=${LOG_SHOWN}${place}`;
		try {
			const response = await fetch(`/api/log/find?${query}`);
			if (asked !== this.#asked) return undefined;
			if (!response.ok) {
				this.problem = ((await response.json()) as { message: string }).message;
				return undefined;
			}
			this.problem = undefined;
			return (await response.json()) as FoundPage;
		} catch {
			if (asked === this.#asked)
				this.problem = 'The server does not answer: this is what was found before.';
			return undefined;
		}
	}
}
